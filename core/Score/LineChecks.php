<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** Ties, slurs and hairpins that begin nowhere, or never end (trade 2.7). */
final class LineChecks
{
    /** @var list<Check> */
    private array $found = [];

    private function __construct(private readonly Piece $piece) {}

    /** @return list<Check> */
    public static function of(Piece $piece): array
    {
        $checks = new self($piece);
        foreach (Hand::cases() as $hand) {
            $checks->ties($hand);
            $checks->hairpins($hand);
        }
        $checks->slurs();

        return $checks->found;
    }

    private function ties(Hand $hand): void
    {
        /** @var array<string, array{Event, Fraction}> $open by pitch: the event, and when its note ends */
        $open = [];
        $start = Fraction::zero();
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->inTime($hand) as $event) {
                $at = $start->plus($event->onset);
                foreach ($event->notes as $note) {
                    $name = $note->pitch->name();
                    $from = $open[$name] ?? null;
                    $meets = $from !== null && $from[1]->equals($at);
                    if ($from !== null && ($note->tieStop || $from[1]->compare($at) <= 0)) {
                        $this->tieEnds($from[0], $name, $meets && $note->tieStop);
                        unset($open[$name]);
                    }
                    // Into a later ending a tie comes from the bar before the first one.
                    if ($note->tieStop && ! $meets && ! ($event->onset->isZero() && $measure->endings !== [])) {
                        $this->tieArrives($open, $event, $name, $at);
                    }
                    if ($note->tieStart) {
                        $open[$name] = [$event, $start->plus($event->end)];
                    }
                }
            }
            $start = $start->plus($measure->length);
        }
        foreach ($open as $name => [$event]) {
            $this->tieEnds($event, $name, false);
        }
    }

    /**
     * A tie that ends on another pitch than it began with is one mistake, said where it begins.
     *
     * @param  array<string, array{Event, Fraction}>  $open
     */
    private function tieArrives(array &$open, Event $event, string $name, Fraction $at): void
    {
        $here = array_map(static fn (Note $note): string => $note->pitch->name(), $event->notes);
        foreach ($open as $other => [$from, $end]) {
            if ($end->equals($at) && $from->voice === $event->voice && ! in_array($other, $here, true)) {
                $this->tieEnds($from, $other, false);
                unset($open[$other]);

                return;
            }
        }
        $this->add('tie_broken', $event, "The tie into {$name} does not come from the same note.");
    }

    private function tieEnds(Event $from, string $name, bool $held): void
    {
        if (! $held) {
            $this->add('tie_broken', $from, "The tie from {$name} goes to another pitch, or nowhere.", Fix::dropTie($from->id));
        }
    }

    /** The two ends of a slur may be in two hands; the same number may be open in both. */
    private function slurs(): void
    {
        /** @var list<array{Event, SlurEnd}> $open */
        $open = [];
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->inTime() as $event) {
                foreach (self::slurEnds($event) as $end) {
                    if ($end->starts) {
                        $open[] = [$event, $end];

                        continue;
                    }
                    $from = self::beginning($open, $event, $end);
                    if ($from === null) {
                        $this->add('slur_open', $event, 'A slur ends here that began nowhere.');
                    } else {
                        array_splice($open, $from, 1);
                    }
                }
            }
        }
        foreach ($open as [$event]) {
            $this->add('slur_open', $event, 'The slur that begins here is not closed.');
        }
    }

    /** @return list<SlurEnd> of its grace notes, which come first, and its own */
    private static function slurEnds(Event $event): array
    {
        return [...array_merge(...array_map(static fn (Grace $grace): array => $grace->slurs, $event->ink->graces)), ...$event->ink->slurs];
    }

    /** @param list<array{Event, SlurEnd}> $open */
    private static function beginning(array $open, Event $event, SlurEnd $end): ?int
    {
        $elsewhere = null;
        foreach ($open as $i => [$from, $start]) {
            if ($start->number === $end->number && $from->hand === $event->hand) {
                return $i;
            }
            if ($start->number === $end->number) {
                $elsewhere ??= $i;
            }
        }

        return $elsewhere;
    }

    private function hairpins(Hand $staff): void
    {
        $open = null;
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->signs as $sign) {
                if ($sign->staff !== $staff) {
                    continue;
                }
                if ($sign->kind->end() === SignKind::HairpinEnd) {
                    $this->hairpinOpen($open, $staff);
                    $open = $measure->place($sign->onset);
                } elseif ($sign->kind === SignKind::HairpinEnd) {
                    $open = null;
                }
            }
        }
        $this->hairpinOpen($open, $staff);
    }

    private function hairpinOpen(?Place $place, Hand $staff): void
    {
        if ($place !== null) {
            $this->found[] = new Check('hairpin_open', $place, $staff, 'The hairpin that begins here has no end.');
        }
    }

    private function add(string $code, Event $event, string $text, ?Fix $fix = null): void
    {
        $this->found[] = new Check($code, $this->piece->place($event), $event->hand, $text, [$event->id], $fix);
    }
}
