<?php

declare(strict_types=1);

use Nasturtium\Core\Drill\Bar;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Sight\MakeLine;
use Nasturtium\Core\Sight\SightLevel;
use Nasturtium\Core\Sight\SightMaterial;
use Nasturtium\Core\Sight\SightPosition;

/*
 * What cards, worksheets and lines at sight are made of.
 */

function typed(string $text): Piece
{
    return ShorthandReader::read($text)->piece ?? throw new LogicException($text);
}

/** @return list<string> the bars that come from a page, before the usual ones, by their rhythm */
function plain_bars(string $page): array
{
    $usual = count(Bar::of(new Material([])));
    $bars = Bar::of(new Material([], [typed($page)]));

    return array_map(static fn (Bar $bar): string => "{$bar->hand->value} {$bar->rhythm()}", array_slice($bars, 0, max(0, count($bars) - $usual)));
}

test('where a note stands, as it is said', function (string $note, string $where): void {
    [$clef, $pitch] = explode(':', $note);
    expect((new Material([]))->where(Clef::from($clef), Pitch::parse($pitch)))->toBe($where);
})->with([
    'a line' => ['treble:G4', 'on line 2'], 'a space' => ['bass:C3', 'in space 2'], 'below' => ['treble:D4', 'in the space below'], 'above' => ['bass:B3', 'in the space above'],
    'middle C' => ['treble:C4', 'on ledger line 1 below'], 'beyond a ledger line' => ['treble:B3', 'in the space below ledger line 1'],
]);

test('the way to a note is the student’s own school, as a sentence', function (School $school, string $way): void {
    expect((new Material([], school: $school))->way(Clef::Treble, Pitch::parse('B4')))->toBe($way);
})->with([
    'from a landmark' => [School::Landmark, 'From treble G up: G A B.'], 'by the alphabet' => [School::Alphabet, 'Treble line 1 is E; count up line, space: E F G A B.'], 'by a sentence' => [School::Phrase, 'Line 3: Every Goat Brings.'],
]);

test('the notes of a staff come from the lowest', function (): void {
    $material = new Material([[Clef::Treble, Pitch::parse('G4')], [Clef::Bass, Pitch::parse('F3')], [Clef::Treble, Pitch::parse('C4')]]);
    expect(array_map(static fn (Pitch $pitch): string => $pitch->name(), $material->on(Clef::Treble)))->toBe(['C4', 'G4']);
});

test('a bar is taken from a page as often as it is different, each hand by itself', function (): void {
    expect(plain_bars("R: @c4 q1 3 h5 | q1 3 h5 | q1 3 h5\nL: @5=c3 w5 | h1 5 | w5"))->toBe(['R 1/4 1/4 1/2', 'L 1', 'L 1/2 1/2']);
});

test('what a card cannot show simply is left out', function (string $page): void {
    expect(plain_bars($page))->toBe([]);
})->with([
    'a chord' => 'R: @c4 h(135) 5', 'a tie into the next bar' => 'R: @c4 h1 5~ | h5 1', 'a triplet' => 'R: @c4 {v123} q4 h5', 'a bar of rest' => 'R: @c4 /',
    'a bar that is short' => "time: 3/4\nR: @c4 q5 | q1 2 3 | q1 2", 'two voices' => "R: @c5 h.5 q1\nR2: q c b, a b",
]);

test('rests stand in a bar, and do not strike', function (): void {
    $bar = Bar::of(new Material([], [typed('R: @c4 q1 r 3 q5')]))[0];
    expect($bar->rhythm())->toBe('1/4 r1/4 1/4 1/4')->and(array_map(static fn (Duration $from): string => (string) $from->whole, $bar->from))->toBe(['0', '1/2', '3/4'])
        ->and($bar->id())->toHaveLength(12);
});

test('what was met is read from signed-off pages: rhythms, the widest move, turns and both hands at once', function (): void {
    $rhythms = static fn (SightMaterial $of, string $meter): array => array_map(static fn (array $bar): string => implode(' ', array_map(static fn (Duration $one): string => (string) $one->whole, $bar)), $of->rhythms[$meter] ?? []);
    $bare = SightMaterial::of([], []);
    expect($rhythms($bare, '4/4'))->toBe(['1/4 1/4 1/4 1/4', '1/4 1/4 1/2', '1/2 1/2', '1'])->and([$bare->farthest, $bare->turns, $bare->together])->toBe([1, false, false]);
    $met = SightMaterial::of([typed("R: @c4 q1 v2 3 h5 | h1 r\nL: / | @5=c3 w5"), typed("time: 3/4\nR: @c4 q.1 v2 q1 | h.1")], []);
    expect($rhythms($met, '4/4'))->toContain('1/4 1/8 1/8 1/2')->and($rhythms($met, '3/4'))->toBe(['3/8 1/8 1/4', '3/4'])
        // A bar with a rest is no rhythm of a line.
        ->and($rhythms($met, '4/4'))->not->toContain('1/2 1/2 1/2')->and($met->farthest)->toBe(2)->and($met->turns)->toBeTrue()->and($met->together)->toBeTrue();
});

test('sixteenths, ties and compound time are not asked at sight', function (string $page): void {
    expect(SightMaterial::of([typed($page)], [])->rhythms)->toEqual(SightMaterial::of([], [])->rhythms);
})->with(['sixteenths' => 'R: @c4 x1234 q5 h1', 'a tie' => 'R: @c4 h1 3~ | w3', 'six eighths' => "time: 6/8\nR: @c4 v123 321", 'a triplet' => 'R: @c4 {v123} q4 h5']);

test('a line is known by its clef: a note that is sure on one staff is not on the other', function (): void {
    $material = SightMaterial::of([], ['treble:C4'], 'bass:F3');
    expect($material->knows(Clef::Treble, Pitch::parse('C4')))->toBeTrue()->and($material->knows(Clef::Bass, Pitch::parse('C4')))->toBeFalse()->and($material->knows(Clef::Bass, Pitch::parse('F3')))->toBeTrue();
});

test('a position has its five keys in its key, and its fingers by the hand', function (): void {
    $of = static fn (string $key, string $hand): SightPosition => array_values(array_filter(SightPosition::all(), static fn (SightPosition $one): bool => $one->key->name() === $key && $one->hand->value === $hand))[0];
    $keys = static fn (SightPosition $position): array => array_map(static fn (int $degree): string => $position->pitch($degree)->name(), range(0, 4));
    expect($keys($of('C major', 'R')))->toBe(['C4', 'D4', 'E4', 'F4', 'G4'])->and($keys($of('F major', 'L')))->toBe(['F3', 'G3', 'A3', 'Bb3', 'C4'])->and($keys($of('A minor', 'R')))->toBe(['A3', 'B3', 'C4', 'D4', 'E4'])
        ->and([$of('C major', 'R')->finger(0), $of('C major', 'R')->finger(4), $of('C major', 'L')->finger(0), $of('C major', 'L')->finger(4)])->toBe([1, 5, 5, 1])
        ->and($of('G major', 'R')->partner()?->lowest->name())->toBe('G2');
});

test('the hands in turns change in the middle, and both have their first finger', function (): void {
    $secure = ['treble:C4', 'treble:D4', 'treble:E4', 'bass:C3', 'bass:D3', 'bass:E3'];
    $make = new MakeLine(SightMaterial::of([typed("R: @c4 w1 | /\nL: / | @5=c3 w5")], $secure));
    foreach (range(1, 30) as $seed) {
        $piece = $make(SightLevel::Five, $seed)?->piece() ?? throw new LogicException();
        $plays = array_map(static fn ($measure): string => implode('', array_filter(['R', 'L'], static fn (string $hand): bool => array_filter($hand === 'R' ? $measure->right : $measure->left, static fn ($event): bool => ! $event->isRest()) !== [])), $piece->measures);
        expect($plays)->toBeIn([['R', 'R', 'L', 'L'], ['L', 'L', 'R', 'R']]);
        foreach ([0, 2] as $bar) {
            $events = array_values(array_filter($piece->measures[$bar]->events(), static fn ($event): bool => ! $event->isRest()));
            expect($events[0]->notes[0]->finger)->not->toBeNull();
        }
    }
});
