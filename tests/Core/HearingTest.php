<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Performance\Hearing\BadTake;
use Nasturtium\Core\Performance\Hearing\Hear;
use Nasturtium\Core\Performance\Hearing\Heard;
use Nasturtium\Core\Performance\Hearing\HeardNote;
use Nasturtium\Core\Performance\Hearing\ProposedSlip;
use Nasturtium\Core\Performance\Hearing\ProposeSlips;
use Nasturtium\Core\Performance\Hearing\Source;
use Nasturtium\Core\Performance\Hearing\TakeFile;
use Nasturtium\Core\Performance\Hearing\TakenNote;
use Nasturtium\Core\Performance\Hearing\ThreeInARow;
use Nasturtium\Core\Performance\Hearing\ToTheChild;
use Nasturtium\Core\Performance\Hearing\Trial\InventTake;
use Nasturtium\Core\Performance\Hearing\Trial\TakeFigures;
use Nasturtium\Core\Performance\Hearing\Trial\TakeKind;
use Nasturtium\Core\Performance\Hearing\WrittenMusic;
use Nasturtium\Core\Practice\Median;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;

/*
 * What is heard in a take, each rule on a tune small enough to be worked out by hand (trade 18.1, 18.2 and 18.3).
 */

/** A quarter of every tune here lasts so many milliseconds, unless a take says otherwise. */
const HEARD_BEAT = 600;

function music_to_hear(string $text = "time: 4/4\ntempo: 100\nR: @c4 q1 2 3 4 | q5 4 3 2 | q1 2 3 4 | w5"): Piece
{
    return ShorthandReader::read($text)->piece ?? throw new LogicException('the tune does not read');
}

/**
 * The written keys as they are written, from half a second on.
 *
 * @param  array<int, ?array<string, int>>  $but  by the index of a written note: what is otherwise (`at`, `off`, `pitch`, added), or null for a key that is left out
 * @return list<TakenNote>
 */
function as_written(WrittenMusic $music, array $but = [], int $late = 0, int $from = PHP_INT_MAX): array
{
    $taken = [];
    foreach ($music->notes as $i => $note) {
        if (array_key_exists($i, $but) && $but[$i] === null) {
            continue;
        }
        $change = $but[$i] ?? [];
        $at = 500 + intdiv($note->tick * HEARD_BEAT, WrittenMusic::QUARTER) + ($change['at'] ?? 0) + ($i >= $from ? $late : 0);
        $lasts = intdiv($note->lasts * HEARD_BEAT, WrittenMusic::QUARTER);
        $taken[] = new TakenNote($at, $at + intdiv($lasts * 9, 10) + ($change['off'] ?? 0), $note->pitch + ($change['pitch'] ?? 0), sure: $change['sure'] ?? 1_000);
    }

    return $taken;
}

/** @return array<int, string> what is not right and in time, by the index of the written note */
function not_as_written(Heard $heard): array
{
    $said = array_map(static fn (HeardNote $note): string => trim(($note->status->value === 'right' ? '' : "{$note->status->value} ".($note->status->value === 'wrong' ? $note->played : '')).' '.($note->timing->value === 'ok' ? '' : $note->timing->value).' '.($note->hold->value === 'ok' ? '' : $note->hold->value)), $heard->notes);

    return array_filter($said, static fn (string $one): bool => $one !== '');
}

/** @return list<string> */
function slips_heard(Heard $heard): array
{
    return array_map(static fn (ProposedSlip $slip): string => trim("{$slip->kind->value} {$slip->place} ".($slip->hand->value ?? '')), ProposeSlips::of($heard));
}

test('a take as it is written is clean, at its tempo and steady', function (): void {
    $music = WrittenMusic::of(music_to_hear());
    $heard = Hear::take($music, as_written($music));
    expect(not_as_written($heard))->toBe([])->and($heard->isClean())->toBeTrue()->and([$heard->tempo, $heard->steady])->toBe([100_000, 1_000])
        ->and(slips_heard($heard))->toBe([])->and(array_map(static fn (HeardNote $note): string => (string) $note->written->at, array_slice($heard->notes, 0, 5)))->toBe(['0', '1', '2', '3', '4'])
        // In any order, and at any tempo.
        ->and(Hear::take($music, array_reverse(as_written($music)))->isClean())->toBeTrue();
});

test('a key beside the right one is wrong, up to four half steps; farther away it is one missed and one too many', function (): void {
    $music = WrittenMusic::of(music_to_hear());
    expect(not_as_written(Hear::take($music, as_written($music, [5 => ['pitch' => 4]]))))->toBe([5 => 'wrong 69'])
        ->and(not_as_written($far = Hear::take($music, as_written($music, [5 => ['pitch' => 6]]))))->toBe([5 => 'missed'])
        ->and(array_column($far->extras, 'pitch'))->toBe([71])->and($far->isClean())->toBeFalse();
});

test('a missed key is missed, and one too many is too many', function (): void {
    $music = WrittenMusic::of(music_to_hear());
    expect(not_as_written(Hear::take($music, as_written($music, [3 => null]))))->toBe([3 => 'missed']);
    $heard = Hear::take($music, [...as_written($music), new TakenNote(1_900, 1_980, 70)]);
    expect(not_as_written($heard))->toBe([])->and(array_column($heard->extras, 'at', 'pitch'))->toBe([70 => 1_900]);
});

test('a hesitation of a second is a stall, told before the note that came late; one of less is none', function (int $by, array $stalls): void {
    $music = WrittenMusic::of(music_to_hear());
    $heard = Hear::take($music, as_written($music, late: $by, from: 6));
    expect(array_column($heard->stalls, 'before'))->toBe($stalls)->and(not_as_written($heard))->toBe([]);
})->with(['a second' => [1_000, [6]], 'less' => [800, []]]);

test('who goes back to a bar has begun again; what was played last counts', function (): void {
    $music = WrittenMusic::of(music_to_hear());
    $first = as_written($music, [6 => ['pitch' => 1]]);
    $taken = array_slice($first, 0, 7);
    foreach (array_slice(as_written($music), 4) as $note) {
        $taken[] = new TakenNote($note->at + 4_000, $note->off + 4_000, $note->pitch);
    }
    $heard = Hear::take($music, $taken);
    expect(not_as_written($heard))->toBe([])->and($heard->extras)->toBe([])->and($heard->stalls)->toBe([])
        ->and($heard->restarts)->toBe([['at' => 500 + 4 * HEARD_BEAT + 4_000, 'from' => 6, 'to' => 4]])->and($heard->isClean())->toBeFalse();
});

test('a repeat that was left out is skipped and proposed; a piece that was not played to its end is not missed', function (): void {
    $music = WrittenMusic::of(music_to_hear("time: 4/4\nR: @c4 q1 2 3 4 | q5 4 3 2 :| q1 3 5 3 | w1"));
    expect($music->order)->toBe([0, 1, 0, 1, 2, 3]);
    $all = as_written($music);
    $left = array_map(static fn (TakenNote $note): TakenNote => new TakenNote($note->at - 8 * HEARD_BEAT, $note->off - 8 * HEARD_BEAT, $note->pitch), array_slice($all, 16));
    $heard = Hear::take($music, [...array_slice($all, 0, 8), ...$left]);
    expect(not_as_written($heard))->toBe(array_fill(8, 8, 'skipped'))->and(slips_heard($heard))->toBe(['repeat-missed 1.1'])
        ->and(not_as_written(Hear::take($music, array_slice($all, 0, 12))))->toBe(array_fill(12, 9, 'skipped'))->and(not_as_written(Hear::take($music, array_slice($all, 0, 20))))->toBe([20 => 'missed']);
});

test('one hand alone is understood; a range of bars and a hand can be asked for', function (): void {
    $piece = music_to_hear("time: 4/4\nR: @c4 q1 2 3 4 | h5 3 | w1\nL: @5=c3 h5 3 | h1 3 | h5 1");
    $both = WrittenMusic::of($piece);
    $right = array_values(array_filter(as_written($both), static fn (TakenNote $note): bool => $note->pitch >= 60));
    expect(array_values(array_unique(not_as_written(Hear::take($both, $right)))))->toBe(['skipped'])->and(not_as_written(Hear::take($both, $right)))->toHaveCount(6)
        ->and(array_column(WrittenMusic::of($piece, [1, 1])->notes, 'pitch'))->toBe([55, 67, 52, 64])->and(array_column(WrittenMusic::of($piece, null, Hand::Left)->notes, 'pitch'))->toBe([48, 52, 55, 52, 48, 55]);
});

test('hands are apart over 80 milliseconds', function (int $by, array $apart): void {
    $music = WrittenMusic::of(music_to_hear("time: 4/4\nR: @c4 q1 2 3 4 | q5 4 3 2 | w1\nL: @5=c3 w5 | w1 | w5"));
    $left = array_keys(array_filter($music->notes, static fn ($note): bool => $note->hand === Hand::Left));
    expect(Hear::take($music, as_written($music, [$left[1] => ['at' => $by]]))->apart)->toBe($apart);
})->with(['80' => [80, []], '81' => [81, [['note' => 5, 'milliseconds' => 81]]]]);

test('early and late is 0.3 of the gap to the neighbour, short under 0.47 and long over 1.5 of what is written', function (array $change, array $says): void {
    $music = WrittenMusic::of(music_to_hear());
    expect(not_as_written(Hear::take($music, as_written($music, [6 => $change]))))->toBe($says);
})->with([
    'late' => [['at' => 180], [6 => 'late']], 'early' => [['at' => -180], [6 => 'early']], 'not late' => [['at' => 170], []], 'not early' => [['at' => -170], []],
    // A quarter of 600 is held 540 as it is played here.
    'short' => [['off' => -260], [6 => 'short']], 'not short' => [['off' => -258], []], 'long' => [['off' => 361], [6 => 'long']], 'not long' => [['off' => 360], []],
]);

test('a key that is tied on is one key, and a chord may be struck in any order', function (): void {
    $tied = WrittenMusic::of(music_to_hear("time: 4/4\nR: @c4 w1~ | h1 q2 3"));
    expect(array_map(static fn ($note): int => intdiv($note->lasts, WrittenMusic::QUARTER), $tied->notes))->toBe([6, 1, 1]);
    $chords = WrittenMusic::of(music_to_hear("time: 4/4\nR: @c4 h(135) (24) | w(135)"));
    expect(not_as_written(Hear::take($chords, as_written($chords, [0 => ['at' => 90], 1 => ['at' => 40]]))))->toBe([])
        ->and(not_as_written(Hear::take($chords, as_written($chords, [1 => ['pitch' => 1]]))))->toBe([1 => 'wrong 65']);
});

test('by the microphone a weak note is believed where it is written, a covered one is unsure, and no lengths are told', function (): void {
    $music = WrittenMusic::of(music_to_hear("time: 4/4\nR: @c4 q1 2 3 4 | h5 3 | w1\nL: @5=c3 w5 | w5 | w5"));
    $c = array_keys(array_filter($music->notes, static fn ($note): bool => $note->pitch === 60))[0];
    $weak = Hear::take($music, [...as_written($music, [3 => ['sure' => 30, 'off' => -400]]), new TakenNote(1_900, 1_950, 71, sure: 490)], Source::Microphone);
    expect(not_as_written($weak))->toBe([])->and($weak->extras)->toBe([])
        // An octave above a key that sounds at once.
        ->and(not_as_written(Hear::take($music, as_written($music, [$c => null]), Source::Microphone)))->toBe([$c => 'unsure'])->and(not_as_written(Hear::take($music, as_written($music, [$c => null]))))->toBe([$c => 'missed'])
        ->and(not_as_written(Hear::take($music, as_written($music, [3 => ['pitch' => 1, 'sure' => 700]]), Source::Microphone)))->toBe([3 => 'unsure'])
        ->and(not_as_written(Hear::take($music, as_written($music, [3 => ['pitch' => 1, 'sure' => 900]]), Source::Microphone)))->toBe([3 => 'wrong 65']);
});

test('by the microphone nothing is told as a fault that something else explains (18.2)', function (): void {
    $music = WrittenMusic::of(music_to_hear("time: 4/4\nR: @c4 q1 2 3 4 | q5 4 3 2 | q1 2 3 4 | w1\nL: @5=c3 w5 | w5 | w5 | w5"));
    $heard = static fn (array $change, TakenNote ...$more): array => (static fn ($of): array => [not_as_written($of), array_map(static fn (TakenNote $note): int => $note->pitch, $of->extras)])(Hear::take($music, [...as_written($music, $change), ...$more], Source::Microphone));
    $of = array_keys(array_filter($music->notes, static fn ($note): bool => $note->pitch === 65))[0];
    $at = as_written($music, [])[$of]->at;
    // Something faint of that key was there; without it the key was missed.
    expect($heard([$of => null])[0])->toBe([$of => 'missed'])
        ->and($heard([$of => null], new TakenNote($at + 60, $at + 90, 65, sure: 10))[0])->toBe([$of => 'unsure'])
        ->and($heard([$of => null], new TakenNote($at + 1_500, $at + 1_600, 65, sure: 10))[0])->toBe([$of => 'missed'])
        // A written key that was hardly heard beside a clear one was the other key.
        ->and($heard([$of => ['sure' => 300]], new TakenNote($at + 20, $at + 400, 67, sure: 950)))->toBe([[$of => 'wrong 67'], []])
        // The same key heard to begin again while it sounds, one that shares the overtones of another, and one that is not sure.
        ->and($heard([], new TakenNote($at + 200, $at + 300, 65, sure: 990))[1])->toBe([])
        ->and($heard([], new TakenNote($at + 10, $at + 300, 53, sure: 990))[1])->toBe([])
        ->and($heard([], new TakenNote($at + 10, $at + 300, 66, sure: 900))[1])->toBe([])
        ->and($heard([], new TakenNote($at + 10, $at + 300, 71, sure: 990))[1])->toBe([])
        ->and($heard([], new TakenNote($at + 10, $at + 300, 66, sure: 990))[1])->toBe([66]);
    // One key in fourteen hardly heard: what was not heard may have come as well.
    $weak = array_fill_keys([1, 5], ['sure' => 100]);
    expect($heard([$of => null] + $weak)[0])->toBe([$of => 'unsure'])->and($heard([$of => null] + [1 => ['sure' => 100]])[0])->toBe([$of => 'missed']);
});

test('a take in another octave is judged as if it were not, and told so where nothing else is (18.5)', function (int $half, int $octave, ?string $thing): void {
    $music = WrittenMusic::of(music_to_hear("time: 4/4\nR: @c4 q1 2 3 4 | q5 4 3 2 | w1\nL: @5=c3 w5 | w5 | w5"));
    $taken = array_map(static fn (TakenNote $note): TakenNote => new TakenNote($note->at, $note->off, $note->pitch + $half, $note->velocity), as_written($music, []));
    $heard = Hear::take($music, $taken);
    expect($heard->octave)->toBe($octave)->and($heard->isClean())->toBe($octave !== 0 || $half === 0)->and(ToTheChild::of($heard)->thing)->toBe($thing);
})->with([[0, 0, null], [12, 1, 'It was an octave too high. Find where your hands start, and play it there.'], [-12, -1, 'It was an octave too low. Find where your hands start, and play it there.']]);

test('what goes wrong is proposed by the table of slips', function (string $text, array $change, array $slips, int $late = 0, int $from = PHP_INT_MAX): void {
    $music = WrittenMusic::of(music_to_hear($text));
    expect(slips_heard(Hear::take($music, as_written($music, $change, $late, $from))))->toBe($slips);
})->with([
    'a wrong key' => ["time: 4/4\nR: @c4 q1 2 3 4 | w5", [2 => ['pitch' => 1]], ['wrong-note 1.3 R']],
    'a hand that drifted' => ["time: 4/4\nR: @c4 q1 2 3 2 | q3 4 5 3 | w1", [1 => ['pitch' => -2], 2 => ['pitch' => -2], 3 => ['pitch' => -2]], ['wrong-finger 1.2 R']],
    'a left hand read the wrong way' => ["time: 4/4\nL: @5=c3 q3 4 3 4 | w3", [1 => ['pitch' => 4]], ['read-backwards 1.2 L']],
    'a leap that was missed' => ["time: 4/4\nR: @c4 q1 2 @g5 1 2 | w1", [2 => ['pitch' => -2]], ['leap-missed 1.3 R']],
    'a rest that was skipped' => ["time: 4/4\nR: @c4 q1 r 2 3 | q1 2 3 4 | w5", [1 => ['at' => -400]], ['cut-short 1.3 R']],
    'a half note let go' => ["time: 4/4\nR: @c4 q1 2 h3 | q1 2 3 4 | w5", [2 => ['off' => -900]], ['cut-short 1.3 R']],
    'a stall' => ["time: 4/4\nR: @c4 q1 2 3 4 | q5 4 3 2 | w1", [], ['beat-lost 2.2'], 1_500, 5],
    'a stall at the line turn' => ["time: 4/4\nR: @c4 q1 2 3 4 | q5 4 3 2\nR: q1 2 3 4 | w5", [], ['line-turn-stall 3.1'], 1_500, 8],
    'hands that do not meet' => ["time: 4/4\nR: @c4 h1 3 | q5 4 3 2 | w1\nL: @5=c3 h5 3 | w1 | w5", [0 => ['at' => -190]], ['hands-do-not-meet 1.1']],
]);

test('a take that is none is refused with the place', function (string $json, string $says): void {
    expect(static fn () => TakeFile::read($json))->toThrow(BadTake::class, $says);
})->with([
    ['{', 'A take is JSON: Syntax error.'], ['[]', 'A take is {"notes": '], ['{"notes": {"t": 1}}', 'A take is {"notes": '], ['{"notes": [7]}', 'A take is {"notes": '],
    ['{"notes": [{"t": 1, "pitch": 60}, {"t": -1, "pitch": 60}]}', "Note 2 of the take has no 't' that is seconds from 0 to 3600."],
    ['{"notes": [{"t": 1, "pitch": 60.5}]}', "Note 1 of the take has no 'pitch' that is a whole number from 0 to 127."],
    ['{"notes": [{"t": 1, "pitch": 128}]}', "Note 1 of the take has no 'pitch'"], ['{"notes": [{"t": "1", "pitch": 60}]}', "Note 1 of the take has no 't'"],
    ['{"notes": [{"t": 2, "off": 1, "pitch": 60}]}', "Note 1 of the take has an 'off' before its 't'."], ['{"notes": [{"t": 1, "pitch": 60, "p": 2}]}', "no 'p' that is from 0 to 1"],
]);

test('of one key alone there is no beat, and no length', function (): void {
    $music = WrittenMusic::of(music_to_hear("time: 4/4\nR: @c4 w1"));
    $heard = Hear::take($music, [new TakenNote(0, 300, 60)]);
    expect(not_as_written($heard))->toBe([])->and([$heard->tempo, $heard->steady, $heard->isClean()])->toBe([null, null, true]);
});

test('the beat is the middle of what was played, of an even number the mean of both', function (): void {
    expect(Median::between([]))->toBeNull()->and(Median::between([7]))->toBe(7)->and(Median::between([9, 1, 4]))->toBe(4)->and(Median::between([8, 1, 4, 5]))->toBe(4)->and(Median::of([8, 1, 4, 5]))->toBe(5);
});

test('nothing played is nothing heard', function (): void {
    $music = WrittenMusic::of(music_to_hear());
    $heard = Hear::take($music, []);
    expect(array_unique(not_as_written($heard)))->toBe(['skipped'])->and([$heard->tempo, $heard->steady, $heard->isClean()])->toBe([null, null, false])->and(slips_heard($heard))->toBe([])
        // Of music without a note nothing can be wrong.
        ->and(Hear::take(WrittenMusic::of(music_to_hear("time: 4/4\nR: @c4 w r | r"), [0, 0]), [new TakenNote(0, 100, 60)])->extras)->toHaveCount(1);
});

test('invented takes are heard as they were made', function (TakeKind $kind, int $clean, string $sort, int $least): void {
    $music = WrittenMusic::of(music_to_hear("time: 4/4\ntempo: 90\nR: @c4 q1 2 3 4 | h5 3 | q5 4 3 2 | h1 3 :| q3 3 4 5 | h4 2 | q2 3 4 2 | w1\nL: @5=c3 w5 | h1 3 | w5 | w1 :| h5 3 | w1 | h1 3 | w5"));
    $figures = new TakeFigures();
    for ($seed = 1; $seed <= 12; $seed++) {
        $take = InventTake::of($music, $kind, $seed);
        $figures->add($take, Hear::take($music, $take->taken));
    }
    expect($figures->takes)->toBe(12)->and($figures->clean)->toBeGreaterThanOrEqual($clean)->and($figures->sum($sort)[0])->toBeGreaterThan(3)->and($figures->f1($sort))->toBeGreaterThanOrEqual($least);
})->with([
    'clean' => [TakeKind::Clean, 12, 'right', 1_000], 'wrong' => [TakeKind::Wrong, 12, 'wrong', 1_000], 'missed' => [TakeKind::Missed, 12, 'missed', 1_000], 'extra' => [TakeKind::Extra, 12, 'extra', 1_000],
    'stalls' => [TakeKind::Stall, 12, 'stall', 1_000], 'restarts' => [TakeKind::Restart, 11, 'restart', 900], 'a repeat left out' => [TakeKind::RepeatLeftOut, 12, 'skipped', 1_000],
    'one hand' => [TakeKind::OneHand, 12, 'skipped', 1_000], 'hands apart' => [TakeKind::Apart, 12, 'apart', 990], 'held' => [TakeKind::Held, 12, 'short', 970], 'fast' => [TakeKind::Fast, 12, 'right', 1_000],
    'mixed' => [TakeKind::Mixed, 9, 'wrong', 930], 'rough' => [TakeKind::Rough, 4, 'wrong', 850],
]);

test('three in a row are the newest three, clean and at the tempo that is asked, in the beats of the page (18.6)', function (array $takes, ?int $tempo, int $unit, bool $isThere): void {
    expect(ThreeInARow::isThere(array_map(static fn (array $take): array => ['clean' => $take[0], 'tempo' => $take[1]], $takes), $tempo, $unit))->toBe($isThere);
})->with([
    'two' => [[[true, 80], [true, 80]], 60, 4, false], 'three' => [[[true, 60], [true, 80], [true, 90]], 60, 4, true], 'one too slow' => [[[true, 59], [true, 80], [true, 90]], 60, 4, false],
    'one not clean' => [[[true, 80], [false, 80], [true, 90]], 60, 4, false], 'an older one not clean' => [[[true, 80], [true, 80], [true, 90], [false, 30]], 60, 4, true],
    'no tempo asked' => [[[true, 20], [true, 20], [true, null]], null, 4, true],
    // Forty quarters a minute are eighty eighths, and twenty halves.
    'in eighths' => [[[true, 40], [true, 40], [true, 40]], 80, 8, true], 'in halves' => [[[true, 40], [true, 40], [true, 40]], 21, 2, false],
]);

test('the tempo of a take is told in the beats of the page', function (string $time, int $beats): void {
    $music = WrittenMusic::of(music_to_hear("time: {$time}\nR: @c4 q1 2 3 | q4 5 4 | q3 2 1"));
    // As written: a quarter is 600 milliseconds.
    $heard = Hear::take($music, as_written($music, []));
    expect($heard->tempo)->toBe(100_000)->and($heard->beatsAMinute())->toBe($beats);
})->with([['3/4', 100], ['6/8', 200], ['3/2', 50]]);
