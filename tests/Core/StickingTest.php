<?php

declare(strict_types=1);

use Nasturtium\Core\Pattern\Chunks;
use Nasturtium\Core\Pattern\Difficulty;
use Nasturtium\Core\Pattern\InvalidRange;
use Nasturtium\Core\Pattern\Verdict;
use Nasturtium\Core\Practice\ThornRate;
use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Report\ThornBars;

/** Every note of the tunes below is secure, so that only what a test asks for sticks. */
function settled(array $status = [], array $verdicts = []): Settings
{
    $known = [];
    foreach (['C', 'D', 'E', 'F', 'G', 'A', 'B', 'F#', 'Bb', 'D#'] as $letter) {
        foreach ([2, 3, 4, 5] as $octave) {
            $known["{$letter}{$octave}"] = NoteStatus::Secure;
        }
    }

    return new Settings(known: KnownNotes::with([...$known, ...$status]), verdicts: $verdicts);
}

/** @return array<int, array<string, int>> weights by measure and reason */
function reasons(string $music, ?Settings $settings = null): array
{
    $found = [];
    foreach (broken_down($music, $settings ?? settled())['sticking'] as $point) {
        $found[$point['measure']] = array_column($point['reasons'], 'weight', 'code');
    }

    return $found;
}

test('each reason is seen where it happens', function (string $music, int $measure, array $reasons): void {
    expect(reasons($music)[$measure])->toEqual($reasons);
})->with([
    'nothing' => ["R: @c4 q1234\n", 1, []],
    'a leap of a sixth, for which the hand moves' => ["R: @c4 q1 2 @c5 h1\n", 1, ['leap' => 3, 'shift' => 2]],
    'an accidental' => ["R: @c4 q1 2 d+ 1\n", 1, ['accidental' => 1]],
    'a rest inside, not one at the end' => ["R: @c4 q1 r 2 r\n", 1, ['rest_inside' => 1]],
    'no rest inside' => ["R: @c4 q1 2 h.r\n", 1, []],
    'a dotted rhythm' => ["R: @c4 q.1 v2 h3\n", 1, ['dotted' => 2]],
    'a dotted half is three plain counts' => ["R: @c4 h.1 q2\n", 1, []],
    'a tie' => ["R: @c4 h1 2~ | h2 1\n", 1, ['tie' => 1]],
    'short among long' => ["R: @c4 q1 v23 h4\n", 1, ['mixed_lengths' => 1]],
    'short notes alone are even' => ["R: @c4 v12321232\n", 1, []],
    'hands with their own rhythm' => ["R: @c4 q1234\nL: @5=c3 h5 4\n", 1, ['other_rhythm' => 4]],
    'a tune over one held note' => ["R: @c4 q1234\nL: @5=c3 w5\n", 1, ['over_one_note' => 1]],
    'a tune over one note that is repeated' => ["R: @c4 h1 3\nL: @5=c3 q5555\n", 1, ['over_one_note' => 1]],
    'hands against each other' => ["R: @c4 q1234\nL: @5=c3 q1234\n", 1, ['other_direction' => 3]],
    'hands in the same direction' => ["R: @c4 q1234\nL: @5=c3 q5432\n", 1, ['same_direction' => 2]],
    'hands in turns are no difficulty of both' => ["R: @c4 h1 r\nL: @5=c3 h r 5\n", 1, []],
    'the end of a line' => ["R: @c4 w1\nR: w2\n", 1, ['line_turn' => 2]],
    'fingers 4 and 5 in a row' => ["R: @c4 q4 5 4 5\n", 1, ['weak_run' => 2]],
    'fingers 4 and 5, three times slowly' => ["R: @c4 q4 5 4 1\n", 1, []],
    'a triplet' => ["R: @c4 {v123} q4 h5\n", 1, ['triplet' => 2]],
]);

test('a move into the downbeat belongs to the bar before, where it is made', function (): void {
    $reasons = reasons("R: @c4 q1 2 h3 | @c5 q1 2 h3\n");
    expect($reasons[1])->toEqual(['leap' => 3, 'shift' => 2])->and($reasons[2])->toBe([]);
});

test('new and shaky notes weigh for each name, three at most', function (): void {
    $reasons = reasons("R: @c4 q1231 | q5 5 h5\n", settled(['C4' => NoteStatus::Fresh, 'D4' => NoteStatus::Fresh, 'E4' => NoteStatus::Shaky, 'G4' => NoteStatus::Shaky]));
    expect($reasons[1])->toEqual(['new_note' => 6, 'shaky_note' => 2])->and($reasons[2])->toEqual(['shaky_note' => 2])
        ->and(reasons("R: @c4 q1234\n", new Settings(known: KnownNotes::none()))[1])->toEqual(['new_note' => 9])
        // For nobody in particular no note is new.
        ->and(reasons("R: @c4 q1234\n", new Settings())[1])->toBe([]);
});

test('a scale crosses, and says which finger it goes under', function (): void {
    $points = broken_down("R: @c4 v1 d e f g a b c\n", settled())['sticking'];
    expect(array_column($points[0]['reasons'], 'text', 'code')['crossing'])->toBe('the thumb goes under finger 3, in the right hand');
});

test('hands together weigh as the trade has it: another rhythm, another direction, the same', function (): void {
    expect(Difficulty::OtherRhythm->weight())->toBeGreaterThan(Difficulty::OtherDirection->weight())
        ->and(Difficulty::OtherDirection->weight())->toBeGreaterThan(Difficulty::SameDirection->weight())
        ->and(Difficulty::SameDirection->weight())->toBeGreaterThan(Difficulty::OverOneNote->weight());
});

test('thorns are the hardest bars of a page, and none where nothing is hard', function (): void {
    // Bar 2: own rhythms 4, an accidental 1, a rest inside 1: 6. Bar 1: the same direction, 2.
    $hard = broken_down("R: @c4 q1 2 h3 | q1 f+ r h5\nL: @5=c3 q5 4 h3 | h5 4\n", settled())['sticking'];
    expect(array_column($hard, 'score'))->toBe([2, 6])->and(array_column($hard, 'thorn'))->toBe([false, true])
        ->and(array_column(broken_down("R: @c4 q1234\nL: @5=c3 w5\n", settled())['sticking'], 'thorn'))->toBe([false]);
});

test('the teacher overrules: easy takes the thorn away, hard gives one', function (): void {
    $music = "R: @c4 q1 2 h3 | q1 f+ r h5\nL: @5=c3 q5 4 h3 | h5 4\n";
    $points = broken_down($music, settled([], [1 => Verdict::Hard, 2 => Verdict::Easy]))['sticking'];
    expect(array_column($points, 'thorn'))->toBe([true, false])->and(array_column($points, 'score'))->toBe([12, 0])
        ->and(array_column($points, 'teacher'))->toBe(['hard', 'easy'])
        // What was reckoned is still said.
        ->and(array_column($points[1]['reasons'], 'code'))->toContain('other_rhythm');
});

test('a bar-over carries the score of the hardest place it serves', function (): void {
    // Bars 1 and 3 are the same; only bar 1 ends a line.
    $chunks = broken_down("R: @c4 q1 2 h3\nR: q1 5 h3 | q1 2 h3 | q1 5 h3\n", settled())['chunks'];
    $over = array_values(array_filter($chunks, fn (array $chunk): bool => $chunk['kind'] === 'bar-over'));
    expect($over[0])->toMatchArray(['from' => '1.1', 'to' => '2.1', 'serves' => ['1.1', '3.1'], 'score' => 2, 'reasons' => ['the line ends here: the eyes jump']]);
});

test('a page says how much of it there is to learn, and what unlocks most', function (): void {
    // Bars 1, 3 and 5 are one, 2 and 6 another, 4 is alone; 7 is silent.
    $learn = broken_down("R: @c4 q1 2 h3 | w5 | q1 2 h3 | w4 | q1 2 h3 | w5 | wr\n")['learn'];
    expect($learn['text'])->toBe('This page is 6 bars; you learn 3.')
        ->and(array_column($learn['order'], 'serves'))->toBe([[1, 3, 5], [2, 6], [4]])
        ->and($learn['hands'])->toBe(['R' => 3, 'L' => 0]);
});

test('of bars that unlock as much, what sticks comes first', function (): void {
    $learn = broken_down("R: @c4 q1234 | q5 f+ r d\n", settled())['learn'];
    expect(array_column($learn['order'], 'measure'))->toBe([2, 1])->and($learn['text'])->toBe('This page is 2 bars, all different.')
        ->and(broken_down("R: @c4 w1\n")['learn']['text'])->toBe('This page is 1 bar.')
        ->and(broken_down("R: wr\n")['learn']['text'])->toBe('Nothing sounds on this page.');
});

test('a pickup is no bar in a sentence', function (string $tune, string $says): void {
    expect(broken_down($tune)['learn']['text'])->toBe($says);
})->with([
    'a pickup' => ["R: @c4 q1 | q1 2 3 4 | q1 2 3 4 | h.5\n", 'This page is 3 bars and a pickup; you learn 2.'],
    'all different' => ["R: @c4 q1 | q1 2 3 4 | h.5\n", 'This page is 2 bars and a pickup, all different.'],
    'one bar' => ["R: @c4 q1 2 3 4\n", 'This page is 1 bar.'],
]);

test('a dragged range is a chunk exact to the beat', function (int $first, int $from, int $last, int $to, string $places, string $beats): void {
    $chunk = (new Chunks(tune("R: @c4 q5 | q1234 | h1 2 | q5432 | h.1\n")))->between($first, $from, $last, $to);
    expect("{$chunk->from}-{$chunk->to}")->toBe($places)->and((string) $chunk->beats)->toBe($beats);
})->with([
    'inside a bar' => [1, 1, 1, 2, '1.2-1.3', '2'],
    'over a bar line' => [1, 2, 2, 0, '1.3-2.1', '3'],
    'from the pickup' => [0, 3, 1, 0, '0.4-1.1', '2'],
    'to the end of a short last bar' => [3, 0, 4, 2, '3.1-4.3', '7'],
    'one beat' => [2, 3, 2, 3, '2.4-2.4', '1'],
]);

test('a range that is none is refused in words', function (int $first, int $from, int $last, int $to, string $words): void {
    expect(fn () => (new Chunks(tune("R: @c4 q5 | q1234 | h1 2 | q5432 | h.1\n")))->between($first, $from, $last, $to))->toThrow(InvalidRange::class, $words);
})->with([
    'backwards' => [2, 0, 1, 0, 'before its start'],
    'backwards in a bar' => [2, 3, 2, 1, 'before its start'],
    'no such beat' => [1, 4, 2, 0, 'measure 1 has no beat 5'],
    'before the pickup' => [0, 0, 1, 0, 'measure 0 has no beat 1'],
    'no such measure' => [9, 0, 9, 0, 'no measure'],
]);

test('the hand whose notes are less known goes first in the day', function (array $status, ?string $first): void {
    $report = broken_down("R: @c4 q1234\nL: @5=c3 w5\n", settled($status));
    expect($report['hand_first'])->toBe($first);
})->with([
    'alike' => [[], null],
    'a shaky left hand' => [['C3' => NoteStatus::Shaky], 'L'],
    'one new note of four is less than one shaky of one' => [['C4' => NoteStatus::Fresh, 'C3' => NoteStatus::Shaky], 'L'],
    'a new right hand' => [['C4' => NoteStatus::Fresh, 'D4' => NoteStatus::Fresh, 'E4' => NoteStatus::Shaky], 'R'],
]);

test('one hand alone, or nobody in particular, has no hand that goes first', function (): void {
    expect(broken_down("R: @c4 q1234\n", settled(['C4' => NoteStatus::Fresh]))['hand_first'])->toBeNull()
        ->and(broken_down("R: @c4 q1234\nL: @5=c3 w5\n")['hand_first'])->toBeNull();
});

test('each place that sticks says what helps, for its heaviest reason', function (string $music, string $does, int $at = 0): void {
    expect(broken_down($music, settled(['B4' => NoteStatus::Fresh, 'A4' => NoteStatus::Shaky]))['sticking'][$at]['do'])->toBe($does);
})->with([
    'a move into the next bar' => ["R: @c4 q1 2 h3 | @c5 q1 2 h3\nL: @5=c3 w5 | w5\n", 'Right hand alone, the move from bar 1 to bar 2, five times. Then both hands.'],
    'one inside the bar, on a page for one hand' => ["R: @c4 q1 2 @c5 h1\n", 'The move in bar 1, five times.'],
    'new notes' => ["R: @g4 q1 2 3 1\n", 'Find and name the new notes of bar 1 on the keys, then play it slowly.'],
    'a dotted rhythm' => ["R: @c4 q.1 v2 h3\n", 'Tap and count bar 1 three times, then play it.'],
    'own rhythms' => ["R: @c4 q1234\nL: @5=c3 h5 4\n", 'Tap bar 1 with both hands, slowly, until it goes smoothly; then play it.'],
    'against each other, to the next bar' => ["R: @c4 q1234 | w1\nL: @5=c3 q1234 | w5\n", 'Bar 1 into bar 2: each hand once, then both, very slowly, three times.'],
    'the line turn' => ["R: @c4 w1\nR: w2\n", 'Bar 1 into bar 2 over the line end, three times. Look ahead.'],
    'weak fingers' => ["R: / | /\nL: @5=c3 q5 4 5 4 | w1\n", 'Bar 1 slowly, twice. Stop if it aches.'],
]);

test('a thorn serves the bars that are equal, and where nothing sticks nothing is to do', function (): void {
    $points = broken_down("R: @c4 q1 f+ r h5 | q1 2 h3 | q1 f+ r h5\nL: @5=c3 h5 4 | h5 3 | h5 4\n", settled())['sticking'];
    expect(array_column($points, 'thorn'))->toBe([true, false, false])
        ->and(array_column($points, 'serves'))->toBe([[3], [], []])
        ->and(broken_down("R: @c4 q1234\n", settled())['sticking'][0]['do'])->toBeNull();
});

test('thorns are right when slips fall on them', function (): void {
    // Bars 1–4 heard ten times, of which the third has a thorn: ten bars with one, thirty without.
    $rate = (new ThornRate())->heard([2], 0, 3, 10);
    expect([$rate->barsOn, $rate->barsElsewhere])->toBe([10, 30]);
    $rate = $rate->slipped([2], 2, 2, 8)->slipped([2], 1, 2, 1)->slipped([2], 0, 1, 9)->slipped([2], 3, 3, 1);
    expect([$rate->slipsOn, $rate->slipsElsewhere])->toBe([9, 10])
        // Nineteen slips say nothing yet.
        ->and($rate->ratio())->toBeNull()
        ->and($rate->words())->toBe('Too little was heard yet to say whether thorns stand where it goes wrong: 9 slips in 10 bars with a thorn, 10 slips in 30 other bars.');
    $rate = $rate->slipped([2], 2, 2);
    // 10/10 ÷ 10/30.
    expect((string) $rate->ratio())->toBe('3')
        ->and($rate->words())->toBe('Where a thorn stands, something went wrong 3 times as often as elsewhere: 10 slips in 10 bars with a thorn, 10 slips in 30 other bars.')
        ->and((new ThornRate(20, 40, 1, 3))->words())->toContain('1.5 times as often')->toContain('1 slip in 3 other bars')
        ->and((new ThornRate(20, 40, 0, 3))->ratio())->toBeNull();
});

test('the bars with a thorn are those that wear it and those that are equal', function (): void {
    $piece = tune("tempo: 100\nR: @c4 q1 @c5 5 @c4 1 @c5 5 | @c4 w1 | q1 @c5 5 @c4 1 @c5 5 | @c4 w2\n");
    expect(ThornBars::of($piece))->toBe([0, 2]);
});
