<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Mark;

/** A note, a chord or a rest as it was read. */
final readonly class ReadSign
{
    /**
     * @param int            $x     pixels of its staff's strip
     * @param int            $onset in ticks of the bar, see Item::QUARTER
     * @param int            $base  its length without dots, in ticks; in a triplet two thirds of what is printed
     * @param list<ReadHead> $heads from the lowest; none for a rest
     * @param list<Mark>     $marks
     * @param string         $lyric the syllable below it; one that is not the last of its word ends with a hyphen
     * @param int            $voice 0, or 1 for the lower of two on one staff
     * @param string         $dynamic how loud it is from here on, as printed: mf
     * @param list<LineEnd>  $lines slurs and hairpins that begin or end at it
     * @param array{int, int}|null $seen its base and dots as they were seen, where others were taken to come to the bar
     * @param Clef|null      $clef another one that stands before it
     */
    public function __construct(public int $x, public int $onset, public int $base, public int $dots, public array $heads, public array $marks = [], public string $lyric = '', public int $voice = 0, public string $dynamic = '', public array $lines = [], public ?array $seen = null, public ?Clef $clef = null) {}

    public static function of(Item $item): self
    {
        return new self((int) round($item->x), $item->onset, $item->base, $item->dots, array_map(ReadHead::of(...), $item->heads), $item->marks, $item->lyric, $item->voice, $item->dynamic, $item->lines, $item->seen, $item->clef);
    }

    public function ticks(): int
    {
        return self::length($this->base, $this->dots);
    }

    /** @return int ticks of a length with its dots */
    public static function length(int $base, int $dots): int
    {
        return $base * (2 ** ($dots + 1) - 1) >> $dots;
    }

    /** As it was seen, whatever the bar. */
    public function asSeen(): self
    {
        return $this->seen === null ? $this : $this->lasting(...$this->seen);
    }

    /** With a clef that stands before it. */
    public function after(Clef $clef): self
    {
        return $this->but(clef: $clef);
    }

    /** With the words and the lines that another one has. */
    public function over(self $other): self
    {
        return $this->but(lyric: $other->lyric, dynamic: $other->dynamic, lines: $other->lines);
    }

    /** With the ties of another one too, and with its fingers where it has more of them: a small sign is sooner missed than invented. */
    public function filled(self $other): self
    {
        $isMore = $other->fingers() > $this->fingers();
        $heads = array_map(static function (ReadHead $head) use ($other, $isMore): ReadHead {
            foreach ($other->heads as $its) {
                if ($its->place === $head->place) {
                    return new ReadHead($head->place, $head->sign, $isMore ? $its->finger : $head->finger, $head->tied || $its->tied);
                }
            }

            return $head;
        }, $this->heads);

        return $this->but(heads: $heads);
    }

    private function fingers(): int
    {
        return count(array_filter($this->heads, static fn (ReadHead $head): bool => $head->finger !== null));
    }

    public function isRest(): bool
    {
        return $this->heads === [];
    }

    public function at(int $onset): self
    {
        return $this->but(onset: $onset);
    }

    public function lasting(int $base, int $dots): self
    {
        return new self($this->x, $this->onset, $base, $dots, $this->heads, $this->marks, $this->lyric, $this->voice, $this->dynamic, $this->lines, clef: $this->clef);
    }

    /** @param list<ReadHead> $heads */
    public function with(array $heads): self
    {
        usort($heads, static fn (ReadHead $a, ReadHead $b): int => $a->place <=> $b->place);

        return $heads === []
            ? $this->but(heads: [], marks: [], lyric: '', lines: array_values(array_filter($this->lines, static fn (LineEnd $end): bool => ! $end->isSlur())))
            : $this->but(heads: $heads);
    }

    /**
     * The same sign but for what is given.
     *
     * @param list<ReadHead>|null $heads
     * @param list<Mark>|null     $marks
     * @param list<LineEnd>|null  $lines
     */
    private function but(?int $onset = null, ?array $heads = null, ?array $marks = null, ?string $lyric = null, ?string $dynamic = null, ?array $lines = null, ?Clef $clef = null): self
    {
        return new self($this->x, $onset ?? $this->onset, $this->base, $this->dots, $heads ?? $this->heads, $marks ?? $this->marks, $lyric ?? $this->lyric, $this->voice, $dynamic ?? $this->dynamic, $lines ?? $this->lines, $this->seen, $clef ?? $this->clef);
    }
}
