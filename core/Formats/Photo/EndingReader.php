<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds the brackets of first and second endings: a straight line above the upper staff from bar line to bar line, with a hook at its left. */
final class EndingReader
{
    /** Rows above the staff at least, and rows of the strip above it: there may be a line of another staff. */
    private const ABOVE = 12;

    private const BELOW = 8;

    /** Rows of the hook at least, and columns within which it is. */
    private const HOOK = 8;

    private const BESIDE = 3;

    /** Columns from its ends to the bar lines at most; the end of a piece is wide. */
    private const FROM = 20;

    private const TO = 40;

    /** Rows that it rises or falls at most, and the share of its length. */
    private const LEVEL = 4;

    private const SLOPE = 0.01;

    /**
     * @param  list<Curve>                $curves of the upper staff
     * @return list<array{float, float}> from and to in the picture
     */
    public static function of(Staff $staff, array $curves): array
    {
        $endings = [];
        $lines = array_map(static fn (BarLine $line): float => $line->x(), $staff->bars);
        foreach ($curves as $curve) {
            $isLevel = $curve->isStraight() && abs($curve->rightRow() - $curve->leftRow()) <= self::LEVEL + self::SLOPE * $curve->length();
            if (! $isLevel || max($curve->leftRow(), $curve->rightRow()) > Strip::TOP - self::ABOVE || min($curve->leftRow(), $curve->rightRow()) < self::BELOW || ! self::hangs($staff->strip, $curve, $curve->left() - 2 * self::BESIDE, $curve->left() + self::BESIDE)) {
                continue;
            }
            $near = static fn (int $x, int $reach): bool => array_filter($lines, static fn (float $line): bool => abs($line - $x) <= $reach) !== [];
            // On a new line it begins where the notes do.
            if (($near($curve->left(), self::FROM) || abs($curve->left() - $staff->opening->end) <= 2 * self::FROM) && $near($curve->right(), self::TO)) {
                // Two brackets that touch are told apart by the hook of the second.
                $inner = array_filter($lines, static fn (float $line): bool => $line > $curve->left() + self::TO && $line < $curve->right() - self::TO && self::hangs($staff->strip, $curve, (int) $line - self::FROM, (int) $line + self::FROM));
                $ends = array_map(static fn (float $x): float => $staff->strip->pageX[(int) $x] ?? 0.0, [$curve->left(), ...$inner, $curve->right()]);
                for ($i = 1; isset($ends[$i]); $i++) {
                    $endings[] = [$ends[$i - 1], $ends[$i]];
                }
            }
        }

        return $endings;
    }

    /** A stroke goes down from it between two columns. */
    private static function hangs(Strip $strip, Curve $curve, int $from, int $to): bool
    {
        for ($x = $from; $x <= $to; $x++) {
            $row = max(0, (int) round($curve->rowAt($x)) - self::BESIDE);
            if (preg_match('/\x01{'.(self::HOOK + self::BESIDE).',}/', substr($strip->columns[$x] ?? '', $row, 3 * self::HOOK)) === 1) {
                return true;
            }
        }

        return false;
    }
}
