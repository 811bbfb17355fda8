<?php

declare(strict_types=1);

namespace App\Page\Entry;

use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Midi\Grid;
use Nasturtium\Core\Formats\Midi\MidiReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\PartChoice;
use Nasturtium\Core\Formats\MusicXml\ScorePart;
use Nasturtium\Core\Formats\ReadScore;
use Nasturtium\Core\Score\Fraction;

/** Reads an uploaded score, whichever kind it is. */
final class ReadFile
{
    public static function isMidi(string $bytes): bool
    {
        return str_starts_with($bytes, 'MThd');
    }

    /** @throws ValidationException under the name `file` */
    public function __invoke(string $bytes, ?PartChoice $choice, ?Grid $grid, ?Fraction $pickup): ReadScore
    {
        return self::reading(static fn (): ReadScore => self::isMidi($bytes) ? MidiReader::read($bytes, $grid, $pickup) : MusicXmlReader::read($bytes, $choice));
    }

    /**
     * @return list<ScorePart> none for a MIDI file
     *
     * @throws ValidationException
     */
    public function parts(string $bytes): array
    {
        return self::isMidi($bytes) ? [] : self::reading(static fn (): array => MusicXmlReader::parts($bytes));
    }

    /**
     * @template T
     *
     * @param  \Closure(): T  $read
     * @return T
     */
    private static function reading(\Closure $read): mixed
    {
        try {
            return $read();
        } catch (BadInput $reason) {
            throw ValidationException::withMessages(['file' => $reason->getMessage()]);
        }
    }
}
