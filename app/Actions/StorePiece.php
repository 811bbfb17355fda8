<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Page;
use App\Models\Piece;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Shorthand\ShorthandError;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Piece as Score;

/** Puts a piece on a page, from a file or from the shorthand. Nothing is stored when it cannot be read. */
final class StorePiece
{
    /** @throws ValidationException under the name of the field it came in */
    public function fromFile(Page $page, string $bytes, string $label): Piece
    {
        try {
            $score = MusicXmlReader::read($bytes);
        } catch (BadInput $reason) {
            throw ValidationException::withMessages(['file' => $reason->getMessage()]);
        }

        return $this->save(new Piece(['page_id' => $page->id, 'studio_id' => $page->studio_id]), $score->piece, $label, null, $score->notRead);
    }

    /** @throws ValidationException */
    public function fromShorthand(Page $page, string $shorthand, string $label): Piece
    {
        return $this->save(new Piece(['page_id' => $page->id, 'studio_id' => $page->studio_id]), $this->read($shorthand), $label, $shorthand, []);
    }

    /** @throws ValidationException */
    public function retype(Piece $piece, string $shorthand, string $label): Piece
    {
        return $this->save($piece, $this->read($shorthand), $label, $shorthand, []);
    }

    private function read(string $shorthand): Score
    {
        $read = ShorthandReader::read($shorthand);
        if ($read->errors !== []) {
            throw ValidationException::withMessages(['shorthand' => array_map(
                static fn (ShorthandError $error): string => "Line {$error->line}, column {$error->column}: {$error->text}",
                $read->errors,
            )]);
        }

        return $read->piece ?? throw ValidationException::withMessages(['shorthand' => 'There is no note yet. Begin a line with R or L.']);
    }

    /** @param list<Check> $notRead */
    private function save(Piece $piece, Score $score, string $label, ?string $shorthand, array $notRead): Piece
    {
        $piece->fill([
            'label' => $label,
            'title' => mb_substr($score->title, 0, 120),
            'music' => MusicXmlWriter::write($score),
            'shorthand' => $shorthand,
            'measures' => count($score->measures),
            'note_names' => implode(',', $this->noteNames($score)),
            'not_read' => implode("\n", array_map(static fn (Check $check): string => $check->text, $notRead)),
        ])->save();

        return $piece;
    }

    /** @return list<string> clef:pitch, each once */
    private function noteNames(Score $score): array
    {
        $names = [];
        foreach ($score->measures as $measure) {
            foreach ($measure->events() as $event) {
                $names += $this->namesOf($event);
            }
        }

        return array_keys($names);
    }

    /** @return array<string, true> */
    private function namesOf(Event $event): array
    {
        $names = [];
        foreach ($event->notes as $note) {
            $names["{$event->clef->value}:{$note->pitch->name()}"] = true;
        }

        return $names;
    }
}
