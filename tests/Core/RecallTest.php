<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Drill\Recall;
use Nasturtium\Core\Drill\RecallQuestion;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Score\Piece;

/*
 * Recall questions of a page, worked out by hand (trade 15.1).
 */

function asked_page(): Piece
{
    $text = "time: 3/4\nR: @c4 \"mf\" q5 | h.1~ | 1 | q1* 2 3 | q r 5 5 | q1* 2 3 :|\nL: / | @5=c3 h.5 | 5 | 5 | 1 | 5";

    return ShorthandReader::read($text)->piece ?? throw new LogicException();
}

test('everything that a page can be asked, with its answer', function (): void {
    $all = array_map(static fn (RecallQuestion $one): array => [$one->ask, $one->answer, $one->bars], Recall::all(asked_page()));
    expect($all)->toBe([
        ['How many beats are in a bar?', '3: the time is 3/4.', [1]],
        ['On which note does the right hand start?', 'G, line 2.', [0]],
        ['On which note does the left hand start?', 'C, space 2.', [1]],
        ['Where does bar 3 come again?', 'In bar 5.', [3, 5]],
        ['Which is the highest note of the right hand?', 'G, first in the pickup.', [0]],
        ['Which is the highest note of the left hand?', 'G, first in bar 4.', [4]],
        ['Where is a tie?', 'In bar 1.', [1]],
        ['What does mf in the pickup say?', 'Medium loud.', [0]],
        ['Where are notes with a dot above or below?', 'In bars 3 and 5.', [3, 5]],
        ['In which bars does the right hand rest?', 'In bar 4.', [4]],
        ['Where do you go back and play again?', 'At the end of bar 5.', [5]],
    ]);
});

test('lengths are called as the studio calls them', function (): void {
    $piece = ShorthandReader::read('R: @c4 q1 2 h3 | w1')->piece ?? throw new LogicException();
    $asks = static fn (NoteWords $words): array => array_column(array_map(static fn (RecallQuestion $one): array => [$one->ask, $one->answer], Recall::all($piece, $words)), 1, 0);
    expect($asks(NoteWords::British)['How many crotchets does the right hand have in bar 1?'])->toBe('Two.')
        ->and($asks(NoteWords::American)['How many half notes does the right hand have in bar 1?'])->toBe('One.');
});

test('five are asked at once, others with another seed, and a page with little asks little', function (): void {
    $asks = static fn (int $seed): array => array_map(static fn (RecallQuestion $one): string => $one->ask, Recall::of(asked_page(), $seed));
    expect($asks(1))->toHaveCount(5)->toBe($asks(1))->and($asks(1))->not->toBe($asks(2))
        ->and(Recall::of(ShorthandReader::read('R: @c4 w1')->piece ?? throw new LogicException(), 1))->toHaveCount(4);
});
