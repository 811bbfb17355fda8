<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds the ink that hangs together, and glues what taking the lines out has cut. */
final class Blobs
{
    /**
     * @param  list<string> $rows
     * @return list<Blob> from left to right
     */
    public static function of(array $rows): array
    {
        $runs = [];
        $root = [];
        $before = [];
        foreach ($rows as $row => $line) {
            $here = [];
            $at = 0;
            $length = strlen($line);
            while (($at += strcspn($line, "\1", $at)) < $length) {
                $to = $at + strspn($line, "\1", $at);
                $id = count($runs);
                $runs[] = [$row, $at, $to];
                $root[] = $id;
                $here[] = $id;
                $at = $to;
            }
            $i = 0;
            foreach ($here as $id) {
                [, $from, $to] = $runs[$id];
                while (isset($before[$i]) && $runs[$before[$i]][2] < $from) {
                    $i++;
                }
                for ($k = $i; isset($before[$k]) && $runs[$before[$k]][1] <= $to; $k++) {
                    self::join($root, $id, $before[$k]);
                }
            }
            $before = $here;
        }
        $groups = [];
        foreach ($runs as $id => $run) {
            $groups[self::root($root, $id)][] = $run;
        }
        $blobs = [];
        foreach ($groups as $group) {
            $blobs[] = self::made($group);
        }
        usort($blobs, static fn (Blob $a, Blob $b): int => $a->left <=> $b->left);

        return $blobs;
    }

    /** @param non-empty-list<array{int, int, int}> $runs */
    public static function made(array $runs): Blob
    {
        [$left, $top, $right, $bottom, $area] = [PHP_INT_MAX, PHP_INT_MAX, 0, 0, 0];
        foreach ($runs as [$row, $from, $to]) {
            $left = min($left, $from);
            $right = max($right, $to);
            $top = min($top, $row);
            $bottom = max($bottom, $row + 1);
            $area += $to - $from;
        }

        return new Blob($left, $top, $right, $bottom, $area, $runs);
    }

    /**
     * @param  list<Blob> $blobs from left to right
     * @param  int        $line  how thick the lines were
     * @return list<Blob> from left to right
     */
    public static function glued(array $blobs, int $line): array
    {
        $gap = $line + 3;
        do {
            $again = false;
            foreach ($blobs as $i => $blob) {
                if ($blob->height() > 3.4 * Strip::SPACE) {
                    continue;
                }
                for ($k = $i + 1; isset($blobs[$k]) && $blobs[$k]->left < $blob->right; $k++) {
                    if (self::belong($blob, $blobs[$k], $gap)) {
                        $blobs[$i] = $blob->with($blobs[$k]);
                        array_splice($blobs, $k, 1);
                        $again = true;
                        break 2;
                    }
                }
            }
            usort($blobs, static fn (Blob $a, Blob $b): int => $a->left <=> $b->left);
        } while ($again);

        return $blobs;
    }

    private static function belong(Blob $a, Blob $b, int $gap): bool
    {
        [$above, $below] = $a->top <= $b->top ? [$a, $b] : [$b, $a];
        $between = $below->top - $above->bottom;
        $middle = ($below->top + $above->bottom) / 2;
        $line = Strip::TOP + Strip::SPACE * round(($middle - Strip::TOP) / Strip::SPACE);
        $overlap = min($a->right, $b->right) - max($a->left, $b->left);

        return $between >= 0 && $between <= $gap && abs($middle - $line) <= 2.5 && $line >= Strip::TOP && $line <= Strip::BOTTOM
            && $overlap >= 2 && max($a->right, $b->right) - min($a->left, $b->left) <= 2.2 * Strip::SPACE
            && $below->bottom - $above->top <= 3.4 * Strip::SPACE && min($a->area, $b->area) >= 6;
    }

    /** @param array<int, int> $root */
    private static function root(array &$root, int $id): int
    {
        while (($root[$id] ?? $id) !== $id) {
            $root[$id] = $root[$root[$id]] ?? $id;
            $id = $root[$id];
        }

        return $id;
    }

    /** @param array<int, int> $root */
    private static function join(array &$root, int $a, int $b): void
    {
        [$a, $b] = [self::root($root, $a), self::root($root, $b)];
        $root[max($a, $b)] = min($a, $b);
    }
}
