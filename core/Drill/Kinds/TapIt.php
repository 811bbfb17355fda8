<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Counting\CountIn;
use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Bar;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Drill\Taps;
use Nasturtium\Core\Formats\MusicXml\StaffLine;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;

/** Two bars to tap after a count-in (trade 15.1, kind 8). */
final readonly class TapIt implements CardMaker
{
    /** Milliseconds of a beat: ♩ = 75. */
    private const BEAT = 800;

    private const MOST = 16;

    /** Rhythms with fewer notes first. */
    public function cards(Material $material): array
    {
        $cards = [];
        $bars = array_values(array_filter(Bar::of($material), static fn (Bar $bar): bool => ! $bar->measure->meter->isCompound() && $bar->from !== []));
        foreach ($bars as $i => $bar) {
            $next = $bars[$i + 1] ?? $bar;
            $second = $next->measure->meter->equals($bar->measure->meter) && $next->clef === $bar->clef ? $next : $bar;
            $rhythm = "{$bar->measure->meter} {$bar->rhythm()} | {$second->rhythm()}";
            $cards[$rhythm] ??= self::card($material, $bar, $second, $rhythm);
        }
        usort($cards, static fn (Card $a, Card $b): int => count($a->taps->at ?? []) <=> count($b->taps->at ?? []));

        return array_slice($cards, 0, self::MOST);
    }

    private static function card(Material $material, Bar $bar, Bar $second, string $rhythm): Card
    {
        $meter = $bar->measure->meter;
        $whole = Fraction::of(self::BEAT * $meter->unit);
        $at = array_map(static fn (Duration $from): int => $from->whole->times($whole)->floor(), $bar->from);
        foreach ($second->from as $from) {
            $at[] = $from->whole->plus($meter->measure())->times($whole)->floor();
        }
        assert($at !== []);

        return new Card(
            'tap '.substr(hash('sha256', $rhythm), 0, 12),
            'Listen to the count, then tap the rhythm.',
            AnswerBy::Taps,
            ['taps'],
            'Count it aloud and clap it once. Keep the beat going through long notes and rests.',
            StaffLine::write($bar->clef, [$bar->tones, $second->tones], $meter),
            taps: new Taps(self::BEAT, CountIn::for($meter, Fraction::zero(), $material->counting)->counts, $at),
        );
    }
}
