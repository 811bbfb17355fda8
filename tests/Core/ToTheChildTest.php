<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Performance\Hearing\Hear;
use Nasturtium\Core\Performance\Hearing\Source;
use Nasturtium\Core\Performance\Hearing\TakenNote;
use Nasturtium\Core\Performance\Hearing\ToTheChild;
use Nasturtium\Core\Performance\Hearing\WrittenMusic;

/*
 * What a child is told of a take: what went well first, then one thing (trade 18.4).
 */

/**
 * @param  array<int, array{int, int}>  $but  by the note: later by so many milliseconds from there on, and half steps higher; a key left out has 999
 * @return array{string, ?string}
 */
function told_to_child(array $but, string $text = "time: 4/4\nR: @c4 q1 2 3 4 | q5 4 3 2 | h1 3 | w5\nL: @5=c3 w5 | w1 | w5 | w1"): array
{
    $music = WrittenMusic::of(ShorthandReader::read($text)->piece ?? throw new LogicException());
    $taken = [];
    $late = 0;
    foreach ($music->notes as $i => $note) {
        [$by, $up] = $but[$i] ?? [0, 0];
        $late += $by;
        if ($up !== 999) {
            $at = 500 + $late + intdiv($note->tick * 600, WrittenMusic::QUARTER);
            $taken[] = new TakenNote($at, $at + intdiv($note->lasts * 540, WrittenMusic::QUARTER), $note->pitch + $up);
        }
    }
    $said = ToTheChild::of(Hear::take($music, $taken));

    return [$said->well, $said->thing];
}

test('what went well is said first, then one thing with what to do', function (array $but, string $well, ?string $thing): void {
    expect(told_to_child($but))->toBe([$well, $thing]);
})->with([
    'clean' => [[], 'Every note was right, and you went on without a stop.', null],
    'a wrong key' => [[7 => [0, 1]], 'Bar 3 to bar 4: every note was right.', 'In bar 2 look again: name the notes, then play them slowly.'],
    'most of them in one bar' => [[1 => [0, 1], 7 => [0, 1], 8 => [0, 1]], 'Bar 3 to bar 4: every note was right.', 'In bar 2 look again: name the notes, then play them slowly.'],
    'a missed key' => [[12 => [0, 999]], 'Bar 1 to bar 2: every note was right.', 'In bar 3 look again: name the notes, then play them slowly.'],
    'a stall' => [[5 => [1_500, 0]], 'Every note was right.', 'It stood still in bar 2: look ahead, and play from the bar before it.'],
]);

test('where more than a fifth was hard to hear nothing is told of the keys, and it is not clean (18.2)', function (array $unsure, bool $isHeard): void {
    $music = WrittenMusic::of(ShorthandReader::read("time: 4/4\nR: @c4 q1 2 3 4 | q5 4 3 2 | q1 w2\n")->piece ?? throw new LogicException());
    $taken = [];
    foreach ($music->notes as $i => $note) {
        $at = intdiv($note->tick * 600, WrittenMusic::QUARTER);
        $taken[] = new TakenNote($at, $at + 400, $note->pitch, sure: in_array($i, $unsure, true) ? 5 : 990);
    }
    $heard = Hear::take($music, $taken, Source::Microphone);
    expect($heard->isHeard())->toBe($isHeard)->and($heard->isClean())->toBe($isHeard)
        ->and(ToTheChild::of($heard)->thing)->toBe($isHeard ? null : 'Much of it was hard to hear. Put this nearer to the piano, and play it again.');
})->with([[[], true], [[1, 5], true], [[1, 4, 7], false]]);

test('where nothing was played, the child is told where to begin', function (): void {
    expect(told_to_child(array_fill(0, 20, [0, 999])))->toBe(['I am ready when you are.', 'Nothing was heard that belongs to these bars. Look where your hands start, and play again.']);
});
