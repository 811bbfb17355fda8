<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\CompoundBeats;
use Nasturtium\Core\Counting\CountingSystem;
use Nasturtium\Core\Counting\CountStyle;
use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Counting\InvalidCount;
use Nasturtium\Core\Counting\LengthWords;
use Nasturtium\Core\Counting\LongNotes;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Report\Settings;

/*
 * Bars as they are counted: the tune of one bar, then what stands under it.
 */

test('numbers, & through the whole bar', function (string $tune, string $counts): void {
    expect(counted(broken_down($tune), 1))->toBe($counts);
})->with([
    ["R: @c4 w1\n", '1 (2) (3) (4)'],
    ["R: @c4 h1 2\n", '1 (2) 3 (4)'],
    ["R: @c4 h.1 q2\n", '1 (2) (3) 4'],
    ["R: @c4 q1 h2 q3\n", '1 2 (3) 4'],
    ["R: @c4 qr 1 2 3\n", '[1] 2 3 4'],
    ["R: @c4 h1 r\n", '1 (2) [3] [4]'],
    ["R: @c4 q1 r 2 r\n", '1 [2] 3 [4]'],
    ["R: @c4 v1234 h5\n", '1 & 2 & 3 (&) (4) (&)'],
    ["R: @c4 q1 v23 h4\n", '1 (&) 2 & 3 (&) (4) (&)'],
    ["R: @c4 q.1 v2 q.3 v4\n", '1 (&) (2) & 3 (&) (4) &'],
    ["R: @c4 v1 q2 v3 h4\n", '1 & (2) & 3 (&) (4) (&)'],
    ["R: @c4 v1 r q2 h3\n", '1 [&] 2 (&) 3 (&) (4) (&)'],
    ["R: @c4 x1234 q5 h1\n", '1 e & a 2 (&) 3 (&) (4) (&)'],
    ["R: @c4 v.1 x2 q3 h4\n", '1 (e) (&) a 2 (&) 3 (&) (4) (&)'],
    ["time: 3/4\nR: @c4 h.1\n", '1 (2) (3)'],
    ["time: 3/4\nR: @c4 q1 h2\n", '1 2 (3)'],
    ["time: 3/4\nR: @c4 q1 v23 q4\n", '1 (&) 2 & 3 (&)'],
    ["time: 2/4\nR: @c4 q1 v23\n", '1 (&) 2 &'],
    ["time: 2/2\nR: @c4 h1 2\n", '1 2'],
    ["time: 2/2\nR: @c4 q1 2 h3\n", '1 & 2 (&)'],
    ["time: 6/8\nR: @c4 v123 q.4\n", '1 2 3 4 (5) (6)'],
    ["time: 6/8\nR: @c4 q1 v2 q3 v4\n", '1 (2) 3 4 (5) 6'],
    ["time: 3/8\nR: @c4 v1 q2\n", '1 2 (3)'],
    ["time: 5/4\nR: @c4 h.1 h2\n", '1 (2) (3) 4 (5)'],
]);

test('numbers, & only in the beats that divide', function (string $tune, string $counts): void {
    expect(counted(broken_down($tune, new Settings(counting: new CountWay(style: CountStyle::DividedBeats))), 1))->toBe($counts);
})->with([
    ["R: @c4 v1234 h5\n", '1 & 2 & 3 (4)'],
    ["R: @c4 q1 v23 h4\n", '1 2 & 3 (4)'],
    ["R: @c4 q.1 v2 h3\n", '1 (2) & 3 (4)'],
    ["R: @c4 x1234 q5 h1\n", '1 e & a 2 3 (4)'],
]);

test('each note by its own length', function (string $tune, string $counts): void {
    expect(counted(broken_down($tune, new Settings(counting: new CountWay(CountingSystem::Units))), 1))->toBe($counts);
})->with([
    ["R: @c4 w1\n", '1-2-3-4'],
    ["R: @c4 q1 2 h3\n", '1 1 1-2'],
    ["R: @c4 h.1 qr\n", '1-2-3 [1]'],
    ["R: @c4 v12 q3 h4\n", '1 1 1 1-2'],
]);

test('the other hand decides with this one whether & is said', function (): void {
    $report = broken_down("R: @c4 v12 q3 h4 | w1\nL: @5=c3 h5 3 | w5\n");
    expect(counted($report, 1, 'L'))->toBe('1 (&) (2) (&) 3 (&) (4) (&)')
        ->and(counted($report, 2, 'L'))->toBe('1 (2) (3) (4)');
});

test('a bar that is too long is counted to its end', function (): void {
    expect(counted(broken_down("R: @c4 h.1 h2 | w1\n"), 1))->toBe('1 (2) (3) 4 (5)');
});

test('a short pickup is counted where it stands', function (string $tune, string $counts, array $said, string $enter): void {
    $report = broken_down($tune);
    expect(counted($report, 0))->toBe($counts)
        ->and($report['count_in'])->toBe(['counts' => $said, 'enter' => $enter]);
})->with([
    ["R: @c4 q1 | w2 | h.3\n", '4', ['1', '2', '3'], '4'],
    ["R: @c4 h1 | w2 | h3\n", '3 (4)', ['1', '2'], '3'],
    ["R: @c4 v1 | w2 | h.2 v3\n", '&', ['1', '2', '3', '4'], '&'],
    ["R: @c4 v1 q2 | w2 | h3 v2\n", '& 4 (&)', ['1', '2', '3'], '&'],
    ["R: @c4 h.1 | w2 | q3\n", '2 (3) (4)', ['1', '2', '3', '4', '1'], '2'],
    ["time: 3/4\nR: @c4 q1 | h.2 | h3\n", '3', ['1', '2'], '3'],
]);

/** The first bar of a tune, counted in a way. */
function counted_by(CountWay $way, string $tune, int $bar = 1): ?string
{
    return counted(broken_down($tune, new Settings(counting: $way)), $bar);
}

test('6/8 in two beats', function (string $tune, string $counts): void {
    expect(counted_by(new CountWay(compound: CompoundBeats::DottedQuarters), "time: 6/8\n{$tune}"))->toBe($counts);
})->with([
    ["R: @c4 q.1 2\n", '1 2'],
    ["R: @c4 h.1\n", '1 (2)'],
    ["R: @c4 v123 q.4\n", '1 la li 2 (la) (li)'],
    ["R: @c4 q1 v2 q3 v4\n", '1 (la) li 2 (la) li'],
    ["R: @c4 q.1 v234\n", '1 (la) (li) 2 la li'],
    ["R: @c4 q.r v1 2 r\n", '[1] [la] [li] 2 la [li]'],
    ["R: @c4 x12 v34 q.5\n", '1 ta la (ta) li (ta) 2 (la) (li)'],
]);

test('6/8 in two beats, la li only where a beat divides', function (): void {
    $way = new CountWay(style: CountStyle::DividedBeats, compound: CompoundBeats::DottedQuarters);
    expect(counted_by($way, "time: 6/8\nR: @c4 v123 q.4\n"))->toBe('1 la li 2');
});

test('9/8 and 12/8 in three and four beats, and 3/8 in three as ever', function (): void {
    $way = new CountWay(compound: CompoundBeats::DottedQuarters);
    expect(counted_by($way, "time: 9/8\nR: @c4 q.1 2 v345\n"))->toBe('1 (la) (li) 2 (la) (li) 3 la li')
        ->and(counted_by($way, "time: 12/8\nR: @c4 h.1 2\n"))->toBe('1 (2) 3 (4)')
        ->and(counted_by($way, "time: 3/8\nR: @c4 v123\n"))->toBe('1 2 3');
});

test('a long note, only the counts after it starts', function (string $tune, string $counts): void {
    expect(counted_by(new CountWay(long: LongNotes::AfterStart), $tune))->toBe($counts);
})->with([
    'a whole note' => ["R: @c4 w1\n", '(2) (3) (4)'],
    'a note of one beat is said' => ["R: @c4 q1 2 h3\n", '1 2 (4)'],
    'with an & in the bar' => ["R: @c4 v12 q3 h4\n", '1 & 2 (&) (&) (4) (&)'],
    'rests are counted whole' => ["R: @c4 h1 r\n", '(2) [3] [4]'],
]);

test('what is tied over is held from its first count', function (): void {
    expect(counted_by(new CountWay(long: LongNotes::AfterStart), "R: @c4 w1~ | 1\n", 2))->toBe('(1) (2) (3) (4)');
});

test('a start that is not said leaves an empty count, so that the others stand where they belong', function (): void {
    $report = broken_down("R: @c4 h1 q2 3\n", new Settings(counting: new CountWay(long: LongNotes::AfterStart)));
    expect(each_event($report, 'counts'))->toBe([['', '(2)'], ['3'], ['4']]);
});

test('du on the beat, de halfway', function (string $tune, string $counts): void {
    expect(counted_by(new CountWay(CountingSystem::DuDe), $tune))->toBe($counts);
})->with([
    ["R: @c4 q1 2 h3\n", 'du du du (du)'],
    ["R: @c4 v12 q3 h4\n", 'du de du (de) du (de) (du) (de)'],
    ["R: @c4 x1234 q5 h1\n", 'du ta de ta du (de) du (de) (du) (de)'],
    ["R: @c4 {v123} q4 h5\n", 'du da di du du (du)'],
    ["time: 6/8\nR: @c4 v123 q4 v5\n", 'du da di du (da) di'],
]);

test('time names, a word for each length', function (string $tune, string $counts): void {
    expect(counted_by(new CountWay(CountingSystem::TimeNames), $tune))->toBe($counts);
})->with([
    ["R: @c4 q1 2 h3\n", 'ta ta ta-a'],
    ["R: @c4 w1\n", 'ta-a-a-a'],
    ["R: @c4 v12 q3 hr\n", 'ti ti ta [ta-a]'],
    ["R: @c4 x1234 q5 h1\n", 'ti ri ti ri ta ta-a'],
    ["R: @c4 {v123} q4 h5\n", 'tri o la ta ta-a'],
    ["R: @c4 q.1 v2 h3\n", 'ta-i ti ta-a'],
]);

test('the teacher changes a word, and the others stay', function (): void {
    $way = new CountWay(CountingSystem::TimeNames, words: LengthWords::of(['quarter' => 'walk', 'eighth' => 'jog ging']));
    expect(counted_by($way, "R: @c4 q1 v23 h4\n"))->toBe('walk jog ging ta-a');
});

test('own words, and time names where there is none', function (): void {
    $way = new CountWay(CountingSystem::OwnWords, words: LengthWords::of(['quarter' => 'plum', 'half' => 'pea-nut']));
    expect(counted_by($way, "R: @c4 q1 2 h3~ | q3 r v12 34\n"))->toBe('plum plum pea-nut')
        ->and(counted_by($way, "R: @c4 q1 2 h3~ | q3 r v12 34\n", 2))->toBe('(plum) [plum] ti ti ti ti');
});

test('a word is for a length that there is, and short enough to be said', function (array $words, string $says): void {
    expect(fn () => LengthWords::of($words))->toThrow(InvalidCount::class, $says);
})->with([
    [['breve' => 'long'], "no word for a 'breve' note"],
    [['half' => str_repeat('la', 30)], 'longer than 40 letters'],
]);

test('notes by their names, American or British', function (NoteWords $words, string $counts): void {
    expect(counted_by(new CountWay(CountingSystem::NoteNames, noteWords: $words), "R: @c4 h.1 v2 3\n"))->toBe($counts);
})->with([
    [NoteWords::American, 'dotted half eighth eighth'],
    [NoteWords::British, 'dotted minim quaver quaver'],
]);

test('triplets and sixteenths by their names', function (): void {
    expect(counted_by(new CountWay(CountingSystem::NoteNames), "R: @c4 {v123} x12 v3 h4\n"))->toBe('triplet eighth triplet eighth triplet eighth sixteenth sixteenth eighth half')
        ->and(counted_by(new CountWay(CountingSystem::NoteNames, noteWords: NoteWords::British), "R: @c4 x1234 h5 qr\n"))->toBe('semiquaver semiquaver semiquaver semiquaver minim [crotchet]');
});

test('a length that no note has is not named', function (): void {
    expect(counted_by(new CountWay(CountingSystem::NoteNames), "R: @c4 {5:4 x12345} q1 h2\n"))->toBe('sixteenth sixteenth sixteenth sixteenth sixteenth quarter half');
});

test('words are said where there are words, numbers where there are none', function (): void {
    $tune = "R: @c4 q1 2 3~ 3 | h5 r\nW: Gar- den gate.\nL: @5=c3 w5 | 5\n";
    $way = new CountWay(CountingSystem::Lyrics);
    expect(counted_by($way, $tune))->toBe('Gar- den gate. (4)')
        ->and(counted(broken_down($tune, new Settings(counting: $way)), 1, 'L'))->toBe('1 (2) (3) (4)')
        ->and(counted_by($way, $tune, 2))->toBe('1 (2) [3] [4]');
});

test('syncopation is counted across the beats it is held over', function (): void {
    expect(counted(broken_down("R: @c4 v1 q2 3 4 v5\n"), 1))->toBe('1 & (2) & (3) & (4) &')
        ->and(counted(broken_down("R: @c4 v1 q2 v3~ q3 4\n"), 1))->toBe('1 & (2) & (3) (&) 4 (&)');
});

test('a meter that changes is counted in its own beats', function (): void {
    $report = broken_down("R: @c4 q1234 | [time 3/4] h.5 | [time 6/8] v123 q.4\n", new Settings(counting: new CountWay(compound: CompoundBeats::DottedQuarters)));
    expect(array_map(fn (int $bar): ?string => counted($report, $bar), [1, 2, 3]))->toBe(['1 2 3 4', '1 (2) (3)', '1 la li 2 (la) (li)']);
});

test('the last words of the count-in may be the teacher\'s', function (string $tune, string $ready, array $said, string $enter): void {
    $way = new CountWay(compound: CompoundBeats::DottedQuarters, ready: $ready);
    expect(broken_down($tune, new Settings(counting: $way))['count_in'])->toBe(['counts' => $said, 'enter' => $enter]);
})->with([
    'none' => ["R: @c4 w1\n", '', ['1', '2', '3', '4'], '1'],
    'two words' => ["R: @c4 w1\n", 'ready go', ['1', '2', 'ready', 'go'], '1'],
    'before a pickup' => ["R: @c4 q1 | w2 | h.3\n", 'ready go', ['1', 'ready', 'go'], '4'],
    'more words than counts' => ["time: 2/4\nR: @c4 h1\n", 'now all ready go', ['ready', 'go'], '1'],
    '6/8 in two' => ["time: 6/8\nR: @c4 h.1\n", 'go', ['1', 'go'], '1'],
    '6/8 in two, with an eighth before the bar' => ["time: 6/8\nR: @c4 v1 | h.2 | q.3 q4\n", '', ['1', '2'], 'li'],
]);
