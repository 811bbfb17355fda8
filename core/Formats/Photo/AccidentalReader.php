<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Gives notes the accidentals that stand before them. */
final readonly class AccidentalReader
{
    private const LIKE = 0.3;

    /** Where it was cut out of what it hangs together with. */
    private const ALIKE = 0.24;

    /** How much further the print of another accidental is where there is no doubt. */
    private const APART = 0.12;

    private const CERTAIN = 0.22;

    private const PERHAPS = 0.31;

    /** @param list<Blob> $blobs */
    public function __construct(private Strip $strip, private array $blobs, private int $from) {}

    /** @return list<Blob> what looks like an accidental and nothing else: a head that is seen in it is none */
    public function sure(): array
    {
        return array_values(array_filter($this->blobs, fn (Blob $blob): bool => $this->mayBe($blob) && Shapes::like($blob, self::ALIKE)?->alter() !== null));
    }

    /** @param list<Head> $heads */
    public function give(array $heads): void
    {
        foreach ($this->blobs as $blob) {
            if (! $this->mayBe($blob)) {
                continue;
            }
            [$shape, $far] = Shapes::nearest($blob);
            if ($shape->alter() !== null && $far <= self::LIKE) {
                $head = self::after($heads, $blob, Accidentals::place($blob, $shape));
                if ($head !== null) {
                    $head->sign = $shape->alter();
                    $head->doubt = $far > self::ALIKE && self::next($blob, $shape) - $far < self::APART ? 'sign' : $head->doubt;
                }
            }
        }
        $bare = null;
        foreach ($heads as $head) {
            [$from, $right] = self::before($head, $heads);
            if ($head->sign === null && $this->hasInkBefore($head, $from)) {
                $bare ??= HollowHeads::bare($this->strip);
                $this->cutOut($bare, $head, $from, $right);
            }
        }
    }

    /** How far a sign is from the accidental that it is next like. */
    private static function next(Blob $blob, Shape $shape): float
    {
        return Shapes::nearest($blob, array_values(array_filter(Accidentals::SHAPES, static fn (Shape $other): bool => $other !== $shape)))[1];
    }

    private function mayBe(Blob $blob): bool
    {
        return $blob->left >= $this->from && $blob->height() >= 24 && $blob->height() <= 60 && $blob->width() <= 30 && $blob->width() >= 6;
    }

    /** @param list<Head> $heads */
    private static function after(array $heads, Blob $blob, int $place): ?Head
    {
        $best = null;
        $nearest = 40.0;
        foreach ($heads as $head) {
            $gap = $head->x - $head->width / 2 - $blob->right;
            $far = $gap + 6 * abs($head->place - $place);
            if ($gap > -6 && $far < $nearest && abs($head->place - $place) <= 1) {
                $nearest = $far;
                $best = $head;
            }
        }

        return $best;
    }

    private function hasInkBefore(Head $head, int $from): bool
    {
        return Strip::ink($this->strip->bareRows[$head->y() - 6] ?? '', $from, 20) + Strip::ink($this->strip->bareRows[$head->y() + 6] ?? '', $from, 20) >= 4;
    }

    /**
     * @param  list<Head>      $heads
     * @return array{int, int} columns right before a head, and after the one before it
     */
    private static function before(Head $head, array $heads): array
    {
        $right = (int) ($head->x - $head->width / 2) - 1;
        $from = max(0, $right - 22);
        foreach ($heads as $other) {
            $end = (int) ($other->x + $other->width / 2) + 4;
            if ($end < $right && abs($other->y() - $head->y()) < 2 * Strip::SPACE) {
                $from = max($from, $end);
            }
        }

        return [$from, $right];
    }

    /**
     * What hangs together with its note by a ledger line or by ink is looked for right before the note.
     *
     * @param list<string> $bare columns without any line
     */
    private function cutOut(array $bare, Head $head, int $from, int $right): void
    {
        $top = max(0, $head->y() - 30);
        $window = [];
        foreach (array_slice($bare, $from, max(0, $right - $from)) as $column) {
            $window[] = str_pad(str_repeat("\0", $top).substr($column, $top, 60), Strip::HEIGHT, "\0");
        }
        foreach (Accidentals::whole(Blobs::glued(Blobs::of(Strip::turned($window, Strip::HEIGHT)), $this->strip->line), 0, 24) as $blob) {
            [$shape, $far] = Shapes::nearest($blob);
            if ($shape->alter() !== null && $far < self::PERHAPS && abs(Accidentals::place($blob, $shape) - $head->place) <= 1) {
                $head->sign = $far < self::ALIKE ? $shape->alter() : null;
                $head->doubt = $far > self::CERTAIN ? 'sign' : $head->doubt;
            }
        }
    }
}
