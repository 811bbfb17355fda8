<?php

declare(strict_types=1);

namespace Tests\Photo;

use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Sign;
use Nasturtium\Core\Score\SignKind;

/** A piece in the text that abcm2ps engraves. */
final class Abc
{
    private const KEYS = ['Cb', 'Gb', 'Db', 'Ab', 'Eb', 'Bb', 'F', 'C', 'G', 'D', 'A', 'E', 'B', 'F#', 'C#'];

    public static function of(Piece $piece): string
    {
        $first = $piece->measures[0];
        $text = "X:1\nT:{$piece->title}\nM:{$first->meter->printed()}\nL:1/32\n%%staves {1 2}\nV:1 clef=treble\nV:2 clef=bass\nK:".self::KEYS[$first->key->fifths + 7]."\n";
        $lines = [];
        foreach ($piece->measures as $measure) {
            if ($lines === [] || $measure->newLine) {
                $lines[] = [];
            }
            $lines[count($lines) - 1][] = $measure;
        }
        foreach ($lines as $line) {
            foreach ([[1, Hand::Right], [2, Hand::Left]] as [$voice, $hand]) {
                $text .= "V:{$voice}\n";
                $bars = array_map(static fn ($measure): string => self::bar($measure->of($hand), $measure->key, $measure->meter->isCompound(), self::dynamics($measure, $hand)).($measure->repeatEnd ? ' :|' : ($measure->index === count($piece->measures) - 1 ? ' |]' : ' |')), $line);
                $text .= implode(' ', $bars)."\n";
            }
        }

        return $text;
    }

    /** @return array<string, string> by onset */
    private static function dynamics(Measure $measure, Hand $hand): array
    {
        $signs = array_filter($measure->signs, static fn (Sign $sign): bool => $sign->kind === SignKind::Dynamic && $sign->staff === $hand);

        return array_column(array_map(static fn (Sign $sign): array => [(string) $sign->onset, $sign->text], $signs), 1, 0);
    }

    /**
     * @param list<Event>           $events
     * @param array<string, string> $dynamics by onset
     */
    private static function bar(array $events, Key $key, bool $compound, array $dynamics = []): string
    {
        $inForce = [];
        $text = '';
        $beat = $compound ? 12 : 8;
        foreach ($events as $event) {
            $at = $event->onset->times(Fraction::of(32))->floor();
            $text .= $at % $beat === 0 ? ' ' : '';
            $notes = [];
            $finger = '';
            $tied = false;
            foreach ($event->notes as $note) {
                $place = $note->pitch->diatonic();
                $now = $inForce[$place] ?? $key->alters($note->pitch->step);
                $sign = $now === $note->pitch->alter ? '' : ([-1 => '_', 0 => '=', 1 => '^'][$note->pitch->alter] ?? '');
                $inForce[$place] = $note->pitch->alter;
                $letter = 'CDEFGAB'[$note->pitch->step];
                $octave = $note->pitch->octave;
                $notes[] = $sign.($octave >= 5 ? strtolower($letter).str_repeat("'", $octave - 5) : $letter.str_repeat(',', 4 - $octave));
                $tied = $tied || $note->tieStart;
                $finger .= $note->finger === null ? '' : "!{$note->finger}!";
            }
            $length = $event->duration->whole->times(Fraction::of(32))->floor();
            $loud = $dynamics[(string) $event->onset] ?? '';
            $text .= ($loud === '' ? '' : "!{$loud}!").$finger.($notes === [] ? 'z' : (count($notes) > 1 ? '['.implode('', $notes).']' : $notes[0])).$length.($tied ? '-' : '');
        }

        return trim($text);
    }
}
