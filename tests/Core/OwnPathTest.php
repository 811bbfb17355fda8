<?php

declare(strict_types=1);

use Nasturtium\Core\Path\InvalidPath;
use Nasturtium\Core\Path\PassMark;
use Nasturtium\Core\Path\Path;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Path\PathStep;
use Nasturtium\Core\Path\Petal;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Path\Stages;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Hand;

function humming(?Hand $hand = null, bool $three = false): PathStep
{
    return PathStep::own('Hum it', 'Hum the tune and walk the beat.', '', Petal::Counts, $hand, PassMark::of($three), ChunkKind::Whole);
}

/** @return array<string, string> what each stage of a piece works on, by name */
function contents(string $music, PathKind $path = PathKind::BeatFirst): array
{
    $contents = [];
    foreach (Stages::of(tune($music), Path::shipped($path)) as $stage) {
        $contents[$stage->step->name] = $stage->content;
    }

    return $contents;
}

/** @return list<string> names of the stages that a correction touches */
function touched(string $before, string $after, PathKind $path = PathKind::BeatFirst): array
{
    return array_keys(array_diff_assoc(contents($after, $path), contents($before, $path)));
}

test('a path of her own: copied, reordered, one left out, one added', function (): void {
    $path = Path::own('Slow start', [humming(), PathStep::of(StageKind::LeftHand), PathStep::of(StageKind::RightHand), PathStep::of(StageKind::HandsTogether)]);
    $report = broken_down("tempo: 100\nR: @c4 w1 | w2\nL: @5=c3 w5 | w1\n", new Settings(path: $path));
    expect($report['path'])->toBe('Slow start')
        ->and(array_column($report['stages'], 'name'))->toBe(['Hum it', 'left hand', 'right hand', 'hands together'])
        ->and(array_column($report['stages'], 'waits_for'))->toBe([[], [0], [1], [1, 2]])
        ->and($report['stages'][0])->toMatchArray(['petal' => 'counts', 'do' => 'Hum the tune and walk the beat.', 'pass' => 'once through, nothing left out', 'repetitions' => 1, 'tempo' => 60]);
});

test('a stage of her own drops out with the hand it is for, and takes three in a row when it says so', function (): void {
    $path = static fn (PathStep $step): Settings => new Settings(path: Path::own('x', [$step, PathStep::of(StageKind::Finish)]));
    expect(array_column(broken_down("R: @c4 w1\n", $path(humming(Hand::Left)))['stages'], 'name'))->toBe(['finish'])
        ->and(broken_down("R: @c4 w1\n", $path(humming(Hand::Right, true)))['stages'][0])->toMatchArray(['repetitions' => 3, 'hand' => 'R', 'pass' => 'three in a row with no slip, at this tempo']);
});

test('a path that is none is refused in words', function (Closure $make, string $words): void {
    expect($make)->toThrow(InvalidPath::class, $words);
})->with([
    'empty' => [fn () => Path::own('x', []), 'at least one stage'],
    'twice' => [fn () => Path::own('x', [PathStep::of(StageKind::Finish), PathStep::of(StageKind::Finish)]), "'finish' is on this path twice"],
    'too many' => [fn () => Path::own('x', array_fill(0, 41, humming())), 'at most 40'],
    'no name' => [fn () => PathStep::own(' ', 'Hum.', '', null, null, PassMark::Once, ChunkKind::Line), 'needs a name'],
    'no sentence' => [fn () => PathStep::own('Hum', ' ', '', null, null, PassMark::Once, ChunkKind::Line), 'sentence'],
    'on what no page has' => [fn () => PathStep::own('Hum', 'Hum.', '', null, null, PassMark::Once, ChunkKind::Own), 'not on a own'],
    'a name that is taken' => [fn () => PathStep::own('Finish', 'Hum.', '', null, null, PassMark::Once, ChunkKind::Line), 'is there already'],
]);

test('a corrected note touches what works on its hand and pitch, not tapping or the other hand', function (): void {
    $two = fn (string $right, string $left): string => "R: @c4 {$right}\nL: @5=c3 {$left}\n";
    expect(touched($two('q1234', 'w5'), $two('q1235', 'w5')))->toBe([
        'look over', 'name the notes', 'fingers in the air', 'right hand', 'hands together', 'whole, slow', 'tempo ladder', 'finish',
    ])->and(touched($two('q1234', 'w5'), $two('q1234', 'w1')))->not->toContain('right hand', 'tap and count');
});

test('a corrected rhythm touches tapping too', function (): void {
    expect(touched("R: @c4 q1234\n", "R: @c4 q12 h3\n"))->toContain('tap and count', 'right hand');
});

test('a printed finger touches the fingers, words the words, a dot the articulation', function (): void {
    $line = "R: @c4 q1 2 h3\n";
    expect(touched($line, $line))->toBe([])
        ->and(touched($line, "R: @c4 q1 d h3\n"))->toBe(['fingers in the air'])
        ->and(touched("{$line}W: la la la\n", "{$line}W: lo la la\n", PathKind::SoundFirst))->toBe(['words'])
        ->and(touched("R: @c4 q1* 2 h3\n", "R: @c4 q1* 2* h3\n"))->toBe(['articulation, dynamics']);
});
