<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\LengthWords;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Book\BookFinger;
use Nasturtium\Core\Formats\Book\PieceTables;
use Nasturtium\Core\Formats\Csv;
use Nasturtium\Core\Formats\Grid;
use Nasturtium\Core\Formats\Midi\FirstDownbeat;
use Nasturtium\Core\Formats\Midi\MidiFile;
use Nasturtium\Core\Formats\Midi\MidiReader;
use Nasturtium\Core\Formats\Midi\MidiWriter;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\MusicXml\ScoreFile;
use Nasturtium\Core\Formats\ReadScore;
use Nasturtium\Core\Formats\Shorthand\PlayedKeys;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Formats\WeekFile;
use Nasturtium\Core\Path\Path;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Path\Stage;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Path\Stages;
use Nasturtium\Core\Pattern\StickingPoint;
use Nasturtium\Core\Pattern\StickingPoints;
use Nasturtium\Core\Pattern\Verdict;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Practice\Calendar\Timetable;
use Nasturtium\Core\Practice\Evidence;
use Nasturtium\Core\Practice\EvidenceKind;
use Nasturtium\Core\Practice\NoteKnowledge;
use Nasturtium\Core\Practice\Pace;
use Nasturtium\Core\Practice\Planning\PlanDay;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\RuleCheck;
use Nasturtium\Core\Practice\Planning\Week;
use Nasturtium\Core\Practice\TaskClass;
use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Practice\TermWords;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Reading\Phrases;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Limits;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\MusicText;
use Nasturtium\Core\Score\PageChecks;
use Nasturtium\Core\Score\SignKind;
use Tests\MidiBytes;

/*
 * Where a rule begins to hold: at its number, and not one before it.
 */

test('a line is a variant from 60 of 100 parts of the same sounding time on', function (string $second, array $letters): void {
    $tune = "R: @c4 q1 2 3 4 | q5 4 3 2 | w1 | h1 h2 | w3\nR: {$second}\n";
    expect(array_column(broken_down($tune)['lines'], 'letter'))->toBe($letters);
})->with([
    'three of five bars' => ['q1 2 3 4 | q5 4 3 2 | w1 | h3 h4 | w5', ['A', 'A′']],
    'two of five bars and half of another' => ['q1 2 3 4 | q5 4 3 2 | w2 | h1 h4 | w5', ['A', 'B']],
    'two of five bars' => ['q1 2 3 4 | q5 4 3 2 | w2 | h3 h4 | w5', ['A', 'B']],
    'all' => ['q1 2 3 4 | q5 4 3 2 | w1 | h1 h2 | w3', ['A', 'A']],
]);

test('a thorn has 4 points at least, and two thirds of the hardest place', function (array $scores, array $thorns): void {
    $points = array_map(static fn (int $score, int $at): StickingPoint => new StickingPoint($at, [], $score, null), $scores, array_keys($scores));
    expect(StickingPoints::thorns($points))->toBe($thorns);
})->with([
    [[4, 3], [0]],
    [[3, 3], []],
    // Two thirds of nine are six; of ten, more than six.
    [[9, 6, 5, 1, 1, 1, 1, 1], [0, 1]],
    [[9, 5, 5, 1, 1, 1, 1, 1], [0]],
    [[10, 7, 6, 1, 1, 1, 1, 1], [0, 1]],
    [[10, 6, 6, 1, 1, 1, 1, 1], [0]],
    [[], []],
]);

test('a quarter of the bars that are different has a thorn at most, and one where any deserves it', function (array $scores, array $first, array $thorns): void {
    $points = array_map(static fn (int $score, int $at): StickingPoint => new StickingPoint($at, [], $score, null), $scores, array_keys($scores));
    expect(StickingPoints::thorns($points, $first))->toBe($thorns);
})->with([
    'two bars, both hard' => [[8, 8], [], [0]],
    'seven bars, all hard' => [[8, 8, 8, 9, 8, 8, 8], [], [3]],
    'eight bars, all hard' => [[8, 8, 8, 9, 8, 8, 8, 8], [], [0, 3]],
    'eight bars that are seven different ones' => [[8, 8, 8, 9, 8, 8, 8, 8], [0 => 0, 7 => 0], [3]],
    'of equal bars the first, with what the hardest has' => [[5, 1, 8, 1], [0 => 0, 2 => 0], [0]],
]);

test('what the teacher says counts, and is no measure for the others', function (): void {
    $points = [new StickingPoint(0, [], 30, Verdict::Hard), new StickingPoint(1, [], 6, null), new StickingPoint(2, [], 0, Verdict::Easy), new StickingPoint(3, [], 3, null)];
    expect(StickingPoints::thorns($points))->toBe([0, 1]);
});

test('a ladder with no start begins at the mark below 60 of 100 parts of its goal', function (int $goal, int $from): void {
    expect(TempoLadder::for(tune("tempo: {$goal}\nR: @c4 w1\n"))->from)->toBe($from);
})->with([[100, 60], [99, 58], [120, 72], [119, 69], [60, 36], [70, 42], [69, 40], [66, 38]]);

test('of a note the report says all that it promises', function (): void {
    expect(array_keys(broken_down("R: @c4 q1 2 3 4\n")['notes'][0]))->toEqualCanonicalizing(['clef', 'pitch', 'letter', 'times', 'first', 'status', 'route', 'landmark', 'steps', 'staff', 'key', 'midi', 'events']);
});

test('traps are told in the order of the page', function (): void {
    $traps = broken_down("R: @c5 q1 2 3 4 | w5 | [bass] qc, d e f | [treble] wc'\nL: @5=c3 q1 2 3 4 | w5 | r | r\n")['traps'];
    $places = array_map(static fn (array $trap): float => (float) $trap['place'], $traps);
    $sorted = $places;
    sort($sorted);
    expect($places)->toBe($sorted)->and(array_column($traps, 'code'))->toContain('clef_change')->toContain('left_down')->and(count($traps))->toBeGreaterThan(2);
});

test('a MIDI file has ticks for every moment of the piece', function (): void {
    $note = static fn (string $step): string => "<note><pitch><step>{$step}</step><octave>4</octave></pitch><duration>2</duration><voice>1</voice><type>eighth</type><time-modification><actual-notes>7</actual-notes><normal-notes>4</normal-notes></time-modification></note>";
    $piece = MusicXmlReader::read(musicxml('<measure number="1"><attributes><divisions>7</divisions><time><beats>2</beats><beat-type>4</beat-type></time></attributes>'.implode('', array_map($note, ['C', 'D', 'E', 'F', 'G', 'A', 'B'])).'</measure>'))->piece;
    $file = MidiFile::read(MidiWriter::write($piece));
    expect($file->ticks % 7)->toBe(0)->and($file->notes[1]->from * 7)->toBe(2 * $file->ticks);
});

test('a composer is read also where another is left empty, and a part without a name has its number', function (): void {
    $xml = '<score-partwise version="4.0"><identification><creator type="lyricist"> </creator><creator type="composer">Odile Fenn</creator></identification><part-list><score-part id="P7"><part-name></part-name></score-part></part-list><part id="P7"><measure number="1"><attributes><divisions>1</divisions></attributes>'.xml_note('C4', 4).'</measure></part></score-partwise>';
    expect(MusicXmlReader::read($xml)->piece->composer)->toBe('Odile Fenn')->and(MusicXmlReader::parts($xml)[0]->name)->toBe('P7');
});

test('elements may lie 32 deep in one another, not 33', function (): void {
    $deep = static fn (int $depth): string => '<score-partwise>'.str_repeat('<x>', $depth).str_repeat('</x>', $depth).'</score-partwise>';
    expect(ScoreFile::open($deep(32))->localName)->toBe('score-partwise')->and(fn () => ScoreFile::open($deep(33)))->toThrow(BadInput::class, 'deep');
});

test('a piece has so many bars, notes and rests, and not one more', function (): void {
    $bars = static fn (int $count): string => musicxml('<measure number="1"><attributes><divisions>1</divisions><time><beats>1</beats><beat-type>4</beat-type></time></attributes>'.xml_note('C4', 1).'</measure>'.implode('', array_map(static fn (int $number): string => "<measure number=\"{$number}\">".xml_note('C4', 1).'</measure>', range(2, $count))));
    expect(count(MusicXmlReader::read($bars(Limits::MEASURES))->piece->measures))->toBe(Limits::MEASURES)
        ->and(fn () => MusicXmlReader::read($bars(Limits::MEASURES + 1)))->toThrow(BadInput::class, 'more than '.Limits::MEASURES.' bars');
});

test('every row of the report says all that it promises', function (): void {
    $report = broken_down("title: Rich\nkey: G\ntime: 4/4\ntempo: 60-92 Gently\nR: @g4 q1_ 2 3 4_ | {v123} q4 \"mf\" h5 < :|\nW: la la- la _\nL: @5=g3 w5 [bass] | h1 3\nR: qg' c, f+ a | wc | vg a b c d e f g | h1:trill 3\nL: q5 4 5 4 | w(53)~ | w(53) | [cross] h5 [back] 1\nR: q1_ 2 3 4_ | {v123} q4 h5 | w1 | w2\nL: w5 | h1 3 | w5 | w5\n");
    foreach ([
        'bars' => 'measure key time first last',
        'checks' => 'code place hand text events',
        'chunks' => 'kind from to serves beats score reasons',
        'counting' => 'hand measure text',
        'crossings' => 'hand at kind finger',
        'drill' => 'clef pitch status why',
        'events' => 'id hand voice place beats kind pitches letters staff clef interval solfege fingers finger_from fingers_or pattern move counts',
        'finger_lines' => 'hand measure text',
        'hands' => 'measure play motion same_rhythm',
        'leaps' => 'hand at from to move',
        'lines' => 'from to letter',
        'notes' => 'clef pitch letter times first status route landmark steps staff key midi events',
        'positions' => 'hand from to name low high thumb keys',
        'rings' => 'what times events',
        'shifts' => 'hand at from to keys beats rest',
        'stages' => 'name petal hand chunks do pass minutes minutes_later repetitions tempo waits_for',
        'sticking' => 'measure score thorn teacher reasons do serves',
        'traps' => 'code place hand text events',
        'weak_runs' => 'hand from to events',
    ] as $list => $keys) {
        expect($report[$list])->not->toBe([], $list);
        foreach ($report[$list] as $row) {
            expect(array_keys($row))->toEqualCanonicalizing(explode(' ', $keys), $list);
        }
    }
    expect(array_keys($report['piece']))->toEqualCanonicalizing(['title', 'composer', 'key', 'time', 'tempo', 'tempo_from', 'tempo_words', 'lines', 'measures', 'notation', 'pickup'])
        ->and(array_keys($report['sticking'][0]['reasons'][0]))->toEqualCanonicalizing(['code', 'text', 'weight', 'events'])
        ->and(array_keys($report['equal']))->toEqualCanonicalizing(['bars', 'left', 'right'])->and(array_keys($report['equal']['left']))->toEqualCanonicalizing(['same', 'rhythm', 'shape'])
        ->and(array_keys($report['learn']))->toEqualCanonicalizing(['text', 'bars', 'hands', 'order'])->and(array_keys($report['learn']['order'][0]))->toEqualCanonicalizing(['measure', 'serves', 'score'])
        ->and(array_keys($report['count_in']))->toEqualCanonicalizing(['counts', 'enter'])->and(array_keys($report['beats']))->toEqualCanonicalizing(['written', 'played']);
});

test('a bar of 64 beats is read, and of 65 said to be too long', function (): void {
    $bar = static fn (int $beats): string => musicxml('<measure number="7"><attributes><divisions>1</divisions><time><beats>4</beats><beat-type>4</beat-type></time></attributes>'.implode('', array_fill(0, $beats, xml_note('C4', 1))).'</measure>');
    expect(count(MusicXmlReader::read($bar(64))->piece->measures[0]->right))->toBe(64)
        ->and(fn () => MusicXmlReader::read($bar(65)))->toThrow(BadInput::class, 'Bar 7: it is over 64 beats long');
});

test('a chord symbol of a kind we have no word for is shown as it is printed, if it is short and plain', function (string $kind, array $shown): void {
    $xml = musicxml('<measure number="1"><attributes><divisions>1</divisions></attributes><harmony><root><root-step>C</root-step></root>'.$kind.'</harmony>'.xml_note('C4', 4).'</measure>');
    $signs = MusicXmlReader::read($xml)->piece->measures[0]->signs;
    expect(array_values(array_map(static fn ($sign): string => $sign->text, array_filter($signs, static fn ($sign): bool => $sign->kind === SignKind::Chord))))->toBe($shown);
})->with([
    'major' => ['<kind>major</kind>', ['C']],
    'minor seventh' => ['<kind>minor-seventh</kind>', ['Cm7']],
    'printed' => ['<kind text="7alt">other</kind>', ['C7alt']],
]);

test('a length is one note with two dots at most', function (int $over, int $under, ?array $note): void {
    expect(Duration::ofWhole(Fraction::of($over, $under))->asNote())->toBe($note);
})->with([
    [1, 4, ['quarter', 0]], [3, 8, ['quarter', 1]], [7, 16, ['quarter', 2]], [15, 32, null],
    [1, 1, ['whole', 0]], [3, 2, ['whole', 1]], [7, 4, ['whole', 2]], [5, 8, null], [1, 3, null],
]);

test('the pace lies between the pages that were signed off, in proportion', function (array $pages, string $slow, string $median, string $fast): void {
    $pace = Pace::of($pages);
    expect([(string) $pace->slow, (string) $pace->median, (string) $pace->fast])->toBe([$slow, $median, $fast]);
})->with([
    [[0, 1, 2, 3, 4], '1', '2', '3'],
    [[0, 2], '1/2', '1', '3/2'],
    [[3], '3', '3', '3'],
    [[9, 9, 0, 0, 0, 0, 1, 1, 1, 1], '0', '1/2', '1'],
]);

test('every run of the left hand down begins with the note that broke the one before', function (): void {
    $twice = array_values(array_filter(broken_down("R: r | r\nL: @5=c3 q2 3 4 5 | q1 2 3 4\n")['traps'], static fn (array $trap): bool => $trap['code'] === 'left_down'));
    expect(array_column($twice, 'text'))->toBe([
        'Bar 1: the left hand runs down, F E D C: the alphabet backwards, towards the left.',
        'Bar 2: the left hand runs down, G F E D: the alphabet backwards, towards the left.',
    ]);
});

test('the highest and the lowest key of a piano can be typed, and none beyond', function (string $typed, bool $isKey): void {
    expect(ShorthandReader::read($typed)->errors === [])->toBe($isKey);
})->with([
    ["R: @b7 q1 2 h1\n", true],
    ["R: @b7 q1 3 h1\n", false],
    ["L: @5=a0 q5 4 h5\n", true],
    ["L: @5=g0 q5 4 h5\n", false],
]);

test('a repeat that is played twice says no more, and one of three its times; the start says none', function (): void {
    $xml = MusicXmlWriter::write(tune("R: @c4 |: w1 :| |: w2 :|*3 w3\n"));
    preg_match_all('~<repeat[^>]*>~', $xml, $found);
    expect($found[0])->toBe(['<repeat direction="forward"/>', '<repeat direction="backward"/>', '<repeat direction="forward"/>', '<repeat direction="backward" times="3"/>']);
});

test('a sign that stands after the last note is kept', function (): void {
    expect(ShorthandWriter::write(tune("R: @c4 q1 2 3 4 \"softly\"\n"))->text)->toContain('"softly"');
});

test('a MIDI file may change its time signature 299 times, and no more', function (): void {
    $changing = static function (int $changes): string {
        $track = '';
        for ($i = 0; $i <= $changes; $i++) {
            $track .= ($i === 0 ? "\0" : "\x83\x00")."\xFF\x58\x04".($i % 2 === 0 ? "\x04" : "\x03")."\x02\x18\x08";
        }
        $track .= "\0\x90\x3C\x50\x60\x80\x3C\x00\0\xFF\x2F\0";

        return 'MThd'.pack('Nnnn', 6, 0, 1, 96).'MTrk'.pack('N', strlen($track)).$track;
    };
    expect(count(MidiReader::read($changing(299))->piece->measures))->toBeGreaterThan(0)
        ->and(fn () => MidiReader::read($changing(300)))->toThrow(BadInput::class, 'more than 300 times');
});

test('a MIDI track that begins without a status is refused with its place', function (): void {
    $track = "\0\x3C\x50\0\xFF\x2F\0";
    expect(fn () => MidiReader::read('MThd'.pack('Nnnn', 6, 0, 1, 96).'MTrk'.pack('N', strlen($track)).$track))->toThrow(BadInput::class, 'Byte ');
});

test('a piece has a thousand measures, and no more', function (): void {
    $bars = static fn (int $count): string => musicxml('<measure number="1">'.GRAND.xml_note('C4', 8).'</measure>'.implode('', array_map(static fn (int $at): string => "<measure number=\"{$at}\">".xml_note('C4', 8).'</measure>', range(2, $count))));
    expect(MusicXmlReader::read($bars(Limits::MEASURES))->piece->measures)->toHaveCount(1000)
        ->and(fn () => MusicXmlReader::read($bars(Limits::MEASURES + 1)))->toThrow(BadInput::class);
});

test('what is known of a note counts on its own day, also where that is after the day that is asked for', function (): void {
    $named = new Evidence(EvidenceKind::Named, 10);
    expect((new NoteKnowledge())->status([$named], 5))->toBe(NoteStatus::Secure)
        ->and((new NoteKnowledge())->status([$named], 37))->toBe(NoteStatus::Secure)
        ->and((new NoteKnowledge())->status([$named], 38))->toBe(NoteStatus::Shaky);
});

test('the staves of a part are those that its notes stand on, where it names none', function (): void {
    $note = static fn (int $staff): string => "<note><pitch><step>C</step><octave>4</octave></pitch><duration>1</duration><staff>{$staff}</staff></note>";
    $parts = MusicXmlReader::parts(musicxml('<measure number="1">'.$note(1).$note(2).'</measure>'));
    expect($parts[0]->staves)->toBe(2)->and($parts[0]->notes)->toBe(2);
});

test('lengths are called as the studio calls them', function (string $length, string $us, string $uk): void {
    expect(LengthWords::label($length, NoteWords::American))->toBe($us)->and(LengthWords::label($length, NoteWords::British))->toBe($uk);
})->with([
    ['sixteenth', 'sixteenth', 'semiquaver'], ['dotted eighth', 'dotted eighth', 'dotted quaver'], ['triplet quarter', 'triplet quarter', 'triplet crotchet'], ['whole', 'whole', 'semibreve'],
]);

test('a sentence of the studio leads to the notes of the report', function (): void {
    $own = Phrases::of(['treble line' => 'Every Garden Bears Dark Fruit']);
    $report = document(Breakdown::of(tune("R: @c4 q5 4 3 2\n"), new Settings(school: School::Phrase, phrases: $own)));
    expect(implode(' ', array_column($report['notes'], 'route')))->toContain('Every Garden');
});

test('a week may have 60 tasks, and no more', function (int $tasks, bool $fits): void {
    $task = static fn (int $id): array => ['id' => $id, 'kind' => 'review', 'minutes' => 1];
    $text = json_encode(['days' => [['date' => '2031-05-05', 'minutes' => 20]], 'tasks' => array_map($task, range(1, $tasks))]);
    $fits ? expect(WeekFile::read((string) $text)->tasks)->toHaveCount(60) : expect(fn () => WeekFile::read((string) $text))->toThrow(BadInput::class);
})->with([[60, true], [61, false]]);

test('an error at the end of a line stands under its last sign, and spaces after it are none', function (string $line): void {
    $open = ShorthandReader::read($line)->errors[0];
    expect([$open->line, $open->column, $open->length])->toBe([1, 17, 1]);
})->with([["R: @c4 q1 2 {v1 2\n"], ["R: @c4 q1 2 {v1 2  \n"]]);

test('docs/formats.md has the limits of a piece as they are', function (): void {
    $page = (string) file_get_contents(dirname(__DIR__, 2).'/docs/formats.md');
    preg_match('/^\*\*Limits\*\*.*?\n\n/ms', $page, $limits);
    foreach ((new ReflectionClass(Limits::class))->getConstants() as $name => $limit) {
        expect($limits[0])->toMatch('/(?<![\d,])'.number_format($limit).'(?![\d,]\d)/', $name);
    }
});

test('a lesson is looked for through 400 days', function (string $extra, ?string $found): void {
    expect((new Timetable([], extra: [$extra]))->onOrAfter('2031-01-01'))->toBe($found);
})->with([['2032-02-04', '2032-02-04'], ['2032-02-05', null]]);

test('a table of a megabyte is read, and a byte more is not', function (): void {
    $row = "a,b\n";
    $fits = $row.str_repeat('x', 1024 * 1024 - strlen($row));
    expect(Csv::read($fits))->toHaveCount(2)->and(fn () => Csv::read("{$fits}x"))->toThrow(BadInput::class, 'over 1 MB');
});

test('verdicts and fingers stand under their names', function (): void {
    expect(PieceTables::verdicts([3 => Verdict::Hard]))->toEndWith("bar,verdict\r\n3,hard\r\n")
        ->and(PieceTables::fingers([new BookFinger(Hand::Left, '1.2', 'C3', 5)]))->toEndWith("hand,place,note,finger\r\nL,1.2,C3,5\r\n");
});

test('octave lines are one octave, or two', function (string $line, array $pitches): void {
    $report = broken_down("R: @c4 [{$line}] q1 2 [loco] 1 2\n");
    expect(array_merge(...array_column($report['events'], 'pitches')))->toBe($pitches);
})->with([['8va', ['C5', 'D5', 'C4', 'D4']], ['8vb', ['C3', 'D3', 'C4', 'D4']], ['15ma', ['C6', 'D6', 'C4', 'D4']]]);

test('a key is typed as the letter whose sign is in force', function (string $before, int $key, string $token): void {
    expect(PlayedKeys::typed($before, [$key]))->toBe($token);
})->with([
    'a sharp below' => ['R: q e+ ', 65, 'e'],
    'a flat above' => ['R: q f- ', 64, 'f'],
    'none' => ['R: q e ', 65, 'f'],
    'of the next bar' => ['R: q e+ 2 e e | ', 65, 'f'],
]);

test('a file without a time signature has that of most of its bars', function (): void {
    $bar = static fn (int $number, int $length): string => "<measure number=\"{$number}\">".($number === 1 ? '<attributes><divisions>2</divisions></attributes>' : '').xml_note('C4', $length).'</measure>';
    $read = MusicXmlReader::read(musicxml($bar(1, 8).$bar(2, 6).$bar(3, 6)));
    expect((string) $read->piece->meter())->toBe('3/4')
        ->and(array_column($read->notRead, 'text'))->toContain('Bar 1: the file has no time signature; 3/4 is taken from the length of its bars.');
});

test('keys have seven signs at most', function (int $fifths, bool $fits): void {
    $read = static fn (): ReadScore => MusicXmlReader::read(musicxml("<measure number=\"1\"><attributes><divisions>2</divisions><key><fifths>{$fifths}</fifths></key></attributes>".xml_note('C4', 8).'</measure>'));
    $fits ? expect($read()->piece->key()->fifths)->toBe($fifths) : expect($read)->toThrow(BadInput::class);
})->with([[-7, true], [7, true], [-8, false], [8, false]]);

test('of a broken file the first place is named', function (): void {
    expect(fn () => MusicXmlReader::read("<?xml version=\"1.0\"?>\n<score-partwise>\n<part><x></part>\n<part><y></part>\n</score-partwise>"))->toThrow(BadInput::class, 'Line 3');
});

test('each bar that is played says which it is', function (): void {
    expect(array_map(static fn (array $bar): array => [$bar['measure'], $bar['index'], (string) $bar['at']], Playback::whole(tune("R: @c4 q3 | w1 |: w2 :|\n"))->bars))
        ->toBe([[0, 0, '0'], [1, 1, '1'], [2, 2, '5'], [2, 2, '9']]);
});

test('a time signature that no page has is named with its beats', function (): void {
    $track = "\0\xFF\x58\x04\x63\x02\x18\x08"."\0\x90\x3C\x50\x60\x80\x3C\x00\0\xFF\x2F\0";
    $read = MidiReader::read('MThd'.pack('Nnnn', 6, 0, 1, 96).'MTrk'.pack('N', strlen($track)).$track);
    expect(implode(' ', array_column($read->notRead, 'text')))->toContain('A time signature of 99 beats');
});

test('a piano has keys from A0 to C8 in a MIDI file too', function (int $key, bool $fits): void {
    $read = MidiReader::read(MidiBytes::of([[60, 0, 96], [$key, 96, 192]]));
    expect(in_array($key, array_merge(...array_column(Playback::whole($read->piece)->sounds, 'keys')), true))->toBe($fits)
        ->and(str_contains(implode(' ', array_column($read->notRead, 'text')), "key {$key}"))->toBe(! $fits);
})->with([[21, true], [20, false], [108, true], [109, false]]);

test('a part that the list of parts leaves out is called by its id', function (): void {
    $parts = MusicXmlReader::parts('<score-partwise><part-list><score-part id="P1"><part-name>Piano</part-name></score-part></part-list><part id="P1"><measure/></part><part id="P2"><measure/></part></score-partwise>');
    expect(array_column($parts, 'name'))->toBe(['Piano', 'P2']);
});

test('each cell of a table of fingers is held to what it may be', function (string $row): void {
    expect(PieceTables::readFingers("hand,place,note,finger\r\nR,1.1,C4,1\r\n", 'x'))->toHaveCount(1)
        ->and(fn () => PieceTables::readFingers("hand,place,note,finger\r\n{$row}\r\n", 'x'))->toThrow(BadInput::class, 'row 2');
})->with([['X,1.1,C4,1'], ['R,one,C4,1'], ['R,1.1,H4,1'], ['R,1.1,C4,6'], ['R,1.1,C4,0']]);

test('a sentence of nothing but spaces is the usual one', function (): void {
    expect(Phrases::of(['treble line' => '   ']))->toEqual(Phrases::usual());
});

test('D.S. al Fine needs a sign to go back to, and a Fine', function (string $music, int $missing): void {
    $checks = array_filter(PageChecks::of(tune($music)), static fn (Check $check): bool => $check->code === 'jump_nowhere');
    expect($checks)->toHaveCount($missing);
})->with([
    ["R: @c4 [Segno] w1 2 [Fine] | 3 [D.S. al Fine]\n", 0],
    ["R: @c4 w1 2 [Fine] | 3 [D.S. al Fine]\n", 1],
    ["R: @c4 [Segno] w1 2 3 [D.S. al Fine]\n", 1],
]);

test('in two beats a bar a pickup is found as well', function (): void {
    $notes = [[67, 0, 90]];
    for ($bar = 0; $bar < 8; $bar++) {
        array_push($notes, [72, 96 + 192 * $bar, 280 + 192 * $bar], [48, 96 + 192 * $bar, 280 + 192 * $bar]);
    }
    $file = MidiFile::read(MidiBytes::of($notes, "\0\xFF\x58\x04\x02\x02\x18\x08"));
    expect((string) FirstDownbeat::of($file, new Meter(2, 4)))->toBe('1/4');
});

test('what is uncertain names its note', function (): void {
    $read = MidiReader::read(MidiBytes::of([[60, 0, 90], [62, 130, 180], [64, 192, 280]]), Grid::Quarters);
    $uncertain = array_values(array_filter($read->notRead, static fn (Check $check): bool => $check->code === 'uncertain'));
    $ids = array_map(static fn (Event $event): string => $event->id, $read->piece->measures[0]->events());
    expect($uncertain)->not->toBe([])->and(array_diff(array_merge(...array_column($uncertain, 'events')), $ids))->toBe([])
        ->and($uncertain[0]->events)->not->toBe([]);
});

test('a hand that plays nothing in a MIDI file has its own clef', function (): void {
    $piece = MidiReader::read(MidiBytes::of([[72, 0, 96], [74, 96, 192]]))->piece;
    expect($piece->measures[0]->clefs)->toBe(['R' => Clef::Treble, 'L' => Clef::Bass]);
});

test('a file of sixteen bits a letter is read, with a mark and without one, whichever half comes first', function (string $encoding, string $mark): void {
    $xml = str_replace('UTF-8', 'UTF-16', MusicXmlWriter::write(tune("title: Två\nR: @c4 q1 2 3 4\n")));
    expect(MusicXmlReader::read($mark.mb_convert_encoding($xml, $encoding, 'UTF-8'))->piece->title)->toBe('Två');
})->with([
    'the high half first' => ['UTF-16BE', ''],
    'the low half first' => ['UTF-16LE', ''],
    'the high half first, marked' => ['UTF-16BE', "\xFE\xFF"],
    'the low half first, marked' => ['UTF-16LE', "\xFF\xFE"],
]);

test('lines may end as on any machine', function (): void {
    $text = "time: 3/4\nR: @c4 q1 2 3 | h.5\nL: @5=c3 h.5 | 5\n";
    $read = ShorthandReader::read(str_replace("\n", "\r\n", $text));
    expect($read->errors)->toBe([])->and(MusicText::differences($read->piece ?? tune($text), tune($text)))->toBe([]);
});

test('words that stand before their line of music are marked to their last sign', function (): void {
    $error = ShorthandReader::read("W: la la   \nR: @c4 q1 2\n")->errors[0];
    expect([$error->line, $error->column, $error->length])->toBe([1, 1, 8]);
});

test('a term in words names six shaky notes at most', function (int $shaky, string $ends): void {
    expect(TermWords::notes('Ida', 3, 3, array_slice(['C4', 'D4', 'E4', 'F4', 'G4', 'A4', 'B4'], 0, $shaky))[0])->toEndWith($ends);
})->with([[1, ' C4 is still shaky.'], [6, 'G4 and A4 are still shaky.'], [7, 'G4 and A4 are still shaky.'], [0, 'securely.']]);

test('a packed file says first what it is', function (): void {
    $path = (string) tempnam(sys_get_temp_dir(), 'mxl');
    file_put_contents($path, ScoreFile::compressed('<score-partwise/>'));
    $zip = new ZipArchive();
    $zip->open($path);
    expect($zip->getNameIndex(0))->toBe('mimetype')->and($zip->getFromName('mimetype'))->toBe('application/vnd.recordare.musicxml');
    $zip->close();
    unlink($path);
});

test('a note that is tied on is another line than one that is struck', function (): void {
    $letters = static fn (string $second): array => array_column(broken_down("R: @c4 q1 1 h3 | w5\nR: {$second}\n")['lines'], 'letter');
    expect($letters('q1 1 h3 | w5'))->toBe(['A', 'A'])->and($letters('q1~ 1 h3 | w5'))->toBe(['A', 'A′']);
});

test('a stage of signs is another one when a sign stands elsewhere', function (): void {
    $content = static fn (string $music): ?string => array_values(array_filter(
        Stages::of(tune($music), Path::shipped(PathKind::BeatFirst)),
        static fn (Stage $stage): bool => $stage->step->kind === StageKind::Articulation,
    ))[0]->content ?? null;
    expect($content("R: @c4 \"p\" q1 2 3 4\n"))->not->toBeNull()
        ->and($content("R: @c4 \"p\" q1 2 3 4\n"))->not->toBe($content("R: @c4 q1 2 \"p\" 3 4\n"));
});

test('a third staff is left out and named once', function (): void {
    $note = static fn (int $staff): string => "<note><pitch><step>C</step><octave>4</octave></pitch><duration>2</duration><voice>{$staff}</voice><staff>{$staff}</staff></note>";
    $read = MusicXmlReader::read(musicxml('<measure number="1">'.GRAND.$note(1).$note(1).$note(1).'<backup><duration>6</duration></backup>'.$note(3).$note(3).$note(3).'</measure>'));
    expect(array_filter($read->notRead, static fn (Check $check): bool => str_contains($check->text, 'third staff')))->toHaveCount(1);
});

test('too many new things are told with their day and the last of them', function (): void {
    $task = static fn (string $id): PlanTask => new PlanTask($id, TaskClass::Playing, 2, isNew: true);
    $week = new Week([new PlanDay('2031-05-05', 40), new PlanDay('2031-05-06', 40)], [$task('a'), $task('b')], 1, '2031-05-12');
    $broken = RuleCheck::broken($week, ['a' => ['2031-05-05', '2031-05-06'], 'b' => ['2031-05-05', '2031-05-06']]);
    expect(json_decode((string) json_encode($broken), true))->toContain(['date' => '2031-05-05', 'task' => 'b', 'text' => 'That is 2 new things on one day; 1 is enough at this age.']);
});
