<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\BeatWords;
use Nasturtium\Core\Counting\CompoundBeats;
use Nasturtium\Core\Counting\CountingSystem;
use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Path\Effort;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Path\Petal;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Practice\ReviewSchedule;
use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Practice\TaskClass;
use Nasturtium\Core\Practice\TaskTimes;
use Nasturtium\Core\Practice\WarmUp;
use Nasturtium\Core\Reading\KeyPlace;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\Solfege;
use Nasturtium\Core\Reading\StaffPlace;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Pitch;

/*
 * The tables of docs/trade.md, row by row.
 */

test('the grand staff from low to high', function (): void {
    $bass = ['E2', 'F2', 'G2', 'A2', 'B2', 'C3', 'D3', 'E3', 'F3', 'G3', 'A3', 'B3', 'C4', 'D4', 'E4'];
    $treble = ['A3', 'B3', 'C4', 'D4', 'E4', 'F4', 'G4', 'A4', 'B4', 'C5', 'D5', 'E5', 'F5', 'G5', 'A5'];
    $place = fn (Clef $clef): Closure => fn (string $name): string => StaffPlace::of(Pitch::parse($name), $clef);
    expect(array_map($place(Clef::Bass), $bass))->toBe([
        'ledger 1 below',
        'space below',
        'line 1',
        'space 1',
        'line 2',
        'space 2',
        'line 3',
        'space 3',
        'line 4',
        'space 4',
        'line 5',
        'space above',
        'ledger 1 above',
        'space above ledger 1',
        'ledger 2 above',
    ])->and(array_map($place(Clef::Treble), $treble))->toBe([
        'ledger 2 below',
        'space below ledger 1',
        'ledger 1 below',
        'space below',
        'line 1',
        'space 1',
        'line 2',
        'space 2',
        'line 3',
        'space 3',
        'line 4',
        'space 4',
        'line 5',
        'space above',
        'ledger 1 above',
    ]);
});

test('every key of an octave by its black keys', function (string $pitch, string $group): void {
    expect(KeyPlace::of(Pitch::parse($pitch)))->toStartWith("{$group},");
})->with([
    ['C5', 'left of the two black keys'],
    ['C#5', 'the left one of the two black keys'],
    ['Db5', 'the left one of the two black keys'],
    ['D5', 'between the two black keys'],
    ['Eb5', 'the right one of the two black keys'],
    ['E5', 'right of the two black keys'],
    ['F5', 'left of the three black keys'],
    ['F#5', 'the left one of the three black keys'],
    ['G5', 'between the first and second of the three black keys'],
    ['Ab5', 'the middle one of the three black keys'],
    ['A5', 'between the second and third of the three black keys'],
    ['Bb5', 'the right one of the three black keys'],
    ['B5', 'right of the three black keys'],
    ['Cb5', 'right of the three black keys'],
]);

test('the landmarks of level one, note by note', function (Clef $clef, array $landmarks): void {
    foreach ($landmarks as $pitch => $landmark) {
        expect((new Landmarks(1))->nearest(Pitch::parse($pitch), $clef)->name())->toBe($landmark, "{$pitch} {$clef->value}");
    }
})->with([
    'treble' => [Clef::Treble, [
        'A3' => 'C4',
        'B3' => 'C4',
        'C4' => 'C4',
        'D4' => 'C4',
        'E4' => 'C4',
        'F4' => 'G4',
        'G4' => 'G4',
        'A4' => 'G4',
        'D5' => 'G4',
        'G5' => 'G4',
    ]],
    'bass' => [Clef::Bass, [
        'G2' => 'F3',
        'C3' => 'F3',
        'D3' => 'F3',
        'E3' => 'F3',
        'F3' => 'F3',
        'G3' => 'F3',
        'A3' => 'F3',
        'B3' => 'C4',
        'C4' => 'C4',
        'D4' => 'C4',
    ]],
]);

test('the landmarks of higher levels are nearer', function (int $level, array $landmarks): void {
    foreach ($landmarks as $pitch => [$clef, $landmark]) {
        expect((new Landmarks($level))->nearest(Pitch::parse($pitch), $clef)->name())->toBe($landmark, $pitch);
    }
})->with([
    [2, [
        'B4' => [Clef::Treble, 'C5'],
        'D3' => [Clef::Bass, 'C3'],
        'A2' => [Clef::Bass, 'C3'],
        'E5' => [Clef::Treble, 'C5'],
    ]],
    [3, [
        'E5' => [Clef::Treble, 'F5'],
        'A2' => [Clef::Bass, 'G2'],
        'B5' => [Clef::Treble, 'C6'],
        'D2' => [Clef::Bass, 'C2'],
    ]],
]);

test('the chromatic syllables', function (string $pitch, string $syllable): void {
    expect(Solfege::of(Pitch::parse($pitch), Key::parse('C'), 0))->toBe($syllable);
})->with([
    ['C4', 'do'],
    ['C#4', 'di'],
    ['Db4', 'ra'],
    ['D4', 're'],
    ['D#4', 'ri'],
    ['Eb4', 'me'],
    ['E4', 'mi'],
    ['F4', 'fa'],
    ['F#4', 'fi'],
    ['Gb4', 'se'],
    ['G4', 'sol'],
    ['G#4', 'si'],
    ['Ab4', 'le'],
    ['A4', 'la'],
    ['A#4', 'li'],
    ['Bb4', 'te'],
    ['B4', 'ti'],
]);

test('a page that names no key has do on the lowest key of the hand', function (): void {
    $piece = MusicXmlReader::read(<<<'XML'
        <score-partwise><part id="P1"><measure number="1">
          <attributes><divisions>1</divisions><time><beats>2</beats><beat-type>4</beat-type></time></attributes>
          <note><pitch><step>D</step><octave>4</octave></pitch><duration>1</duration>
            <notations><technical><fingering>1</fingering></technical></notations></note>
          <note><pitch><step>E</step><octave>4</octave></pitch><duration>1</duration></note>
        </measure></part></score-partwise>
        XML)->piece;
    $report = document(Breakdown::of($piece, new Settings()));
    expect(each_event($report, 'solfege'))->toBe(['do', 're']);
});

test('the words of a count', function (string $meter, CountWay $way, array $words): void {
    foreach ($words as $beats => $word) {
        [$numerator, $denominator] = [...explode('/', (string) $beats), '1'];
        expect(BeatWords::of(Meter::parse($meter), $way)->at(Fraction::of((int) $numerator, (int) $denominator)))->toBe($word, (string) $beats);
    }
})->with([
    ['4/4', new CountWay(), ['0' => '1', '3' => '4', '5/2' => '&', '1/4' => 'e', '3/4' => 'a', '1/3' => 'trip', '2/3' => 'let', '1/5' => '·']],
    ['6/8', new CountWay(), ['0' => '1', '5' => '6', '1/2' => '&']],
    ['6/8', new CountWay(compound: CompoundBeats::DottedQuarters), ['0' => '1', '1/3' => 'la', '2/3' => 'li', '1' => '2', '1/6' => 'ta', '1/2' => 'ta', '11/6' => 'ta']],
    ['3/8', new CountWay(compound: CompoundBeats::DottedQuarters), ['0' => '1', '2' => '3']],
    ['3/4', new CountWay(CountingSystem::DuDe), ['0' => 'du', '1/2' => 'de', '1/4' => 'ta', '3/4' => 'ta', '1' => 'du', '4/3' => 'da', '5/3' => 'di']],
    ['9/8', new CountWay(CountingSystem::DuDe), ['0' => 'du', '1/3' => 'da', '5/3' => 'di', '1/6' => 'ta']],
]);

test('the keys by their names', function (string $text, string $name): void {
    expect(Key::parse($text)->name())->toBe($name);
})->with([
    ['C', 'C major'],
    ['F', 'F major'],
    ['bb', 'Bb major'],
    ['F#', 'F# major'],
    ['Am', 'A minor'],
    ['E minor', 'E minor'],
    ['Cm', 'C minor'],
    ['G major', 'G major'],
]);

test('keys with more than seven signs are none', fn () => Key::parse('G#'))->throws(InvalidScore::class);

test('every slip with its remedy and the tempo it is done at', function (Slip $slip, string $remedy, int $tempo): void {
    expect($slip->remedy())->toBe($remedy)->and($slip->tempo(72))->toBe($tempo);
})->with([
    [Slip::WrongNote, 'Name every note of these bars, then play them.', 72],
    [Slip::ReadBackwards, 'Point along the left hand and say start, step, skip; then play it alone.', 72],
    [Slip::WrongFinger, 'Fingers in the air, then press all five keys of the position at once.', 72],
    [Slip::LeapMissed, 'The shift alone: move, rest, play.', 72],
    [Slip::CutShort, 'Tap these bars and count aloud.', 72],
    [Slip::BeatLost, 'One rung down, with the metronome.', 69],
    [Slip::LineTurnStall, 'Play over the line end. Look ahead.', 56],
    [Slip::HandsApart, 'Bar to the next downbeat: each hand once, then together three times.', 72],
    [Slip::Articulation, 'That hand alone, only long and short.', 72],
    [Slip::Dynamics, 'The whole piece once, only loud and soft.', 72],
    [Slip::RepeatMissed, 'Trace the way through the page with a finger, then play it.', 72],
]);

test('reviews come after one, two, four and eight weeks, then on request', function (int $step, int $days, bool $due): void {
    expect(ReviewSchedule::isDue($step, $days))->toBe($due);
})->with([
    [0, 6, false],
    [0, 7, true],
    [1, 13, false],
    [1, 14, true],
    [2, 27, false],
    [2, 28, true],
    [3, 55, false],
    [3, 56, true],
    [4, 400, false],
]);

test('a page that was on request comes back when it fails, and is due again', function (): void {
    $step = ReviewSchedule::after([true, true, true, true, true, false]);
    expect($step)->toBe(2)->and(ReviewSchedule::isDue($step, 28))->toBeTrue()->and(ReviewSchedule::isDue($step, 27))->toBeFalse();
});

test('a failed review goes back one interval', function (array $heard, int $step): void {
    expect(ReviewSchedule::after($heard))->toBe($step);
})->with([
    [[], 0],
    [[true], 1],
    [[true, true, true], 3],
    [[true, true, false], 1],
    [[false], 0],
    [[false, true], 1],
]);

test('the value of each class of task, and the days on which it counts', function (TaskClass $class, int $value, int $days): void {
    expect([$class->value(), min(7, $class->daysThatCount())])->toBe([$value, $days]);
})->with([
    [TaskClass::Remedy, 8, 7],
    [TaskClass::Playing, 6, 7],
    [TaskClass::Preparation, 4, 2],
    [TaskClass::Drill, 4, 3],
    [TaskClass::Review, 3, 2],
    [TaskClass::Theory, 3, 1],
    [TaskClass::Sight, 2, 3],
    [TaskClass::Glance, 2, 1],
    [TaskClass::WarmUp, 0, 0],
]);

test('a stage is a glance, preparation or playing', function (string $stage, TaskClass $class): void {
    expect(StageKind::from($stage)->taskClass())->toBe($class);
})->with([
    ['look over', TaskClass::Glance],
    ['listen', TaskClass::Glance],
    ['tap and count', TaskClass::Preparation],
    ['fingers in the air', TaskClass::Preparation],
    ['right hand', TaskClass::Playing],
    ['hand over', TaskClass::Playing],
    ['finish', TaskClass::Playing],
    ['own', TaskClass::Playing],
]);

test('every stage of every path has a sentence, a pass mark and, but for a few, a petal', function (PathKind $path): void {
    foreach ($path->stages() as $stage) {
        expect($stage->sentence())->toEndWith('.')
            ->and($stage->passMark())->not->toBe('')
            ->and($stage->effort())->toBeInstanceOf(Effort::class);
    }
    $petals = array_unique(array_filter(array_map(fn (StageKind $stage): ?string => $stage->petal()?->value, $path->stages())));
    expect(array_values(array_diff(array_column(Petal::cases(), 'value'), $petals)))->toBe([]);
})->with(PathKind::cases());

test('the time of whole bars of a piece', function (): void {
    $piece = tune("tempo: 100\nR: @c4 q5 | w1 | w2 | h.3\n");
    $halves = static fn (array $ranges, int $times): array => (array) TaskTimes::ofBars($piece, $ranges, TaskClass::Remedy, $times, [60]);
    // 20 + 10/3 × ((8 beats + 4 counted in) × 60/60 + 4 s) = 73 1/3 s; the pickup has three counts and one beat.
    expect($halves([[1, 2]], 2))->toBe(['first' => 3, 'later' => 3])
        ->and($halves([[0, 2]], 3))->toBe(['first' => 4, 'later' => 4])
        // Each range is found by itself.
        ->and($halves([[1, 2], [0, 0]], 3))->toBe(['first' => 6, 'later' => 6])
        ->and(fn () => $halves([[9, 9]], 1))->toThrow(InvalidScore::class, 'no measure at 9');
});

test('the warm-up lies where the newest piece has the hands', function (): void {
    expect(WarmUp::for(tune("R: @g4 w1\nL: @5=g3 w5\n")))->toBe('Five fingers up and down, each hand alone, then together. Right hand: thumb on G4; left hand: thumb on D4.')
        ->and(WarmUp::for(null))->toBe('Five fingers up and down, each hand alone, then together.');
});
