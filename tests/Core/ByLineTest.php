<?php

declare(strict_types=1);

use Nasturtium\Core\Path\ByLine;
use Nasturtium\Core\Path\LinePart;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Practice\TaskTimes;
use Nasturtium\Core\Practice\TempoLadder;

/** Three lines of two bars, of which the last is the first again. */
function by_line(int $usualDay): ByLine
{
    $piece = tune("tempo: 100\nR: @c4 q1234 | w5\nR: q5432 | w1\nR: q1234 | w5\n");

    return ByLine::on($piece, TempoLadder::for($piece), $usualDay, 4);
}

/** @return list<string> `line of lines: bars, half minutes first, later` */
function line_parts(StageKind $kind, array $ranges, int $repetitions, ?int $tempo): array
{
    return array_map(static fn (LinePart $part): string => "{$part->line} of {$part->of}: ".implode(' ', array_map(static fn (array $range): string => "{$range[0]}-{$range[1]}", $part->ranges)).", {$part->times->first} {$part->times->later}", by_line(40)->parts($kind, $ranges, $repetitions, $tempo));
}

test('a page goes by lines where a stage takes over half a usual day, less the warm-up', function (int $usualDay, int $halfMinutes, bool $isTooLong): void {
    expect(by_line($usualDay)->isTooLong(StageKind::RightHand, new TaskTimes($halfMinutes, 2), 2))->toBe($isTooLong);
})->with([
    // 20 half minutes less 4 of the warm-up: 8 are half of it.
    'just half' => [20, 8, false],
    'half a minute more' => [20, 9, true],
    // Of 11 half minutes none goes to a warm-up.
    'a day too short for a warm-up' => [11, 5, false],
    'and half a minute more' => [11, 6, true],
]);

test('what is done on the whole page, and preparation, do not make a page long', function (): void {
    $long = new TaskTimes(60, 60);
    expect(by_line(20)->isTooLong(StageKind::WholeSlow, $long, 1))->toBeFalse()
        ->and(by_line(20)->isTooLong(StageKind::TapAndCount, $long, 2))->toBeFalse();
    $piece = tune("tempo: 100\nR: @c4 q1234 | w5\n");
    expect(ByLine::on($piece, TempoLadder::for($piece), 20, 4)->isTooLong(StageKind::RightHand, $long, 2))->toBeFalse();
});

test('glances and what is done on the whole page stay whole', function (): void {
    $byLine = by_line(20);
    expect([$byLine->divides(StageKind::LookOver, 1), $byLine->divides(StageKind::WholeSlow, 1), $byLine->divides(StageKind::NameNotes, 1), $byLine->divides(StageKind::RightHand, 2)])
        ->toBe([false, false, true, true]);
});

test('each line has its bars and its time; what is the same is learnt once', function (): void {
    // 20 + 6 × ((8 + 4) × 60/60 + 4 s) = 116 s, then 84 s.
    expect(line_parts(StageKind::RightHand, [[0, 1], [2, 3]], 3, 60))->toBe(['1 of 2: 0-1, 4 3', '2 of 2: 2-3, 4 3'])
        // A turn belongs to the line that it leaves.
        ->and(line_parts(StageKind::JoinLines, [[0, 2], [2, 4]], 3, 60))->toBe(['1 of 2: 0-2, 5 4', '2 of 2: 2-4, 5 4'])
        // Tapped twice on the first day: 2 × ((8 + 4) + 4 s) = 32 s; the third line is the first.
        ->and(line_parts(StageKind::TapAndCount, [[0, 5]], 1, 60))->toBe(['1 of 2: 0-1, 2 2', '2 of 2: 2-3, 2 2'])
        // Five notes a line, three seconds each, twice.
        ->and(line_parts(StageKind::NameNotes, [[0, 5]], 1, null))->toBe(['1 of 2: 0-1, 2 2', '2 of 2: 2-3, 2 2']);
});
