<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Score\Lyric;

/** Lays the syllables of a line of words under the notes that are struck. */
final readonly class Lyrics
{
    /**
     * @param  list<TypedEvent>  $notes  of the printed line, in time
     * @return list<array{int, string}> syllables that found no note: offset in characters, and the syllable
     */
    public static function lay(string $text, int $verse, array $notes): array
    {
        preg_match_all('/\S+/u', $text, $found, PREG_OFFSET_CAPTURE);
        $left = [];
        $continues = false;
        $before = null;
        $at = 0;
        foreach ($found[0] as [$syllable, $offset]) {
            $note = $notes[$at++] ?? null;
            if ($note === null) {
                $left[] = [mb_strlen(substr($text, 0, $offset)), $syllable];
            } elseif ($syllable === '_') {
                self::extend($before, $verse);
            } elseif ($syllable !== '.') {
                $joined = str_ends_with($syllable, '-') && $syllable !== '-';
                $words = str_replace('~', ' ', $joined ? substr($syllable, 0, -1) : $syllable);
                $note->lyrics[] = new Lyric($words, $verse, $joined, $continues);
                $continues = $joined;
                $before = $note;
            }
        }

        return $left;
    }

    private static function extend(?TypedEvent $note, int $verse): void
    {
        if ($note !== null) {
            $note->lyrics = array_map(static fn (Lyric $lyric): Lyric => $lyric->verse === $verse && ! $lyric->joined
                ? new Lyric($lyric->text, $verse, false, $lyric->continues, true)
                : $lyric, $note->lyrics);
        }
    }
}
