<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** What does not add up on a page, each with its bar and beat (trade 2.7). */
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
        array_push($checks->found, ...RoadChecks::of($piece), ...LineChecks::of($piece));
        usort($checks->found, static fn (Check $a, Check $b): int => $a->place->measure <=> $b->place->measure ?: $a->place->beats->compare($b->place->beats));

        return $checks->found;
    }

    private function lengths(Measure $measure): void
    {
        $full = $measure->meter->measure();
        $last = $measure->index === count($this->piece->measures) - 1;
        foreach (Hand::cases() as $hand) {
            $events = $measure->of($hand);
            if ($events === []) {
                continue;
            }
            $final = $events[count($events) - 1];
            $end = $final->end;
            $beats = self::inWords($measure->meter->beats($end));
            if ($end->compare($full) > 0) {
                $over = $measure->meter->beats($end->minus($full));
                $drop = $final->isRest() && $final->onset->equals($full) ? Fix::dropRests([$final->id]) : null;
                $this->add('bar_long', $measure->place($full), $hand, "Bar {$measure->number}, {$hand->word()}: {$beats} in {$measure->meter}, {$over} too many.", $final, $drop);
            } elseif ($end->compare($measure->pickup ? $measure->length : $this->expected($measure, $last)) < 0) {
                $missing = $measure->meter->beats($full->minus($end));
                $this->add('bar_short', $measure->place($end), $hand, "Bar {$measure->number}, {$hand->word()}: {$beats} in {$measure->meter}, {$missing} missing.", $final, $this->fill($measure, $hand, $end, $final));
            }
        }
    }

    /** The other hand says how long the bar is: then what is missing is a rest. */
    private function fill(Measure $measure, Hand $hand, Fraction $end, Event $final): ?Fix
    {
        $other = $measure->of($hand->other());
        $fills = $other !== [] && $other[count($other) - 1]->end->equals($measure->meter->measure());

        return $fills ? Fix::fillWithRest($final->id, $measure->meter->measure()->minus($end)) : null;
    }

    /** How long a bar must be at least: the last may be short when there is a pickup, as the two are held against each other. */
    private function expected(Measure $measure, bool $last): Fraction
    {
        $full = $measure->meter->measure();
        if ($last && $this->piece->pickup() !== null && $measure->length->compare($full) < 0) {
            return $measure->length;
        }
        $next = $this->piece->measures[$measure->index + 1] ?? null;
        $before = $this->piece->measures[$measure->index - 1] ?? null;
        $halves = [
            // A repeat sign, or the place the player is sent to, may stand inside a bar; its two halves make one.
            $next !== null && self::divided($measure, $next) ? $next : null,
            $before !== null && self::divided($before, $measure) ? $before : null,
            $measure->repeatEnd ? $this->goesBackTo($measure) : null,
        ];
        foreach ($halves as $half) {
            if ($half !== null && $measure->length->plus($half->length)->equals($full)) {
                return $measure->length;
            }
        }
        $pickup = $measure->repeatEnd && $this->goesBackTo($measure)->pickup ? $this->piece->pickup() : null;

        return $pickup === null ? $full : $full->minus($pickup->length);
    }

    /** The bar from which the repeat is played that ends here. */
    private function goesBackTo(Measure $end): Measure
    {
        $measures = $this->piece->measures;
        for ($i = $end->index; $i > 0; $i--) {
            if ($measures[$i]->repeatStart || ($measures[$i - 1]->repeatEnd && $measures[$i]->endings === [])) {
                break;
            }
        }

        return $measures[$i];
    }

    private static function divided(Measure $before, Measure $after): bool
    {
        return $before->isDivided() || $after->repeatStart;
    }

    private function pickup(): void
    {
        $pickup = $this->piece->pickup();
        $last = $this->piece->last();
        if ($pickup === null || $pickup->length->plus($last->length)->equals($last->meter->measure())) {
            return;
        }
        $beats = $pickup->meter->beats($pickup->length);
        $end = self::inWords($last->meter->beats($last->length));
        $over = $pickup->length->plus($last->length)->minus($last->meter->measure());
        $this->add(
            'pickup_last',
            $last->place(Fraction::zero()),
            null,
            "The pickup has {$beats} and the last bar {$end}; together they should make one bar of {$last->meter}.",
            null,
            $this->restsAtTheEnd($last, $over),
        );
    }

    /** In both hands the last bar ends with a rest as long as what is too much: it was written to fill the bar. */
    private function restsAtTheEnd(Measure $last, Fraction $over): ?Fix
    {
        $rests = [];
        foreach (Hand::cases() as $hand) {
            $events = $last->of($hand);
            $final = $events[count($events) - 1] ?? null;
            if ($final !== null && (! $final->isRest() || ! $final->duration->whole->equals($over) || count($events) === 1)) {
                return null;
            }
            $rests = $final === null ? $rests : [...$rests, $final->id];
        }

        return $rests === [] ? null : Fix::dropRests($rests);
    }

    private function keyboard(Measure $measure): void
    {
        foreach ($measure->events() as $event) {
            foreach ($event->notes as $note) {
                if (! $note->pitch->isOnKeyboard()) {
                    $this->add('outside_keyboard', $measure->place($event->onset), $event->hand, "{$note->pitch->name()} is outside the 88 keys.", $event);
                }
            }
        }
    }

    private static function inWords(Fraction $beats): string
    {
        return $beats.($beats->compare(Fraction::of(1)) > 0 ? ' beats' : ' beat');
    }

    private function add(string $code, Place $place, ?Hand $hand, string $text, ?Event $event = null, ?Fix $fix = null): void
    {
        $this->found[] = new Check($code, $place, $hand, $text, $event === null ? [] : [$event->id], $fix);
    }
}
