<?php

declare(strict_types=1);

use Nasturtium\Core\Path\ByLine;
use Nasturtium\Core\Path\LinePart;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Practice\HeardLines;
use Nasturtium\Core\Practice\TaskTimes;
use Nasturtium\Core\Practice\TempoLadder;

/** Three lines of two bars, of which the last is the first again. */
function by_line(array $days): ByLine
{
    $piece = tune("tempo: 100\nR: @c4 q1234 | w5\nR: q5432 | w1\nR: q1234 | w5\n");

    return ByLine::on($piece, TempoLadder::for($piece), $days, 4);
}

/** @return list<string> `line of lines: bars, half minutes first, later` */
function line_parts(StageKind $kind, array $ranges, int $repetitions, ?int $tempo, array $passed = []): array
{
    $byLine = by_line([20]);

    return array_map(static function (LinePart $part) use ($byLine, $kind, $repetitions, $tempo): string {
        $times = $byLine->times($kind, $part, $repetitions, $tempo);

        return "{$part->line} of {$part->of}: ".implode(' ', array_map(static fn (array $range): string => "{$range[0]}-{$range[1]}", $part->ranges)).", {$times->first} {$times->later}";
    }, $byLine->asked($kind, $ranges, $passed));
}

test('a page goes by lines where a stage takes over half a usual day, less the warm-up', function (array $days, int $halfMinutes, bool $isTooLong): void {
    expect(by_line($days)->isTooLong(StageKind::RightHand, new TaskTimes($halfMinutes, 2), 2))->toBe($isTooLong);
})->with([
    // 20 half minutes less 4 of the warm-up: 8 are half of it.
    'just half' => [[10], 8, false],
    'half a minute more' => [[10], 9, true],
    // Of 10 half minutes none goes to a warm-up.
    'a day too short for a warm-up' => [[5], 5, false],
    'and half a minute more' => [[5], 6, true],
    'the day in the middle is the usual one' => [[60, 10, 5], 9, true],
    'of an even number the upper one' => [[5, 60, 10, 60], 9, false],
    'who practises on no day has none' => [[], 1, true],
]);

test('what is done on the whole page, and preparation, do not make a page long', function (): void {
    $long = new TaskTimes(60, 60);
    expect(by_line([10])->isTooLong(StageKind::WholeSlow, $long, 1))->toBeFalse()
        ->and(by_line([10])->isTooLong(StageKind::TapAndCount, $long, 2))->toBeFalse();
    $piece = tune("tempo: 100\nR: @c4 q1234 | w5\n");
    expect(ByLine::on($piece, TempoLadder::for($piece), [10], 4)->isTooLong(StageKind::RightHand, $long, 2))->toBeFalse();
});

test('glances and what is done on the whole page stay whole', function (): void {
    $byLine = by_line([10]);
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

test('three lines are asked at once, beyond those that passed', function (): void {
    $piece = tune("tempo: 100\nR: @c4 q1234\nR: q5432\nR: q1122\nR: q3344\nR: q5544\n");
    $byLine = ByLine::on($piece, TempoLadder::for($piece), [10], 4);
    $asked = fn (array $passed): array => array_map(static fn (LinePart $part): int => $part->line, $byLine->asked(StageKind::RightHand, [[0, 0], [1, 1], [2, 2], [3, 3], [4, 4]], $passed));
    expect($asked([]))->toBe([1, 2, 3])->and($asked([1, 3]))->toBe([2, 4, 5])->and($asked([1, 2, 3, 4, 5]))->toBe([]);
});

test('the furthest line that was practised is heard, and the stage passes with its last', function (): void {
    expect(HeardLines::heard([1 => true, 2 => true, 3 => false]))->toBe(2)
        ->and(HeardLines::heard([1 => false, 2 => false]))->toBeNull()
        ->and(HeardLines::heard([]))->toBeNull()
        ->and(HeardLines::havePassed([1, 2, 2], 3))->toBeFalse()
        ->and(HeardLines::havePassed([4, 1, 2], 3))->toBeTrue();
});
