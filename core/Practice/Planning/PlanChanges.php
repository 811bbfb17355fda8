<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

/** What is different in a plan that a family has already, in words for it. */
final class PlanChanges
{
    /**
     * @param  list<PlannedLine>  $before  as it was sent
     * @param  list<PlannedLine>  $now
     * @return list<string> what is new first, then what is different, then what has gone
     */
    public static function between(array $before, array $now): array
    {
        $before = self::onSomeDay($before);
        $now = self::onSomeDay($now);
        $new = array_map(static fn (PlannedLine $line): string => "New: {$line->name} ({$line->days()}).", array_diff_key($now, $before));
        $gone = array_map(static fn (PlannedLine $line): string => "No longer: {$line->name}.", array_diff_key($before, $now));
        $other = [];
        foreach (array_intersect_key($now, $before) as $id => $line) {
            $words = self::different($before[$id], $line);
            if ($words !== []) {
                $other[] = "{$line->name}: ".implode('; ', $words).'.';
            }
        }

        return [...array_values($new), ...$other, ...array_values($gone)];
    }

    /** @return list<string> */
    private static function different(PlannedLine $before, PlannedLine $now): array
    {
        return array_keys(array_filter([
            "instead of {$before->name}" => $before->name !== $now->name,
            "now on {$now->days()} (before: {$before->days()})" => $before->dates !== $now->dates,
            'what to do has changed' => $before->instruction !== $now->instruction,
        ]));
    }

    /**
     * @param  list<PlannedLine>  $lines
     * @return array<int, PlannedLine> by task; what stands on no day, nobody has seen
     */
    private static function onSomeDay(array $lines): array
    {
        $seen = [];
        foreach ($lines as $line) {
            if ($line->dates !== []) {
                $seen[$line->id] = $line;
            }
        }

        return $seen;
    }
}
