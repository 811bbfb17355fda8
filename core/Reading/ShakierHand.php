<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;

/** The hand whose notes a student knows less; it goes first in the day (trade 7.2). */
final readonly class ShakierHand
{
    /** How much a note wants, by how it is known. */
    private const WANTS = ['new' => 2, 'shaky' => 1, 'secure' => 0];

    /** @return Hand|null null when both know theirs alike, or only one plays */
    public static function of(Piece $piece, KnownNotes $known): ?Hand
    {
        [$right, $rightNotes] = self::wants($piece, Hand::Right, $known);
        [$left, $leftNotes] = self::wants($piece, Hand::Left, $known);
        if ($rightNotes === 0 || $leftNotes === 0 || $right * $leftNotes === $left * $rightNotes) {
            return null;
        }

        return $left * $rightNotes > $right * $leftNotes ? Hand::Left : Hand::Right;
    }

    /** @return array{int, int} what a hand's notes want together, and how many different ones it has */
    private static function wants(Piece $piece, Hand $hand, KnownNotes $known): array
    {
        $wants = [];
        foreach ($piece->hand($hand) as $event) {
            foreach ($event->notes as $note) {
                $wants["{$event->clef->value} {$note->pitch->name()}"] ??= self::WANTS[$known->status($note->pitch, $event->clef)->value];
            }
        }

        return [array_sum($wants), count($wants)];
    }
}
