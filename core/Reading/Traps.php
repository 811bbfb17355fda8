<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Place;

/** The reading traps of a page that are worth a warning (trade 3.7). */
final class Traps
{
    /** Notes down the staff that make a run. */
    private const RUN = 3;

    /** B3, C4 and D4 are written in both clefs. */
    private const LEDGER_ZONE = ['B3', 'C4', 'D4'];

    /** @var list<Trap> */
    private array $found = [];

    private function __construct(private readonly Piece $piece) {}

    /** @return list<Trap> none on a page without a staff, in the order of the page */
    public static function of(Piece $piece): array
    {
        if (! $piece->notation->hasStaff()) {
            return [];
        }
        $traps = new self($piece);
        $traps->oneClef();
        $traps->clefChanges();
        $traps->crossed();
        $traps->ledgerZone();
        $traps->leftDown();
        usort($traps->found, static fn (Trap $a, Trap $b): int => $a->place->measure <=> $b->place->measure ?: $a->place->beats->compare($b->place->beats));

        return $traps->found;
    }

    private function oneClef(): void
    {
        $first = $this->piece->measures[0];
        $clef = $first->clefs['R'];
        if ($clef === $first->clefs['L'] && $this->piece->plays(Hand::Right) && $this->piece->plays(Hand::Left)) {
            $other = $clef->isLow() ? Hand::Right : Hand::Left;
            $this->add('one_clef', $first->place(Fraction::zero()), $other, "Both hands read the {$clef->words()} clef. Say so before a note is played.", []);
        }
    }

    private function clefChanges(): void
    {
        foreach ($this->piece->measures as $i => $measure) {
            foreach (Hand::cases() as $staff) {
                $before = $i === 0 ? null : $this->piece->measures[$i - 1]->clefAtEnd($staff);
                if ($before !== null && $before !== $measure->clefs[$staff->value]) {
                    $this->clefChange($measure, Fraction::zero(), $staff, $measure->clefs[$staff->value]);
                }
            }
            foreach ($measure->changes as $change) {
                if ($change->to instanceof Clef && $change->staff !== null) {
                    $this->clefChange($measure, $change->onset, $change->staff, $change->to);
                }
            }
        }
    }

    private function clefChange(Measure $measure, Fraction $onset, Hand $staff, Clef $clef): void
    {
        $place = $measure->place($onset);
        $after = array_filter($measure->events(), static fn (Event $event): bool => $event->staff() === $staff && ! $event->isRest() && $event->onset->compare($onset) >= 0);
        $this->add('clef_change', $place, $staff, "From bar {$measure->number} on".($onset->isZero() ? '' : ', beat '.($place->beats->floor() + 1).',')." the {$staff->word()} reads the {$clef->words()} clef.", self::ids($after));
    }

    private function crossed(): void
    {
        foreach ([Hand::Right, Hand::Left] as $hand) {
            $run = [];
            foreach ([...$this->piece->hand($hand), null] as $event) {
                if ($event !== null && $event->crossed) {
                    $run = $event->isRest() ? $run : [...$run, $event];
                } elseif ($run !== []) {
                    $staff = $hand === Hand::Right ? 'lower' : 'upper';
                    $this->add('crossed', $this->piece->place($run[0]), $hand, "Bar {$this->number($run[0])}: the {$hand->word()} plays what stands on the {$staff} staff.", self::ids($run));
                    $run = [];
                }
            }
        }
    }

    /** The same key written in two clefs. */
    private function ledgerZone(): void
    {
        $seen = [];
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->events() as $event) {
                foreach ($event->notes as $note) {
                    if (in_array($note->pitch->name(), self::LEDGER_ZONE, true) && $event->ottava === 0) {
                        $seen[$note->pitch->name()][$event->clef->value][] = $event;
                    }
                }
            }
        }
        foreach ($seen as $name => $clefs) {
            if (count($clefs) > 1) {
                $events = array_merge(...array_values($clefs));
                usort($events, static fn (Event $a, Event $b): int => $a->measure <=> $b->measure ?: $a->onset->compare($b->onset));
                $this->add('ledger_zone', $this->piece->place($events[0]), null, "{$name} is written in both clefs here. It is one and the same key.", self::ids($events));
            }
        }
    }

    /** The alphabet backwards, towards the left. */
    private function leftDown(): void
    {
        $run = [];
        foreach ([...$this->piece->hand(Hand::Left), null] as $event) {
            if ($event !== null && ! $event->isStruck()) {
                continue;
            }
            $last = $run === [] ? null : $run[count($run) - 1];
            if ($event !== null && ($last === null || $event->lowest()->diatonic() === $last->lowest()->diatonic() - 1)) {
                $run[] = $event;

                continue;
            }
            if (count($run) >= self::RUN) {
                $letters = implode(' ', array_map(static fn (Event $one): string => $one->lowest()->letter(), $run));
                $this->add('left_down', $this->piece->place($run[0]), Hand::Left, "Bar {$this->number($run[0])}: the left hand runs down, {$letters}: the alphabet backwards, towards the left.", self::ids($run));
            }
            $run = $event === null ? [] : [$event];
        }
    }

    private function number(Event $event): int
    {
        return $this->piece->measures[$event->measure]->number;
    }

    /**
     * @param  array<Event>  $events
     * @return list<string>
     */
    private static function ids(array $events): array
    {
        return array_values(array_map(static fn (Event $event): string => $event->id, $events));
    }

    /** @param list<string> $events */
    private function add(string $code, Place $place, ?Hand $hand, string $text, array $events): void
    {
        $this->found[] = new Trap($code, $place, $hand, $text, $events);
    }
}
