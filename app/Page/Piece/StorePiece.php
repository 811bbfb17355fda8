<?php

declare(strict_types=1);

namespace App\Page\Piece;

use App\Page\Entry\Draft;
use App\Page\Page;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\ReadScore;
use Nasturtium\Core\Formats\Shorthand\ShorthandError;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece as Score;

/** Puts a piece on a page, from a file or from the shorthand. Nothing is stored when it cannot be read. */
final class StorePiece
{
    public function __construct(private readonly NoteNames $names) {}

    public function fromScore(Page $page, ReadScore $score, string $label): Piece
    {
        $piece = self::on($page)->fill([
            'duet' => $score->duet === null ? null : MusicXmlWriter::write($score->duet),
            'not_read' => implode("\n", array_map(static fn (Check $check): string => $check->text, $score->notRead)),
        ]);

        return $this->save($piece, $page, $score->piece, $label, null);
    }

    /** @throws ValidationException under the name `shorthand` */
    public function fromShorthand(Page $page, string $shorthand, string $label): Piece
    {
        return $this->save(self::on($page)->fill(['not_read' => '']), $page, $this->read($shorthand), $label, $shorthand);
    }

    /** @throws ValidationException */
    public function retype(Piece $piece, string $shorthand, string $label): Piece
    {
        return $this->save($piece, $piece, $this->read($shorthand), $label, $shorthand);
    }

    /**
     * @return string the music as it would be stored
     *
     * @throws ValidationException
     */
    public function written(string $shorthand): string
    {
        return MusicXmlWriter::write($this->read($shorthand));
    }

    private static function on(Page $page): Piece
    {
        // Music that was awaited goes where the page is learnt already.
        return Piece::query()->where('page_id', $page->id)->whereNull('music')->first() ?? new Piece(['page_id' => $page->id, 'studio_id' => $page->studio_id, 'revision' => 0]);
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

        if ($read->piece === null || ! ($read->piece->plays(Hand::Right) || $read->piece->plays(Hand::Left))) {
            throw ValidationException::withMessages(['shorthand' => 'There is no note yet. Begin a line with R or L.']);
        }

        return $read->piece;
    }

    /** @param Page|Piece $draftOf whose draft has become this piece */
    private function save(Piece $piece, Page|Piece $draftOf, Score $score, string $label, ?string $shorthand): Piece
    {
        return DB::transaction(function () use ($piece, $draftOf, $score, $label, $shorthand): Piece {
            $isRetyped = $piece->exists;
            $piece->fill([
                'label' => $label,
                'title' => $score->title,
                'music' => MusicXmlWriter::write($score),
                'shorthand' => $shorthand,
                'revision' => $piece->revision + 1,
                'measures' => count($score->measures),
                'note_names' => $this->names->of($score->measures),
                // Worked out when somebody asks.
                'thorns' => null,
            ])->save();
            Draft::query()->where(Draft::column($draftOf), $draftOf->id)->delete();
            if ($isRetyped) {
                PieceRetyped::dispatch($piece);
            }

            return $piece;
        });
    }
}
