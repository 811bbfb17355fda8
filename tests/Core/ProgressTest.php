<?php

declare(strict_types=1);

use Nasturtium\Core\Practice\Care;
use Nasturtium\Core\Practice\Pace;
use Nasturtium\Core\Practice\TermWords;

/*
 * Pace, and a term in words (trade 12.5).
 */

test('pace is the median of the last eight lesson weeks, the end of the book a range', function (array $pages, int $left, array $pace, array $weeks): void {
    $of = Pace::of($pages);
    expect([(string) $of->median, (string) $of->slow, (string) $of->fast])->toBe($pace)
        ->and($of->weeksFor($left))->toBe($weeks);
})->with([
    // Sorted 0 0 1 1 1 2 2 3: the middle of 1 and 1; a quarter of the way 3/4; three quarters 2.
    'eight weeks' => [[1, 0, 2, 1, 3, 0, 2, 1], 12, ['1', '3/4', '2'], [6, 16]],
    'only the last eight count' => [[9, 9, 9, 1, 1, 1, 1, 1, 1, 1, 1], 5, ['1', '1', '1'], [5, 5]],
    'between two weeks' => [[0, 1], 3, ['1/2', '1/4', '3/4'], [4, 12]],
    'at the slower pace it does not end' => [[0, 0, 0, 1], 4, ['0', '0', '1/4'], [16, null]],
    'nothing is left' => [[0], 0, ['0', '0', '0'], [0, 0]],
]);

test('a term is told in sentences', function (): void {
    expect(TermWords::practice('Ida', 40, 34, 410))->toBe(['Ida practised on 34 of 40 planned days, 6 hours in all. That is steady work.'])
        ->and(TermWords::practice('Ida', 40, 12, 95))->toBe(['Ida practised on 12 of 40 planned days, 95 minutes in all. A little more often, even for a short time, would help most.'])
        ->and(TermWords::practice('Ida', 0, 0, 0))->toBe(['Ida had no week planned in this time.'])
        ->and(TermWords::notes('Ida', 14, 9, ['B3', 'E3']))->toBe(['Ida reads 14 notes securely, 5 more than at the start. B3 and E3 are still shaky.'])
        ->and(TermWords::notes('Ida', 1, 1, ['D4']))->toBe(['Ida reads one note securely. D4 is still shaky.'])
        ->and(TermWords::pieces(['Blue Gate', 'Snow Day', 'Thaw'], ['Far Hill']))->toBe(['3 pieces signed off: Blue Gate, Snow Day and Thaw.', 'At work on Far Hill.'])
        ->and(TermWords::tempi([['piece' => 'Thaw', 'from' => 60, 'to' => 84], ['piece' => 'Snow Day', 'from' => 66, 'to' => 66]]))->toBe(['Thaw went from 60 to 84 beats a minute.'])
        ->and(TermWords::slips([['words' => 'beat lost, rushing', 'recent' => 1, 'before' => 4], ['words' => 'dynamics missing', 'recent' => 1, 'before' => 1]]))->toBe(['Beat lost, rushing: 5 times, lately less.']);
});

test('breaks come sooner for small hands', function (): void {
    expect([Care::breakAfter(7), Care::breakAfter(8)])->toBe([10, 20])->and(Care::words()[0])->toStartWith('Stop when it hurts.');
});
