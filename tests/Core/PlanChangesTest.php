<?php

declare(strict_types=1);

use Nasturtium\Core\Practice\Planning\PlanChanges;
use Nasturtium\Core\Practice\Planning\PlannedLine;

test('a plan that is sent again says what is new, what is different and what has gone', function (): void {
    $before = [
        new PlannedLine(1, 'Warm-up', 'Five notes up and down.', ['2031-05-06', '2031-05-07']),
        new PlannedLine(2, 'Right hand, The Gate', 'Bars 1 to 4.', ['2031-05-06', '2031-05-07']),
        new PlannedLine(3, 'Count it out, The Gate', 'Tap bar 3.', ['2031-05-08']),
        new PlannedLine(4, 'Two Snails', 'Once through.', ['2031-05-09']),
        new PlannedLine(5, 'Join lines, The Gate', 'Lines 1 and 2.', []),
    ];
    $now = [
        new PlannedLine(6, 'Hands together, The Gate', 'Bars 1 and 2.', ['2031-05-09']),
        new PlannedLine(1, 'Warm-up', 'Five notes up and down.', ['2031-05-06', '2031-05-07']),
        new PlannedLine(2, 'Right hand, The Gate', 'Bars 1 to 8.', ['2031-05-06', '2031-05-08']),
        new PlannedLine(3, 'Count it out, The Gate', 'Tap bar 3.', []),
        new PlannedLine(4, 'Paper Boats', 'Once through.', ['2031-05-09']),
        new PlannedLine(5, 'Join lines, The Gate', 'Lines 1 to 3.', []),
    ];
    expect(PlanChanges::between($before, $now))->toBe([
        'New: Hands together, The Gate (Fri 9).',
        'Right hand, The Gate: now on Tue 6, Thu 8 (before: Tue 6, Wed 7); what to do has changed.',
        'Paper Boats: instead of Two Snails.',
        'No longer: Count it out, The Gate.',
    ]);
});

test('a day of the next week is another day, though it has the same name', function (): void {
    $on = static fn (string $date): array => [new PlannedLine(1, 'Warm-up', 'Up.', [$date])];
    expect(PlanChanges::between($on('2031-05-06'), $on('2031-05-13')))->toBe(['Warm-up: now on Tue 13 (before: Tue 6).']);
});

test('a plan that is as it was says nothing, in whatever order its lines stand', function (): void {
    $lines = [new PlannedLine(1, 'Warm-up', 'Up.', ['2031-05-06']), new PlannedLine(2, 'Review', 'Play.', ['2031-05-07'])];
    expect(PlanChanges::between($lines, array_reverse($lines)))->toBe([])
        ->and(PlanChanges::between([], []))->toBe([]);
});
