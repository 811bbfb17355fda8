<?php

declare(strict_types=1);

use Nasturtium\Core\Reading\InvalidReading;
use Nasturtium\Core\Reading\KeyPlace;
use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\Move;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Reading\Phrases;
use Nasturtium\Core\Reading\Route;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Reading\StaffPlace;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Clef;
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

test('the nearest landmark of the own clef wins', function (string $pitch, Clef $clef, int $level, string $landmark): void {
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
    // Two steps above treble G, and one below bass F of the other staff: each staff has its own.
    ['B4', Clef::Bass, 1, 'C4'],
    ['F3', Clef::Treble, 1, 'C4'],
    ['G4', Clef::Bass, 1, 'C4'],
    ['E3', Clef::Treble, 3, 'C4'],
]);

test('a way of more than five letters says that the next landmarks are due', function (string $music, int $level, ?string $says): void {
    $report = broken_down($music, new Settings(landmarks: new Landmarks($level)));
    expect($report['landmarks_due'])->toBe($says);
})->with([
    'five letters' => ["R: @g4 q1 2 3 4 | @d5 w1\n", 1, null],
    'six' => ["R: @g4 q1 2 3 4 | @e5 w1\n", 1, 'The way to E5 has 6 letters: the landmarks C5 and C3 are due.'],
    'the longest is named' => ["R: @g4 q1 2 3 4 | @e5 q1 2 3 4\n", 1, 'The way to A5 has 9 letters: the landmarks C5 and C3 are due.'],
    'from the next landmark it is short' => ["R: @g4 q1 2 3 4 | @e5 w1\n", 2, null],
    'all are known' => ["R: @c6 q1 2 3 4 | @g6 w1\n", 3, null],
]);

test('in another school no landmark is due', function (): void {
    expect(broken_down("R: @g4 w1 | @e5 w1\n", new Settings(school: School::Alphabet))['landmarks_due'])->toBeNull();
});

test('there are three landmark levels', fn () => new Landmarks(4))->throws(InvalidReading::class, '4');

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
})->with([[null, 'start'], [0, 'repeat'], [1, 'step up'], [-1, 'step down'], [2, 'skip up'], [-2, 'skip down'], [3, 'leap up 4th'], [-4, 'leap down 5th'], [7, 'leap up octave'], [-7, 'leap down octave'], [20, 'leap up 21st']]);

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

test('a teacher may add the middle line of the bass staff', function (string $pitch, string $landmark): void {
    expect((new Landmarks(1, middleLine: true))->nearest(Pitch::parse($pitch), Clef::Bass)->name())->toBe($landmark);
})->with([['D3', 'D3'], ['C3', 'D3'], ['E3', 'D3'], ['F3', 'F3'], ['B3', 'C4']]);

test('its way is said from it', function (): void {
    expect(Route::to(Pitch::parse('B2'), Clef::Bass, School::Landmark, new Landmarks(1, middleLine: true)))->toBe('from bass D down: D C B');
});

test('the teacher\'s own sentence is said', function (): void {
    $phrases = Phrases::of(['treble line' => 'Ella Gave Bruno Dark Fudge', 'bass space' => '']);
    expect(Route::to(Pitch::parse('D5'), Clef::Treble, School::Phrase, new Landmarks(), $phrases))->toBe('line 4: Ella Gave Bruno Dark')
        ->and(Route::to(Pitch::parse('E3'), Clef::Bass, School::Phrase, new Landmarks(), $phrases))->toBe('space 3: Ants Climb Every');
});

test('a sentence has a word for each place, with its letter', function (array $sentences, string $says): void {
    expect(fn () => Phrases::of($sentences))->toThrow(InvalidReading::class, $says);
})->with([
    'a letter wrong' => [['treble line' => 'Every Big Goat Digs Figs'], "the treble lines: 'Big' should begin with G"],
    'a word short' => [['treble space' => 'Foxes Arrive Early'], 'needs 4 words, one each for F, A, C, E, and has 3'],
    'a word too many' => [['bass space' => 'Ants Climb Every Gate Twice'], 'needs 4 words'],
    'too long' => [['bass line' => str_repeat('G', 90)], 'longer than 80 letters'],
]);

test('every sentence that is offered is one', function (): void {
    foreach (Phrases::CHOICES as $place => $sentences) {
        expect(count($sentences))->toBeGreaterThanOrEqual(3);
        foreach ($sentences as $sentence) {
            expect(Phrases::of([$place => $sentence])->all()[$place])->toBe($sentence);
        }
    }
});

test('a note known in one clef is not known in the other, unless it is known in any', function (): void {
    $known = KnownNotes::with(['bass:C4' => NoteStatus::Shaky, 'C4' => NoteStatus::Secure]);
    expect($known->status(Pitch::parse('C4'), Clef::Bass))->toBe(NoteStatus::Shaky)
        ->and($known->status(Pitch::parse('C4'), Clef::Treble))->toBe(NoteStatus::Secure)
        ->and($known->status(Pitch::parse('D4'), Clef::Treble))->toBe(NoteStatus::Fresh);
});

/** @return list<string> `code place` */
function traps_of(string $music): array
{
    return array_map(static fn (array $trap): string => "{$trap['code']} {$trap['place']}", broken_down($music)['traps']);
}

test('reading traps are warned of at their place', function (string $music, array $traps): void {
    expect(traps_of($music))->toBe($traps);
})->with([
    'none' => ["R: @c5 q1 2 3 4\nL: @5=c3 w5\n", []],
    'both hands in the treble clef' => ["clefs: treble treble\nR: @e4 w1\nL: @e4 w1\n", ['one_clef 1.1']],
    'one hand alone reads one clef' => ["clefs: treble treble\nR: @e4 w1\n", []],
    'a clef that changes at a bar' => ["R: @c5 w1 | [bass] c,\nL: @5=c3 w5 | 5\n", ['clef_change 2.1']],
    'and inside a bar' => ["R: @c5 h1 [bass] c,\nL: @5=c3 w5\n", ['clef_change 1.3']],
    'a hand on the other staff' => ["R: @e4 q1 3 [cross] a, g | [back] w1\nL: @5=c3 w5 | 5\n", ['crossed 1.3']],
    'one key in two clefs' => ["R: @c4 q1 d e f\nL: @c4 h1 3\n", ['ledger_zone 1.1']],
    'D4 below one staff and above the other' => ["R: @d4 q1 e f g\nL: @d4 h1 3\n", ['ledger_zone 1.1']],
    'the left hand down the staff' => ["R: /\nL: @5=c3 q1 2 3 5\n", ['left_down 1.1']],
    'two steps down are no run' => ["R: /\nL: @5=c3 q1 2 5 5\n", []],
    'down over the bar line, with a rest inside' => ["R: / | /\nL: @5=c3 hr q1 2 | r 3 4 5\n", ['left_down 1.3']],
    'the right hand may go down' => ["R: @c5 q5 4 3 2\nL: @5=c3 w5\n", []],
]);

test('a trap names what it speaks of', function (): void {
    $trap = broken_down("R: /\nL: @5=c3 q1 2 3 5\n")['traps'][0];
    expect($trap)->toBe(['code' => 'left_down', 'place' => '1.1', 'hand' => 'L', 'text' => 'Bar 1: the left hand runs down, G F E: the alphabet backwards, towards the left.', 'events' => ['L1-1', 'L1-2', 'L1-3']]);
});

test('a page without a staff has nothing to read wrong', function (): void {
    expect(traps_of("notation: fingers\nclefs: treble treble\nR: @c4 w1\nL: @c4 w1\n"))->toBe([]);
});

test('what to drill first is what is new, then what is shaky, the most frequent first', function (): void {
    $known = KnownNotes::with(['C4' => NoteStatus::Secure, 'D4' => NoteStatus::Shaky, 'E4' => NoteStatus::Shaky]);
    $drill = broken_down("R: @c4 q1 2 4 5 | 5 5 2 3\n", new Settings(known: $known))['drill'];
    expect($drill)->toBe([
        ['clef' => 'treble', 'pitch' => 'G4', 'status' => 'new', 'why' => 'new, 3 times on this page'],
        ['clef' => 'treble', 'pitch' => 'F4', 'status' => 'new', 'why' => 'new, once on this page'],
        ['clef' => 'treble', 'pitch' => 'D4', 'status' => 'shaky', 'why' => 'shaky, 2 times on this page'],
        ['clef' => 'treble', 'pitch' => 'E4', 'status' => 'shaky', 'why' => 'shaky, once on this page'],
    ]);
});

test('letters to ring stand on the page three times and more, in any octave, the unknown ones first', function (): void {
    $known = KnownNotes::of(['C4', 'C5', 'D4']);
    $rings = broken_down("R: @c4 q1 2 3 3 | c' c, 2 3 | 2 2 1 f+\n", new Settings(known: $known))['rings'];
    expect(array_map(static fn (array $ring): array => [$ring['what'], $ring['times'], count($ring['events'])], $rings))->toBe([['E', 3, 3], ['C', 4, 4], ['D', 4, 4]]);
});

test('notes of a page carry the number of their key', function (): void {
    expect(array_column(broken_down("R: @c4 q1 f+ h5\n")['notes'], 'midi'))->toBe([60, 66, 67]);
});
