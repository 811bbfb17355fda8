<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/**
 * The numbers of measures as a page prints them. A bar that a repeat sign or a double bar divides is one bar with one
 * number, counted through; a measure that the source leaves unnumbered adds none (section 6 of the trade's rules).
 */
final class MeasureNumbers
{
    /** @var list<int> */
    private array $numbers = [];

    /** @var list<Fraction|null> what of the bar stands before each measure that goes on with one */
    private array $after = [];

    /** Numbers that the source has given to measures that have none of their own. */
    private int $tooMany = 0;

    /**
     * @param  list<MeasureDraft>  $drafts
     * @param  list<Fraction>  $lengths
     */
    private function __construct(private readonly array $drafts, private readonly array $lengths, private readonly bool $pickup) {}

    /**
     * @param  list<MeasureDraft>  $drafts
     * @param  list<Fraction>  $lengths  of each, in whole notes
     * @param  bool  $pickup  the first is one
     * @return array{list<int>, list<Fraction|null>} numbers, and what stands before each second part of a bar
     */
    public static function of(array $drafts, array $lengths, bool $pickup): array
    {
        $made = new self($drafts, $lengths, $pickup);
        $said = $made->isSaid();
        foreach (array_keys($drafts) as $i) {
            $made->number($i, $said);
        }

        return [$made->numbers, $made->after];
    }

    /** The source numbers its measures, and the numbers rise. */
    private function isSaid(): bool
    {
        $last = null;
        foreach ($this->drafts as $i => $draft) {
            if ($draft->number === null || $draft->implicit || ($i === 0 && $this->pickup)) {
                if (! $draft->implicit && $i > 0) {
                    return false;
                }

                continue;
            }
            if ($last !== null && $draft->number <= $last) {
                return false;
            }
            $last = $draft->number;
        }

        return $last !== null;
    }

    private function number(int $i, bool $said): void
    {
        $draft = $this->drafts[$i];
        if ($i === 0) {
            $this->first($draft, $said);

            return;
        }
        $before = $this->numbers[$i - 1] ?? 0;
        $after = $this->goesOn($i);
        if ($after !== null || $draft->implicit) {
            $this->tooMany += $said && ! $draft->implicit && $draft->number !== null ? 1 : 0;
            $this->numbers[] = $before;
            $this->after[] = $after;

            return;
        }
        $this->numbers[] = $said && $draft->number !== null ? max($before + 1, $draft->number - $this->tooMany) : $before + 1;
        $this->after[] = null;
    }

    private function first(MeasureDraft $draft, bool $said): void
    {
        $this->after[] = null;
        if (! $this->pickup) {
            $this->numbers[] = $said ? max(1, $draft->number ?? 1) : 1;

            return;
        }
        // A source that calls the pickup 1 goes on with 2, where the page prints 1.
        $next = $this->drafts[1]->number ?? null;
        $this->tooMany = $draft->number !== null && $draft->number > 0 && $next === $draft->number + 1 ? $draft->number : 0;
        $this->numbers[] = 0;
    }

    /** @return Fraction|null what stands before it of the bar that it goes on with; null when it begins one */
    private function goesOn(int $i): ?Fraction
    {
        [$before, $draft] = [$this->drafts[$i - 1], $this->drafts[$i]];
        $full = $draft->meter->measure();
        $together = ($this->after[$i - 1] ?? Fraction::zero())->plus($this->lengths[$i - 1]);
        if (! $before->meter->equals($draft->meter) || ($i === 1 && $this->pickup) || $this->lengths[$i]->compare($full) >= 0) {
            return null;
        }
        $sum = $together->plus($this->lengths[$i])->compare($full);
        $isDivided = $before->repeatEnd || $before->barStyle !== '' || $draft->repeatStart || in_array(Navigation::Fine, $before->navigation, true);

        return $sum === 0 && $isDivided || $sum <= 0 && $draft->implicit ? $together : null;
    }
}
