<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Lyric;
use Nasturtium\Core\Score\Measure;

/** Types the words under a printed line, a line for each verse. */
final readonly class WordsWriting
{
    /**
     * @param  list<Measure>  $measures  of the printed line
     * @param  \Closure(string): void  $unsaid
     */
    public static function under(array $measures, Hand $hand, \Closure $unsaid): string
    {
        $notes = [];
        $verses = [];
        foreach ($measures as $measure) {
            foreach (array_filter($measure->events(), static fn (Event $event): bool => VoiceWriting::hasRoom($measure, $event)) as $event) {
                $sung = $event->hand === $hand && $event->voice === 1 && $event->isStruck();
                if ($sung) {
                    $notes[] = $event;
                } elseif ($event->hand === $hand && $event->ink->lyrics !== []) {
                    $unsaid("Bar {$measure->number}: a word at a held note or in a second voice.");
                }
                foreach ($sung ? $event->ink->lyrics : [] as $lyric) {
                    $verses[$lyric->verse] = true;
                }
            }
        }
        ksort($verses);
        $text = '';
        foreach (array_keys($verses) as $verse) {
            if ($verse > 9) {
                $unsaid("Bar {$measures[0]->number}: verse {$verse}.");

                continue;
            }
            $text .= 'W'.($hand === Hand::Left ? 'L' : '').($verse === 1 ? '' : $verse).': '.self::verse($notes, $verse)."\n";
        }

        return $text;
    }

    /** @param list<Event> $notes */
    private static function verse(array $notes, int $verse): string
    {
        $syllables = [];
        $held = false;
        foreach ($notes as $note) {
            $lyric = self::of($note, $verse);
            $syllables[] = $lyric === null ? ($held ? '_' : '.') : (string) preg_replace('/\s+/u', '~', $lyric->printed());
            $held = $lyric === null ? $held : $lyric->extended;
        }
        while ($syllables !== [] && $syllables[count($syllables) - 1] === '.') {
            array_pop($syllables);
        }

        return implode(' ', $syllables);
    }

    private static function of(Event $note, int $verse): ?Lyric
    {
        foreach ($note->ink->lyrics as $lyric) {
            if ($lyric->verse === $verse) {
                return $lyric;
            }
        }

        return null;
    }
}
