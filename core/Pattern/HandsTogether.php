<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;

/** What the hands do with each other in a bar (trade 7.1). */
final readonly class HandsTogether
{
    /**
     * @param  Motion|null  $motion  null unless they move together
     * @param  bool|null  $sameRhythm  null unless they play together
     */
    private function __construct(public HandsPlay $play, public ?Motion $motion, public ?bool $sameRhythm) {}

    public static function in(Measure $measure): self
    {
        $right = self::sounding($measure, Hand::Right);
        $left = self::sounding($measure, Hand::Left);
        if ($right === [] || $left === []) {
            return new self($right !== [] ? HandsPlay::Right : ($left !== [] ? HandsPlay::Left : HandsPlay::Rest), null, null);
        }
        if (! self::overlap($right, $left)) {
            return new self(HandsPlay::Turns, null, null);
        }

        return new self(HandsPlay::Together, self::motion($right, $left), Bars::rhythm($measure, Hand::Right) === Bars::rhythm($measure, Hand::Left));
    }

    /** Whether one hand holds or repeats one key while the other plays: nothing is easier together (trade 6.4). */
    public function isOverOneNote(Measure $measure): bool
    {
        if ($this->play !== HandsPlay::Together) {
            return false;
        }
        foreach (Hand::cases() as $hand) {
            $keys = [];
            foreach (self::sounding($measure, $hand) as $event) {
                foreach ($event->notes as $note) {
                    $keys[$note->pitch->midi()] = true;
                }
            }
            if (count($keys) === 1) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Event> */
    private static function sounding(Measure $measure, Hand $hand): array
    {
        return array_values(array_filter($measure->inTime($hand), static fn (Event $event): bool => ! $event->isRest()));
    }

    /**
     * @param  list<Event>  $right
     * @param  list<Event>  $left
     */
    private static function overlap(array $right, array $left): bool
    {
        [$r, $l] = [0, 0];
        while ($r < count($right) && $l < count($left)) {
            if ($right[$r]->end->compare($left[$l]->onset) <= 0) {
                $r++;
            } elseif ($left[$l]->end->compare($right[$r]->onset) <= 0) {
                $l++;
            } else {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  non-empty-list<Event>  $right
     * @param  non-empty-list<Event>  $left
     */
    private static function motion(array $right, array $left): ?Motion
    {
        $kinds = [];
        $before = null;
        foreach (self::moments($right, $left) as $moment) {
            $now = [self::at($right, $moment), self::at($left, $moment)];
            if ($now[0] !== null && $now[1] !== null && $before !== null) {
                $kind = self::kind($now[0] <=> $before[0], $now[1] <=> $before[1]);
                if ($kind !== null) {
                    $kinds[$kind->value] = $kind;
                }
            }
            $before = $now[0] !== null && $now[1] !== null ? $now : null;
        }

        return match (count($kinds)) {
            0 => null,
            1 => reset($kinds),
            default => Motion::Mixed,
        };
    }

    private static function kind(int $right, int $left): ?Motion
    {
        return match (true) {
            $right === 0 && $left === 0 => null,
            $right === 0 || $left === 0 => Motion::Oblique,
            $right === $left => Motion::Parallel,
            default => Motion::Contrary,
        };
    }

    /**
     * @param  list<Event>  $right
     * @param  list<Event>  $left
     * @return list<Fraction> every onset of either hand, in time
     */
    private static function moments(array $right, array $left): array
    {
        $moments = [];
        foreach ([...$right, ...$left] as $event) {
            $moments[(string) $event->onset] = $event->onset;
        }
        usort($moments, static fn (Fraction $a, Fraction $b): int => $a->compare($b));

        return $moments;
    }

    /**
     * @param  list<Event>  $events
     * @return int|null the lowest key that sounds at a moment
     */
    private static function at(array $events, Fraction $moment): ?int
    {
        foreach ($events as $event) {
            if ($event->onset->compare($moment) <= 0 && $event->end->compare($moment) > 0) {
                return $event->lowest()->midi();
            }
        }

        return null;
    }
}
