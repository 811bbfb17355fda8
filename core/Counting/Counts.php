<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;

/** The counts under every bar (handbook 5): struck `1`, held `(2)`, rests `[3]`. */
final readonly class Counts
{
    /** @param array<string, list<string>> $byEvent */
    private function __construct(private array $byEvent) {}

    public static function of(Piece $piece, CountingSystem $system = CountingSystem::Numbers, CountStyle $style = CountStyle::WholeBar): self
    {
        $byEvent = [];
        foreach ($piece->measures as $measure) {
            $grid = $system === CountingSystem::Numbers ? self::grid($measure, $style) : [];
            foreach (Hand::cases() as $hand) {
                $byEvent += $system === CountingSystem::Numbers
                    ? self::numbers($measure, $hand, $grid)
                    : self::units($measure, $hand);
            }
        }

        return new self($byEvent);
    }

    /** @return list<string> */
    public function under(Event $event): array
    {
        return $this->byEvent[$event->id] ?? [];
    }

    /** A bar of one hand as it is written under the notes: `1 2 3 (4)`. */
    public function text(Measure $measure, Hand $hand): string
    {
        $counts = [];
        foreach ($measure->of($hand) as $event) {
            array_push($counts, ...$this->under($event));
        }

        return implode(' ', $counts);
    }

    /**
     * @param  list<Fraction>  $grid
     * @return array<string, list<string>>
     */
    private static function numbers(Measure $measure, Hand $hand, array $grid): array
    {
        $counts = [];
        $next = 0;
        foreach ($measure->of($hand) as $event) {
            $starts = $measure->meter->beats($measure->offset->plus($event->onset));
            $ends = $measure->meter->beats($measure->offset->plus($event->end));
            while ($next < count($grid) && $grid[$next]->compare($starts) < 0) {
                $next++;
            }
            $said = [];
            if ($next >= count($grid) || ! $grid[$next]->equals($starts)) {
                $said[] = self::bracket($event, CountWords::BETWEEN, true);
            }
            for (; $next < count($grid) && $grid[$next]->compare($ends) < 0; $next++) {
                $said[] = self::bracket($event, CountWords::at($grid[$next]), $said === []);
            }
            $counts[$event->id] = $said;
        }

        return $counts;
    }

    private static function bracket(Event $event, string $word, bool $first): string
    {
        return match (true) {
            $event->isRest() => "[{$word}]",
            $event->isHeld() || ! $first => "({$word})",
            default => $word,
        };
    }

    /** @return array<string, list<string>> */
    private static function units(Measure $measure, Hand $hand): array
    {
        $counts = [];
        foreach ($measure->of($hand) as $event) {
            $beats = max(1, $event->duration->inBeatsOf($measure->meter)->ceil());
            $word = implode('-', range(1, $beats));
            $counts[$event->id] = [self::bracket($event, $word, true)];
        }

        return $counts;
    }

    /**
     * The moments that are said in this bar, in beats from its start, in order.
     *
     * @return list<Fraction>
     */
    private static function grid(Measure $measure, CountStyle $style): array
    {
        $from = $measure->meter->beats($measure->offset);
        $to = $from->plus($measure->meter->beats($measure->length));
        $divisions = self::divisions($measure);
        $everywhere = $style === CountStyle::WholeBar && array_filter($divisions, static fn (int $by): bool => $by % 2 === 0) !== [];
        $grid = [];
        for ($beat = $from->floor(); Fraction::of($beat)->compare($to) < 0; $beat++) {
            $by = max($divisions[$beat] ?? 1, $everywhere && ($divisions[$beat] ?? 1) === 1 ? 2 : 1);
            for ($part = 0; $part < $by; $part++) {
                $moment = Fraction::of($beat * $by + $part, $by);
                if ($moment->compare($from) >= 0 && $moment->compare($to) < 0) {
                    $grid[] = $moment;
                }
            }
        }

        return $grid;
    }

    /** @return array<int, int> into how many parts each beat is divided, by beat from 0; undivided beats are left out */
    private static function divisions(Measure $measure): array
    {
        $divisions = [];
        foreach ($measure->events() as $event) {
            foreach ([$event->onset, $event->end] as $moment) {
                $beats = $measure->meter->beats($measure->offset->plus($moment));
                $by = match ($beats->denominator) {
                    1 => 1,
                    2 => 2,
                    3, 6 => 3,
                    default => 4,
                };
                if ($by > ($divisions[$beats->floor()] ?? 1)) {
                    $divisions[$beats->floor()] = $by;
                }
            }
        }

        return $divisions;
    }
}
