<?php

declare(strict_types=1);

use Nasturtium\Core\Reading\KeyPlace;
use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\Move;
use Nasturtium\Core\Reading\Route;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Reading\StaffPlace;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Pitch;

test('staff places count from the bottom and go on outside', function (string $pitch, Clef $clef, string $place): void {
    expect(StaffPlace::of(Pitch::parse($pitch), $clef))->toBe($place);
})->with([
    ['E4', Clef::Treble, 'line 1'], ['F5', Clef::Treble, 'line 5'], ['A4', Clef::Treble, 'space 2'],
    ['D4', Clef::Treble, 'space below'], ['C4', Clef::Treble, 'ledger 1 below'], ['B3', Clef::Treble, 'space below ledger 1'],
    ['A3', Clef::Treble, 'ledger 2 below'], ['G5', Clef::Treble, 'space above'], ['A5', Clef::Treble, 'ledger 1 above'],
    ['B5', Clef::Treble, 'space above ledger 1'], ['C6', Clef::Treble, 'ledger 2 above'],
    ['G2', Clef::Bass, 'line 1'], ['D3', Clef::Bass, 'line 3'], ['C4', Clef::Bass, 'ledger 1 above'], ['E2', Clef::Bass, 'ledger 1 below'],
]);

test('keys are found by the black-key groups and the octave', function (string $pitch, string $words): void {
    expect(KeyPlace::of(Pitch::parse($pitch)))->toBe($words);
})->with([
    ['C4', 'left of the two black keys, in the middle of the piano'],
    ['G4', 'between the first and second of the three black keys, in the octave that starts at middle C'],
    ['B3', 'right of the three black keys, in the octave below middle C'],
    ['F#5', 'the left one of the three black keys, one octave above that of middle C'],
    ['D2', 'between the two black keys, 2 octaves below that of middle C'],
]);

test('the nearest landmark wins; on a tie the own clef, then the lower', function (string $pitch, Clef $clef, int $level, string $landmark): void {
    expect((new Landmarks($level))->nearest(Pitch::parse($pitch), $clef)->name())->toBe($landmark);
})->with([
    ['D4', Clef::Treble, 1, 'C4'],
    ['E4', Clef::Treble, 1, 'C4'],
    ['E4', Clef::Bass, 1, 'C4'],
    ['A3', Clef::Treble, 1, 'C4'],
    ['A3', Clef::Bass, 1, 'F3'],
    ['C5', Clef::Treble, 1, 'G4'],
    ['C5', Clef::Treble, 2, 'C5'],
    ['D3', Clef::Bass, 2, 'C3'],
    ['G5', Clef::Treble, 3, 'F5'],
]);

test('there are three landmark levels', fn () => new Landmarks(4))->throws(InvalidScore::class, '4');

test('each school has its own words for the way', function (string $pitch, Clef $clef, School $school, string $words): void {
    expect(Route::to(Pitch::parse($pitch), $clef, $school, new Landmarks(1)))->toBe($words);
})->with([
    ['E4', Clef::Treble, School::Landmark, 'from middle C up: C D E'],
    ['D3', Clef::Bass, School::Landmark, 'from bass F down: F E D'],
    ['G4', Clef::Treble, School::Landmark, 'a landmark: treble G'],
    ['F#4', Clef::Treble, School::Landmark, 'from treble G down: G F, then sharp'],
    ['C3', Clef::Bass, School::Alphabet, 'bass space 1 is A; count up line, space: A B C'],
    ['E4', Clef::Treble, School::Alphabet, 'treble line 1 is E'],
    ['B4', Clef::Treble, School::Phrase, 'line 3: Every Goat Brings'],
    ['C4', Clef::Treble, School::Phrase, 'E is the bottom line; go on down: E D C'],
]);

test('moves are named by their steps', function (?int $steps, string $name): void {
    expect(Move::of($steps))->toBe($name);
})->with([[null, 'start'], [0, 'repeat'], [1, 'step up'], [-1, 'step down'], [2, 'skip up'], [-2, 'skip down'], [3, 'leap up 4th'], [-4, 'leap down 5th'], [7, 'leap up 8th'], [20, 'leap up 21st']]);

test('a rest does not break the chain of moves, and a chord moves by its lowest note', function (): void {
    $report = broken_down("R: @c4 q1 r 3 (135) | h5~ v5 r q1\n");
    expect(each_event($report, 'move'))->toBe(['start', null, 'skip up', 'skip down', 'leap up 5th', 'held', null, 'leap down 5th'])
        ->and(each_event($report, 'interval'))->toBe([null, null, 2, -2, 4, 0, null, -4]);
});

test('the inventory tells how often, where first, and what is known', function (): void {
    $settings = new Settings(known: KnownNotes::of(['C4', 'bass:G3']));
    $notes = broken_down("R: @c4 q1213 | w1\nL: @5=c3 h5 1 | w1\n", $settings)['notes'];
    $short = array_map(fn (array $note): array => [$note['clef'], $note['pitch'], $note['times'], $note['first'], $note['status'], $note['landmark'], $note['steps']], $notes);
    expect($short)->toBe([
        ['treble', 'C4', 3, '1.1', 'secure', 'C4', 0],
        ['treble', 'D4', 1, '1.2', 'new', 'C4', 1],
        ['treble', 'E4', 1, '1.4', 'new', 'C4', 2],
        ['bass', 'C3', 1, '1.1', 'new', 'F3', -3],
        ['bass', 'G3', 2, '1.3', 'secure', 'F3', 1],
    ]);
});

test('solfège is movable, la-based in minor, with syllables for accidentals', function (): void {
    expect(each_event(broken_down("key: G\nR: @g4 q1 3 5 c+\n"), 'solfege'))->toBe(['do', 'mi', 'sol', 'fi'])
        ->and(each_event(broken_down("key: A minor\nR: @a3 q1 3 e g+\n"), 'solfege'))->toBe(['la', 'do', 'mi', 'si'])
        ->and(each_event(broken_down("key: F\nR: @f4 q1 4 e- c\n"), 'solfege'))->toBe(['do', 'fa', 'te', 'sol']);
});
