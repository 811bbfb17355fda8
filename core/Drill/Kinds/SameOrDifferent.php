<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Bar;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Formats\MusicXml\StaffLine;
use Nasturtium\Core\Pattern\Bars;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Pitch;

/** Two bars: the same, the same shape from another note, or different? (trade 15.1, kind 9; equal bars of trade 6.1) */
final readonly class SameOrDifferent implements CardMaker
{
    private const SAME = 'the same';

    private const SHAPE = 'the same shape, from another note';

    private const DIFFERENT = 'different';

    /** So many cards of each answer. */
    private const EACH = 6;

    public function cards(Material $material): array
    {
        $bars = Bar::of($material);
        $of = [self::SAME => [], self::SHAPE => [], self::DIFFERENT => []];
        foreach ($bars as $i => $bar) {
            if (count($bar->from) > 1) {
                $of[self::SAME][] = self::card($bar, $bar->tones, self::SAME);
                $of[self::SHAPE][] = self::card($bar, self::moved($bar->tones), self::SHAPE);
            }
            $other = $bars[$i + 1] ?? null;
            if ($other !== null && $other->clef === $bar->clef && $other->measure->meter->equals($bar->measure->meter)
                && Bars::shape($bar->measure, $bar->hand) !== Bars::shape($other->measure, $other->hand)) {
                $of[self::DIFFERENT][] = self::card($bar, $other->tones, self::DIFFERENT);
            }
        }
        $cards = [];
        for ($i = 0; $i < self::EACH; $i++) {
            foreach ($of as $like) {
                if (isset($like[$i])) {
                    $cards[] = $like[$i];
                }
            }
        }

        return $cards;
    }

    /**
     * @param  list<array{?Pitch, Duration}>  $second
     */
    private static function card(Bar $bar, array $second, string $right): Card
    {
        $way = match ($right) {
            self::SAME => 'Every note stands in the same place and lasts as long.',
            self::SHAPE => 'It moves in the same way and has the same rhythm, but starts on another note.',
            default => self::whereDifferent($bar->tones, $second),
        };

        return new Card(
            "same {$bar->id()} ".substr(hash('sha256', $right.serialize(array_map(static fn (array $tone): array => [$tone[0]?->name(), (string) $tone[1]->whole], $second))), 0, 8),
            'Look at both bars. Are they the same?',
            AnswerBy::Option,
            [$right],
            $way,
            StaffLine::write($bar->clef, [$bar->tones, $second], $bar->measure->meter),
            Shown::options([self::SAME, self::SHAPE, self::DIFFERENT]),
        );
    }

    /**
     * A step up, without sharps and flats of its own.
     *
     * @param  list<array{?Pitch, Duration}>  $tones
     * @return list<array{?Pitch, Duration}>
     */
    private static function moved(array $tones): array
    {
        return array_map(static fn (array $tone): array => [$tone[0] === null ? null : Pitch::ofDiatonic($tone[0]->diatonic() + 1, $tone[0]->alter), $tone[1]], $tones);
    }

    /**
     * @param  list<array{?Pitch, Duration}>  $first
     * @param  list<array{?Pitch, Duration}>  $second
     */
    private static function whereDifferent(array $first, array $second): string
    {
        foreach ($first as $i => [$pitch, $duration]) {
            [$other, $long] = $second[$i] ?? [null, null];
            if ($long === null || ! $duration->equals($long)) {
                return 'Their rhythms are different from place '.($i + 1).' on.';
            }
            if (($pitch?->name()) !== ($other?->name())) {
                return 'Place '.($i + 1).' has another note.';
            }
        }

        return 'The second bar goes on longer.';
    }
}
