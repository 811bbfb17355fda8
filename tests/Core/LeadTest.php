<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Home\TaskSign;
use Nasturtium\Core\Lead\LeadRun;
use Nasturtium\Core\Lead\LeadStep;
use Nasturtium\Core\Lead\LeadTask;
use Nasturtium\Core\Lead\StepKind;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;

/** Three lines of four bars in 4/4; the second is the first again. */
function three_lines(): Piece
{
    return ShorthandReader::read("R: @c4 w1 | 2 | 3 | 4\nR: 1 | 2 | 3 | 4\nR: 5 | 4 | 3 | 1\n")->piece;
}

/**
 * @param  list<array{int, int}>  $ranges
 */
function led_task(Piece $piece, array $ranges, int $halfMinutes, TaskSign $sign = TaskSign::Hand, ?Hand $hand = Hand::Right, ?int $tempo = 60): LeadTask
{
    return new LeadTask(7, 'Right hand', 'Play it.', $sign, $piece, $ranges, $hand, $tempo, $halfMinutes);
}

/**
 * Kind, bars by index, tempo.
 *
 * @param  list<LeadStep>  $steps
 * @return list<string>
 */
function led_steps(array $steps): array
{
    return array_map(static fn (LeadStep $step): string => trim($step->kind->value.' '.($step->bars === null ? '' : implode('-', $step->bars)." {$step->tempo}")), $steps);
}

/** @param list<LeadStep> $steps */
function led_seconds(array $steps): int
{
    return array_sum(array_map(static fn (LeadStep $step): int => $step->seconds, $steps));
}

test('a line is taken by its halves, my turn, your turn, then all of it slowly, then at its tempo (19.2)', function (): void {
    // Four bars of four beats and a count-in of four: 20 beats at 56 are 22 seconds.
    $steps = LeadRun::of([led_task(three_lines(), [[0, 3]], 8)], false, 10);
    expect(led_steps($steps))->toBe([
        'say', 'play 0-1 56', 'turn 0-1 56', 'play 2-3 56', 'turn 2-3 56', 'play 0-3 56', 'turn 0-3 56', 'turn 0-3 60', 'turn 0-3 60', 'turn 0-3 60', 'turn 0-3 60', 'done', 'say',
    ])->and($steps[5]->seconds)->toBe(22)->and($steps[6]->seconds)->toBe(26)
        ->and($steps[0]->words)->toBe('Right hand. Play it.')->and($steps[2]->words)->toBe('Your turn: bars 1 to 2.');
});

test('a line that is another again is said so; between two lines it goes over the line end (19.2)', function (): void {
    $words = array_map(static fn (LeadStep $step): string => $step->words, LeadRun::of([led_task(three_lines(), [[0, 11]], 14)], false, 10));
    expect($words)->toContain('Line 2 is line 1 again. Your turn.')->toContain('Over the line end: bars 4 to 5. My turn.')
        ->and(array_search('Over the line end: bars 8 to 9. My turn.', $words, true))->toBeGreaterThan(array_search('Line 2 is line 1 again. Your turn.', $words, true))
        ->and($words)->not->toContain('My turn: bars 5 to 8.');
});

test('the time of a run is that of the plan: what matters least is left out first (19.2)', function (int $halfMinutes): void {
    $steps = array_slice(LeadRun::of([led_task(three_lines(), [[0, 11]], $halfMinutes)], true, 60), 0, -1);
    $whole = array_values(array_filter($steps, static fn (LeadStep $step): bool => $step->bars === [0, 11] && $step->tempo === 60));
    // All of it at its tempo is always there: 52 beats at 60, a count-in and four seconds.
    expect($whole)->not->toBe([])->and($whole[0]->seconds)->toBe(56)
        ->and(led_seconds($steps))->toBeLessThanOrEqual(max(30 * $halfMinutes, 64))
        ->and(led_seconds($steps))->toBeGreaterThanOrEqual($halfMinutes > 12 ? 0 : min(30 * $halfMinutes, 64) * 7 / 10);
})->with([1, 2, 3, 4, 6, 8, 10, 12, 20]);

test('where it went wrong it comes again: smaller and slower, then the same bars (19.2)', function (): void {
    $turn = LeadRun::of([led_task(three_lines(), [[0, 3]], 8)], false, 10)[6];
    expect(led_steps($turn->again))->toBe(['play 0-1 54', 'turn 0-1 54', 'turn 0-3 54'])->and($turn->again[2]->again)->toBe([]);
    $bar = LeadRun::of([led_task(three_lines(), [[2, 2]], 4)], false, 10)[2];
    expect(led_steps($bar->again))->toBe(['play 2-2 54', 'turn 2-2 54']);
});

test('bars in which the hand rests are nobody’s turn (19.2)', function (): void {
    $piece = ShorthandReader::read("R: @c4 w1 | 2 | 3 | 4 | 5 | 4 | 3 | 1\nL: @c3 wr | r | r | 5 | r | r | r | 5\n")->piece;
    $steps = led_steps(LeadRun::of([led_task($piece, [[0, 7]], 12, hand: Hand::Left)], false, 10));
    // Both halves have a note of the left hand; a quarter of the line has none and is never taken alone.
    expect($steps)->toContain('play 0-3 56')->toContain('play 4-7 56');
    $again = LeadRun::of([led_task($piece, [[0, 3]], 8, hand: Hand::Left)], false, 10);
    expect(led_steps($again))->not->toContain('play 0-1 56');
    foreach ($again as $step) {
        expect(array_filter(led_steps($step->again), static fn (string $one): bool => str_contains($one, '0-1')))->toBe([]);
    }
});

test('tapping goes by hands, then both; naming has three seconds a note; a page is looked at alone (19.4)', function (): void {
    $piece = ShorthandReader::read("R: @c4 q1 2 3 4 | w1\nL: @c3 w5 | 1\n")->piece;
    $tapped = LeadRun::of([led_task($piece, [[0, 1]], 3, TaskSign::Tap, null)], false, 10);
    expect(array_column(array_map(static fn (LeadStep $step): array => [$step->words], array_slice($tapped, 1, 3)), 0))
        ->toBe(['Tap and count bars 1 to 2, right hand.', 'Tap and count bars 1 to 2, left hand.', 'Tap and count bars 1 to 2, both hands.']);
    $named = LeadRun::of([led_task($piece, [[0, 1]], 1, TaskSign::Say, Hand::Right)], false, 10);
    expect($named[1]->seconds)->toBe(15)->and($named[1]->words)->toBe('Name the notes of bars 1 to 2.')->and($named[1]->kind)->toBe(StepKind::Along);
    $looked = LeadRun::of([led_task($piece, [[0, 1]], 2, TaskSign::Look, null)], false, 10);
    expect($looked[1]->kind)->toBe(StepKind::Alone);
});

test('what has no music typed is done alone in the time of the plan; a break comes where it does good (19.1)', function (): void {
    $warmUp = new LeadTask(1, 'Warm-up', 'Five fingers up and down.', TaskSign::WarmUp, null, [], null, null, 20);
    $steps = LeadRun::of([$warmUp, $warmUp, $warmUp], false, 10);
    expect(array_map(static fn (LeadStep $step): string => $step->kind->value, $steps))->toBe(['say', 'alone', 'done', 'rest', 'say', 'alone', 'done', 'rest', 'say', 'alone', 'done', 'say'])
        ->and(led_seconds(array_slice($steps, 0, 3)))->toBe(600)->and(LeadRun::of([], true, 10))->toBe([]);
});

test('whoever is eight tries first, but not where the path goes by sound (19.3)', function (): void {
    expect(LeadRun::triesFirst(7, PathKind::BeatFirst))->toBeFalse()->and(LeadRun::triesFirst(8, PathKind::BeatFirst))->toBeTrue()
        ->and(LeadRun::triesFirst(12, PathKind::SoundFirst))->toBeFalse();
    $steps = LeadRun::of([led_task(three_lines(), [[0, 3]], 20)], true, 60);
    expect($steps[1]->words)->toBe('Try it first: bars 1 to 4. Then we compare.')->and($steps[1]->kind)->toBe(StepKind::Turn)->and($steps[1]->again)->toBe([]);
});

test('every sentence to a child has at most fourteen words', function (): void {
    $all = LeadRun::of([led_task(three_lines(), [[0, 11]], 40), led_task(three_lines(), [[0, 11]], 6, TaskSign::Tap), led_task(three_lines(), [[0, 3]], 6, TaskSign::Listen)], true, 10);
    foreach ($all as $step) {
        foreach ([$step, ...$step->again] as $one) {
            foreach (preg_split('/(?<=[.!])\s/', $one->words) ?: [] as $sentence) {
                expect(count(explode(' ', $sentence)))->toBeLessThanOrEqual(14);
            }
        }
    }
});
