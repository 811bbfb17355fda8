<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** What does not add up on a page, each with its bar and beat (handbook 2). */
final class PageChecks
{
    /** @var list<Check> */
    private array $found = [];

    private function __construct(private readonly Piece $piece) {}

    /** @return list<Check> in the order of the page */
    public static function of(Piece $piece): array
    {
        $checks = new self($piece);
        foreach ($piece->measures as $measure) {
            $checks->lengths($measure);
            $checks->keyboard($measure);
        }
        $checks->pickup();
        $checks->repeats();
        foreach (Hand::cases() as $hand) {
            $checks->ties($hand);
            $checks->slurs($hand);
        }
        usort($checks->found, static fn (Check $a, Check $b): int => [$a->place->measure, $a->place->beats->toFloat()] <=> [$b->place->measure, $b->place->beats->toFloat()]);

        return $checks->found;
    }

    private function lengths(Measure $measure): void
    {
        $full = $measure->meter->measure();
        $last = $measure->index === count($this->piece->measures) - 1;
        foreach (Hand::cases() as $hand) {
            $events = $measure->of($hand);
            $end = $events === [] ? $measure->length : $events[count($events) - 1]->end;
            $beats = $measure->meter->beats($end);
            if ($end->compare($full) > 0) {
                $over = $measure->meter->beats($end->minus($full));
                $this->add('bar_long', $measure->place($full), $hand, "Bar {$measure->number}, {$hand->word()}: {$beats} beats in {$measure->meter}, {$over} too many.");
            } elseif ($end->compare($measure->pickup ? $measure->length : $this->expected($measure, $last)) < 0) {
                $missing = $measure->meter->beats($full->minus($end));
                $this->add('bar_short', $measure->place($end), $hand, "Bar {$measure->number}, {$hand->word()}: {$beats} beats in {$measure->meter}, {$missing} missing.");
            }
        }
    }

    /** The last bar may be short when there is a pickup: the two are held against each other. So may a bar at a repeat sign that goes back to the pickup. */
    private function expected(Measure $measure, bool $last): Fraction
    {
        $pickup = $this->piece->pickup();
        if ($pickup !== null && ($last || $measure->repeatEnd) && $measure->length->compare($measure->meter->measure()) < 0) {
            return $last ? $measure->length : $measure->meter->measure()->minus($pickup->length);
        }
        $next = $this->piece->measures[$measure->index + 1] ?? null;
        $before = $this->piece->measures[$measure->index - 1] ?? null;
        $full = $measure->meter->measure();

        // A repeat sign may stand inside a bar; its two halves make one.
        return match (true) {
            $measure->repeatEnd && $next !== null && $measure->length->plus($next->length)->equals($full),
            $before !== null && $before->repeatEnd && $measure->length->plus($before->length)->equals($full) => $measure->length,
            default => $full,
        };
    }

    private function pickup(): void
    {
        $pickup = $this->piece->pickup();
        $last = $this->piece->last();
        if ($pickup === null || $pickup->length->plus($last->length)->equals($last->meter->measure())) {
            return;
        }
        $beats = $pickup->meter->beats($pickup->length);
        $end = $last->meter->beats($last->length);
        $this->add('pickup_last', $last->place(Fraction::zero()), null, "The pickup has {$beats} and the last bar {$end} beats; together they should make one bar of {$last->meter}.");
    }

    private function keyboard(Measure $measure): void
    {
        foreach ($measure->events() as $event) {
            foreach ($event->notes as $note) {
                if (! $note->pitch->isOnKeyboard()) {
                    $this->add('outside_keyboard', $measure->place($event->onset), $event->hand, "{$note->pitch->name()} is outside the 88 keys.");
                }
            }
        }
    }

    private function ties(Hand $hand): void
    {
        /** @var array<string, array{Event, Note}> $open by pitch */
        $open = [];
        foreach ($this->piece->hand($hand) as $event) {
            $next = [];
            foreach ($event->notes as $note) {
                $name = $note->pitch->name();
                if ($note->tieStop && ! isset($open[$name])) {
                    $this->add('tie_broken', $this->piece->place($event), $hand, "The tie into {$name} does not come from the same note.");
                }
                unset($open[$name]);
                if ($note->tieStart) {
                    $next[$name] = [$event, $note];
                }
            }
            $this->openTies($open, $hand);
            $open = $next;
        }
        $this->openTies($open, $hand);
    }

    /** @param array<string, array{Event, Note}> $open */
    private function openTies(array $open, Hand $hand): void
    {
        foreach ($open as $name => [$event]) {
            $this->add('tie_broken', $this->piece->place($event), $hand, "The tie from {$name} goes to another pitch, or nowhere.");
        }
    }

    private function slurs(Hand $hand): void
    {
        $open = null;
        foreach ($this->piece->hand($hand) as $event) {
            if ($event->has(Mark::SlurStop)) {
                if ($open === null) {
                    $this->add('slur_open', $this->piece->place($event), $hand, 'A slur ends here that began nowhere.');
                }
                $open = null;
            }
            if ($event->has(Mark::SlurStart)) {
                $open = $event;
            }
        }
        if ($open !== null) {
            $this->add('slur_open', $this->piece->place($open), $hand, 'The slur that begins here is not closed.');
        }
    }

    private function repeats(): void
    {
        $open = null;
        $ending = null;
        foreach ($this->piece->measures as $measure) {
            if ($measure->repeatStart) {
                $this->repeatOpen($open);
                $open = $measure;
            }
            if ($measure->endings !== [] && in_array(1, $measure->endings, true)) {
                $ending = $measure;
            }
            if ($measure->repeatEnd) {
                $open = null;
                $ending = null;
            }
        }
        $this->repeatOpen($open);
        if ($ending !== null) {
            $this->add('ending_open', $ending->place(Fraction::zero()), null, "The first ending at bar {$ending->number} has no repeat sign after it.");
        }
    }

    private function repeatOpen(?Measure $measure): void
    {
        if ($measure !== null) {
            $this->add('repeat_open', $measure->place(Fraction::zero()), null, "The repeat that begins at bar {$measure->number} is not closed.");
        }
    }

    private function add(string $code, Place $place, ?Hand $hand, string $text): void
    {
        $this->found[] = new Check($code, $place, $hand, $text);
    }
}
