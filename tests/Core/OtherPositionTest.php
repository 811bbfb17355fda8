<?php

declare(strict_types=1);

use Nasturtium\Core\Fingering\FingerSearch;
use Nasturtium\Core\Fingering\HandStart;
use Nasturtium\Core\Fingering\OtherPosition;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;

function moved_to(string $music, string $key, int $direction = 0): OtherPosition
{
    $piece = tune($music);

    return OtherPosition::of($piece, ['R' => FingerSearch::for($piece, Hand::Right), 'L' => FingerSearch::for($piece, Hand::Left)], Key::parse($key), $direction);
}

/** @return list<string> `R E4 3 thumb C4` */
function starts(OtherPosition $position): array
{
    return array_map(static fn (HandStart $start): string => "{$start->hand->value} ".implode('+', $start->pitches).' '.implode('+', $start->fingers)." thumb {$start->thumb}", $position->starts);
}

test('from C five-finger to G and D: the same fingers on other keys', function (): void {
    $music = "R: @c4 q3 1 h5\nL: @5=c3 q5 1 h3\n";
    expect(starts(moved_to($music, 'C')))->toBe(['R E4 3 thumb C4', 'L C3 5 thumb G3'])
        ->and(starts(moved_to($music, 'G', 1)))->toBe(['R B4 3 thumb G4', 'L G3 5 thumb D4'])
        ->and(starts(moved_to($music, 'G')))->toBe(['R B3 3 thumb G3', 'L G2 5 thumb D3'])
        ->and(starts(moved_to($music, 'D')))->toBe(['R F#4 3 thumb D4', 'L D3 5 thumb A3']);
});

test('the accidentals that the position needs', function (string $key, array $signs): void {
    expect(moved_to("R: @c4 q1234 | w5\n", $key)->accidentals)->toBe($signs);
})->with([['G', []], ['D', ['F#']], ['A', ['C#']], ['E', ['F#', 'G#']], ['F', ['Bb']], ['Bb', ['Bb', 'Eb']], ['B', ['C#', 'D#', 'F#']]]);

test('a minor piece stays minor', function (): void {
    $position = moved_to("key: A minor\nR: @a4 q1234 | w5\n", 'D minor');
    expect($position->piece->key()->name())->toBe('D minor')->and($position->accidentals)->toBe([]);
});

test('the moved piece keeps every finger, worked out or printed', function (): void {
    $moved = moved_to("R: @c4 q1 2 h3~ | e (13)\n", 'F')->piece;
    expect(ShorthandWriter::write($moved)->text)->toContain('key: F')
        ->and(array_map(fn ($event) => array_column($event->notes, 'finger'), $moved->hand(Hand::Right)))->toBe([[1], [2], [3], [null], [1, 3]]);
});

test('a hand that does not play has no start, and the keys are told in words', function (): void {
    $starts = moved_to("R: @c4 w1\n", 'G', 1)->starts;
    expect($starts)->toHaveCount(1)->and($starts[0]->keys)->toBe(['between the first and second of the three black keys, in the octave that starts at middle C']);
});
