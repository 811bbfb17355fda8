<?php

declare(strict_types=1);

use Nasturtium\Core\Fingering\FingerSearch;
use Nasturtium\Core\Fingering\Grip;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Pitch;

/** A struck note or chord, with printed fingers where given: `C4`, `E4:3`. */
function struck(Hand $hand, string ...$notes): Event
{
    return new Event(
        'x',
        $hand,
        Clef::Treble,
        0,
        Fraction::zero(),
        Duration::ofNote('quarter'),
        array_map(static function (string $note): Note {
            [$pitch, $finger] = [...explode(':', $note), null];

            return new Note(Pitch::parse($pitch), $finger === null ? null : (int) $finger);
        }, $notes),
    );
}

/** @return list<string> `thumb: fingers cost` of every grip */
function grips(Event $event, Hand $hand): array
{
    return array_map(
        static fn (Grip $grip): string => Pitch::ofDiatonic($grip->thumb)->name().': '.implode(' ', $grip->fingers).($grip->cost > 0 ? " ({$grip->cost})" : ''),
        Grip::of($event, $hand, array_map(static fn (Note $note): ?int => $note->finger, $event->notes)),
    );
}

test('a note of the right hand lies under five fingers, or one key beyond', function (): void {
    expect(grips(struck(Hand::Right, 'G4'), Hand::Right))->toBe([
        'G4: 1',
        'F4: 2',
        'E4: 3',
        'D4: 4',
        'C4: 5',
        'A4: 1 (24)',
        'B3: 5 (24)',
    ]);
});

test('a note of the left hand the other way round', function (): void {
    expect(grips(struck(Hand::Left, 'G3'), Hand::Left))->toBe([
        'G3: 1',
        'A3: 2',
        'B3: 3',
        'C4: 4',
        'D4: 5',
        'F3: 1 (24)',
        'E4: 5 (24)',
    ]);
});

test('a printed finger leaves the grips that obey it', function (): void {
    expect(grips(struck(Hand::Right, 'G4:3'), Hand::Right))->toBe(['E4: 3'])
        ->and(grips(struck(Hand::Right, 'G4:5'), Hand::Right))->toBe(['C4: 5', 'B3: 5 (24)'])
        ->and(grips(struck(Hand::Right, 'G4:6'), Hand::Right))->toBe([]);
});

test('a chord lies in a position with rising fingers', function (): void {
    expect(grips(struck(Hand::Right, 'C4', 'E4', 'G4'), Hand::Right))->toBe([
        'C4: 1 3 5',
        'D4: 1 2 4 (24)',
        'B3: 2 4 5 (24)',
    ])
        ->and(grips(struck(Hand::Right, 'C4', 'E4'), Hand::Right))->toBe([
            'C4: 1 3',
            'B3: 2 4',
            'A3: 3 5',
            'D4: 1 2 (24)',
            'G3: 4 5 (24)',
        ])
        ->and(grips(struck(Hand::Left, 'C3', 'E3', 'G3'), Hand::Left)[0])->toBe('G3: 5 3 1');
});

test('a sixth is a stretch, wider chords are taken at their ends', function (): void {
    expect(grips(struck(Hand::Right, 'C4', 'A4'), Hand::Right))->toBe(['D4: 1 5 (24)', 'C4: 1 5 (24)'])
        ->and(grips(struck(Hand::Right, 'C4', 'E4', 'C5'), Hand::Right))->toBe(['C4: 1 2 5 (12)'])
        ->and(grips(struck(Hand::Left, 'C3', 'G3', 'C4'), Hand::Left))->toBe(['C4: 5 2 1 (12)'])
        ->and(grips(struck(Hand::Right, 'C4', 'D4', 'E4', 'F4', 'G4', 'A4'), Hand::Right))->toHaveCount(1);
});

test('black keys lie under the finger of their letter', function (): void {
    expect(grips(struck(Hand::Right, 'F#4:4'), Hand::Right))->toBe(['C4: 4'])
        ->and(grips(struck(Hand::Left, 'Bb3:1'), Hand::Left))->toBe(['B3: 1', 'A3: 1 (24)']);
});

/** @return list<int|null> */
function fingers_of(string $tune, Hand $hand = Hand::Right): array
{
    $piece = tune($tune);
    $found = FingerSearch::for($piece, $hand)->fingers;
    $fingers = [];
    foreach ($piece->hand($hand) as $event) {
        array_push($fingers, ...$found[$event->id] ?? []);
    }

    return $fingers;
}

test('fingers of small tunes, worked out', function (string $tune, array $fingers): void {
    expect(fingers_of($tune))->toBe($fingers);
})->with([
    'five keys up and down' => ["R: q c d e f g f e d c r h r\n", [1, 2, 3, 4, 5, 4, 3, 2, 1]],
    'two keys only lie under the named position' => ["R: @d4 q e f e f\n", [3, 4, 3, 4]],
    'a printed finger moves the whole position' => ["R: @c4 q c d e^2 f\n", [1, 1, 2, 3]],
    'the last printed finger counts backwards too' => ["R: @d4 q e f g a^5\n", [2, 3, 4, 5]],
    'repeated notes keep their finger' => ["R: @c4 q3 e e e\n", [3, 3, 3, 3]],
    'rests change nothing' => ["R: @c4 q1 r 3 r\n", [1, 3]],
    'G position by its reach' => ["R: q g a b d' r r r r\n", [1, 2, 3, 5]],
]);

test('fingers of the left hand, worked out', function (string $tune, array $fingers): void {
    expect(fingers_of($tune, Hand::Left))->toBe($fingers);
})->with([
    'down from the thumb' => ["R: /\nL: @g3 q1 f e d\n", [1, 2, 3, 4]],
    'middle C position' => ["R: /\nL: @c4 q1 b a g\n", [1, 2, 3, 4]],
    'broken chord' => ["R: /\nL: @5=c3 q5 e g e\n", [5, 3, 1, 3]],
    'a chord' => ["R: /\nL: @5=c3 w(531)\n", [5, 3, 1]],
]);

test('a long part takes one pass: its positions are as many as its moves', function (): void {
    $tune = "R: @c4 q1 3 2 4\nR: @g4 q1 3 2 4\n";
    $report = broken_down(str_repeat($tune, 20));
    expect($report['shifts'])->toHaveCount(39)
        ->and(array_column($report['positions'], 'name'))->toBe(array_merge(...array_fill(0, 20, ['C position', 'G position'])))
        ->and(array_unique(array_map(abs(...), array_column($report['shifts'], 'keys'))))->toBe([4]);
});
