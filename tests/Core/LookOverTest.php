<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Reading\TempoWords;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Words;

// What is pointed at before a key is played (trade 3.8).

/** @return array<string, string> the text of each thing that is pointed at */
function pointed_at(string $tune, ?Settings $settings = null): array
{
    return array_column(broken_down($tune, $settings)['look_over'], 'text', 'what');
}

test('everything is pointed at in the teacher’s order, and only what is there', function (): void {
    expect(pointed_at("key: G\ntime: 3/4\nR: @g4 \"mf\" q1 2 3 | h.5\nL: @5=g3 h.5 | 5\n"))->toBe([
        'Clefs' => 'Right hand in treble clef, left hand in bass clef.',
        'Key' => 'G major: one sharp, F♯.',
        'Time' => '3/4: three quarter notes in a bar.',
        'Count in' => '1 2 3, then play on 1.',
        'Loud and soft' => 'mf (medium loud) in bar 1.',
        'Where the hands start' => 'Right hand with finger 1 on G4, left hand with finger 5 on G3.',
        'The form' => 'This page is 2 bars, all different.',
    ]);
});

test('note values are called as the studio calls them', function (): void {
    $uk = new Settings(counting: new CountWay(noteWords: NoteWords::British));
    expect(pointed_at("R: @c4 q1 2 3 4\n", $uk)['Time'])->toBe('4/4: four crotchets in a bar.')
        ->and(pointed_at("time: 6/8\nR: @c4 q.1 2\n", $uk)['Time'])->toBe('6/8: six quavers in a bar.')
        ->and(pointed_at("time: 6/8\nR: @c4 q.1 2\n")['Time'])->toBe('6/8: six eighth notes in a bar.');
});

test('a key is named with its sharps or flats', function (string $key, string $says): void {
    expect(pointed_at("key: {$key}\nR: @c4 w1\n")['Key'])->toBe($says);
})->with([
    ['C', 'C major: no sharps or flats.'],
    ['D', 'D major: two sharps, F♯ and C♯.'],
    ['Bb', 'B♭ major: two flats, B♭ and E♭.'],
    ['C# minor', 'C♯ minor: four sharps, F♯, C♯, G♯ and D♯.'],
    ['none', 'No sharps or flats.'],
]);

test('a tempo word is told with its meaning, and the metronome as it is printed', function (): void {
    expect(pointed_at("tempo: 60-72 Andante cantabile\nR: @c4 w1\n")['Tempo'])->toBe('Andante cantabile (andante: at a walking pace; cantabile: in a singing way), ♩ = 60 to 72.')
        ->and(pointed_at("tempo: 80 Like rain\nR: @c4 w1\n")['Tempo'])->toBe('Like rain, ♩ = 80.')
        ->and(pointed_at("R: @c4 w1\n"))->not->toHaveKey('Tempo')
        ->and(TempoWords::meanings('Poco allegretto'))->toBe(['poco: a little', 'allegretto: fairly lively'])
        ->and(TempoWords::meanings('Adagios'))->toBe([]);
});

test('a pickup is told with its count', function (): void {
    expect(pointed_at("R: @c4 q1 | q1 2 3 4 | h.5\n")['Pickup'])->toBe('It starts before the bar, with one beat. Count 1 2 3, then play on 4.');
});

test('the way through is one line', function (): void {
    expect(pointed_at("R: |: @c4 w1 | 2 :| w3\n")['The way through'])->toBe('Bars 1–2, then 1–3.')
        ->and(pointed_at("R: @c4 w1 | 2\n"))->not->toHaveKey('The way through');
});

test('dynamics and hairpins come in order, each once; touch is said where there is some', function (): void {
    $page = pointed_at("R: @c4 \"p\" q1 2 < 3 4 | . \"f\" h1_ 5_\n");
    expect($page['Loud and soft'])->toBe('p (soft) in bar 1, getting louder in bar 1, f (loud) in bar 2.')
        ->and($page['Touch'])->toBe('Slurs: smoothly joined.')
        ->and(pointed_at("R: @c4 w1\n"))->not->toHaveKeys(['Loud and soft', 'Touch']);
});

test('clefs that are alike, and those that change', function (): void {
    expect(pointed_at("R: @c4 w1\nL: [treble] @c5 w1\n")['Clefs'])->toBe('Both hands in treble clef.')
        ->and(pointed_at("R: @c4 w1 | 1\nL: @5=c3 w5 | [treble] @c4 w1\n")['Clefs'])->toBe('Right hand in treble clef, left hand in bass clef, left hand changes to treble clef in bar 2.')
        ->and(pointed_at("R: @c4 w1\n")['Clefs'])->toBe('Right hand in treble clef.');
});

test('notes that are new are those of this student', function (): void {
    $tune = "R: @c4 q1 2 3 4\n";
    expect(pointed_at($tune, new Settings(known: KnownNotes::of(['C4', 'D4'])))['New notes'])->toBe('E4, F4.')
        ->and(pointed_at($tune))->not->toHaveKey('New notes');
});

test('what is spoken of is lit: the first notes, the new ones, the bars that are learned, the thorns', function (): void {
    $report = broken_down("R: @c4 q1 2 3 4 | q1 2 3 4 | w1\nL: @5=c3 w5 | 5 | 5\n", new Settings(known: KnownNotes::of(['C4', 'C3'])));
    $of = array_column($report['look_over'], null, 'what');
    $first = array_map(static fn (string $hand): string => array_values(array_filter($report['events'], static fn (array $event): bool => $event['hand'] === $hand))[0]['id'], ['R', 'L']);
    expect($of['Where the hands start']['events'])->toBe($first)->and($of['Count in']['events'])->toBe($first)
        ->and(count($of['New notes']['events']))->toBe(6)
        ->and($of['The form']['bars'])->toBe(array_column($report['learn']['order'], 'measure'));
    $thorny = demo_report('Uphill on a Saturday');
    $thorns = array_values(array_filter($thorny['look_over'], static fn (array $one): bool => $one['thorn']));
    expect(array_column($thorns, 'what'))->toBe(['Where it will stick'])
        ->and($thorns[0]['bars'])->toBe(array_column(array_filter($thorny['sticking'], static fn (array $one): bool => $one['thorn']), 'measure'));
});

test('words of a list and small numbers', function (): void {
    expect([Words::listed([]), Words::listed(['a']), Words::listed(['a', 'b']), Words::listed(['a', 'b', 'c'])])->toBe(['', 'a', 'a and b', 'a, b and c'])
        ->and([Words::number(0), Words::number(12), Words::number(13)])->toBe(['no', 'twelve', '13']);
});

test('a page without a staff has no clefs and no key', function (): void {
    expect(pointed_at("notation: fingers\nR: @c4 q1 2 3 4\n"))->not->toHaveKeys(['Clefs', 'Key']);
});
