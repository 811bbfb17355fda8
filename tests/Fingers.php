<?php

declare(strict_types=1);

use Nasturtium\Core\Fingering\FingerSearch;
use Nasturtium\Core\Fingering\HandFingers;
use Nasturtium\Core\Fingering\HandSize;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Ink;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;

/**
 * Notes of one hand by their pitches, in bars of 4/4: `C4 D4 E4+G4 - F4:3 G4. h:A4`. `-` is a rest, `:3` a printed finger,
 * a dot after it is staccato; eighths, or what `q:`, `h:` or `w:` before it says.
 */
function passage(string $notes, Hand $hand = Hand::Right, string $key = 'C', string $length = 'e'): Piece
{
    $bars = [];
    $bar = [];
    $at = Fraction::zero();
    foreach (explode(' ', $notes) as $i => $word) {
        [$given, $what] = preg_match('/^([eqhw]):(.+)$/', $word, $found) === 1 ? [$found[1], $found[2]] : [$length, $word];
        $duration = Duration::ofNote(['e' => 'eighth', 'q' => 'quarter', 'h' => 'half', 'w' => 'whole'][$given]);
        $isShort = str_ends_with($what, '.');
        $heads = $what === '-' ? [] : array_map(static function (string $head): Note {
            [$pitch, $finger] = [...explode(':', $head), null];

            return new Note(Pitch::parse($pitch), $finger === null ? null : (int) $finger);
        }, explode('+', rtrim($what, '.')));
        $bar[] = new Event("e{$i}", $hand, Clef::Treble, count($bars), $at, $duration, $heads, new Ink($isShort ? [Mark::Staccato] : []));
        $at = $at->plus($duration->whole);
        if ($at->compare(Fraction::of(1)) >= 0) {
            $bars[] = [$bar, $at];
            [$bar, $at] = [[], Fraction::zero()];
        }
    }
    if ($bar !== []) {
        $bars[] = [$bar, $at];
    }

    return new Piece('passage', array_map(static fn (array $of, int $index): Measure => new Measure(
        $index,
        $index + 1,
        new Meter(4, 4),
        Key::parse($key),
        $of[1],
        $hand === Hand::Right ? $of[0] : [],
        $hand === Hand::Left ? $of[0] : [],
    ), $bars, array_keys($bars)));
}

function hand_of(string $hand): Hand
{
    return $hand === 'L' ? Hand::Left : Hand::Right;
}

/** @return string the fingers of a passage, the notes of a chord joined */
function fingered(Piece $piece, Hand $hand, ?HandSize $size = null): string
{
    return said_fingers($piece, $hand, FingerSearch::for($piece, $hand, null, $size), 'fingers');
}

function said_fingers(Piece $piece, Hand $hand, HandFingers $found, string $which): string
{
    $fingers = [];
    foreach ($piece->hand($hand) as $event) {
        if (! $event->isRest()) {
            $fingers[] = implode('+', ($which === 'or' ? $found->or : $found->fingers)[$event->id] ?? $found->fingers[$event->id]);
        }
    }

    return implode(' ', $fingers);
}

/** @return string a letter for each move of the hand: start, stay, under, over, shift as m */
function moves_of(Piece $piece, Hand $hand): string
{
    return implode(' ', array_map(static fn ($placed): string => ['start' => '|', 'stay' => '.', 'shift' => 'm', 'under' => 'u', 'over' => 'o'][$placed->move->value], FingerSearch::for($piece, $hand)->placed));
}
