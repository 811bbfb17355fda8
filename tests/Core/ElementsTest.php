<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\MusicXml\Beams;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\LineCrossings;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\PrintedAccidentals;
use Nasturtium\Core\Score\SignKind;
use Nasturtium\Core\Score\SlurEnd;

/*
 * MusicXML element by element: what is read of it, and what is written.
 */

function one_bar(string $inside, string $attributes = ''): Piece
{
    return MusicXmlReader::read(<<<XML
        <score-partwise version="4.0">
          <part-list><score-part id="P1"><part-name>Piano</part-name></score-part></part-list>
          <part id="P1">
            <measure number="1">
              <attributes>
                <divisions>4</divisions>
                {$attributes}
                <time><beats>4</beats><beat-type>4</beat-type></time>
              </attributes>
              {$inside}
            </measure>
          </part>
        </score-partwise>
        XML)->piece;
}

function c4(string $more = '', int $duration = 16): string
{
    return "<note><pitch><step>C</step><octave>4</octave></pitch><duration>{$duration}</duration>{$more}</note>";
}

/** @return list<Event> */
function right_of(string $inside, string $attributes = ''): array
{
    return one_bar($inside, $attributes)->measures[0]->right;
}

test('an accidental is read from alter', function (string $alter, string $name): void {
    $note = '<note><pitch><step>B</step><alter>'.$alter.'</alter><octave>4</octave></pitch><duration>16</duration></note>';
    expect(right_of($note)[0]->lowest()->name())->toBe($name);
})->with([
    ['-1', 'Bb4'],
    ['0', 'B4'],
    ['1', 'B#4'],
    ['-2', 'Bbb4'],
    ['2', 'B##4'],
    ['1.0', 'B#4'],
]);

test('articulations, ornaments and fermata are marks of their note', function (string $notations, Mark $mark): void {
    $event = right_of(c4("<notations>{$notations}</notations>"))[0];
    expect($event->has($mark))->toBeTrue()->and($event->ink->marks)->toHaveCount(1);
})->with([
    ['<articulations><staccato/></articulations>', Mark::Staccato],
    ['<articulations><tenuto/></articulations>', Mark::Tenuto],
    ['<articulations><accent/></articulations>', Mark::Accent],
    ['<fermata/>', Mark::Fermata],
    ['<articulations><strong-accent/></articulations>', Mark::Marcato],
    ['<articulations><breath-mark/></articulations>', Mark::Breath],
    ['<ornaments><trill-mark/></ornaments>', Mark::Trill],
    ['<ornaments><inverted-mordent/></ornaments>', Mark::InvertedMordent],
    ['<arpeggiate/>', Mark::Arpeggio],
]);

test('a slur bears a number at both ends', function (): void {
    $events = right_of(c4('<notations><slur type="start" number="2"/></notations>', 8).c4('<notations><slur type="stop" number="2"/></notations>', 8));
    expect(array_map(fn (Event $event): array => array_map(fn (SlurEnd $end): array => [$end->number, $end->starts], $event->ink->slurs), $events))
        ->toBe([[[2, true]], [[2, false]]]);
});

test('fingers are read, the first of a substitution', function (string $text, ?int $finger): void {
    $event = right_of(c4("<notations><technical><fingering>{$text}</fingering></technical></notations>"))[0];
    expect($event->notes[0]->finger)->toBe($finger);
})->with([
    ['3', 3],
    ['1-2', 1],
    [' 5 ', 5],
    ['x', null],
]);

test('a finger no hand has is reported at its place', function (): void {
    $piece = one_bar(c4('<notations><technical><fingering>7</fingering></technical></notations>'));
    $checks = Breakdown::of($piece, new Settings())->checks;
    expect($checks[0]->code)->toBe('finger_impossible')
        ->and((string) $checks[0]->place)->toBe('1.1')
        ->and($checks[0]->hand)->toBe(Hand::Right);
});

test('lyrics are read with their hyphens', function (): void {
    $events = right_of(
        c4('<lyric><syllabic>begin</syllabic><text>gar</text></lyric>', 8)
        .c4('<lyric><syllabic>end</syllabic><text>den</text></lyric>', 8),
    );
    expect(array_map(fn (Event $event): string => $event->ink->lyrics[0]->printed(), $events))->toBe(['gar-', 'den']);
});

test('a dynamic stands at its moment, on its staff', function (): void {
    $measure = one_bar(
        '<note><rest/><duration>8</duration></note>'
        .'<direction placement="below"><direction-type><dynamics><mf/></dynamics></direction-type></direction>'
        .c4('', 8),
    )->measures[0];
    expect([$measure->signs[0]->kind, $measure->signs[0]->text, (string) $measure->signs[0]->onset, $measure->signs[0]->staff])
        ->toBe([SignKind::Dynamic, 'mf', '1/2', Hand::Right]);
});

test('tempo comes from the metronome, in quarters, or from the sound', function (string $direction, ?int $tempo, ?int $from): void {
    $piece = one_bar("<direction><direction-type>{$direction}</direction-type></direction>".c4());
    expect([$piece->tempo, $piece->tempoFrom])->toBe([$tempo, $from]);
})->with([
    ['<metronome><beat-unit>quarter</beat-unit><per-minute>92</per-minute></metronome>', 92, null],
    ['<metronome><beat-unit>half</beat-unit><per-minute>60</per-minute></metronome>', 120, null],
    ['<metronome><beat-unit>quarter</beat-unit><beat-unit-dot/><per-minute>60</per-minute></metronome>', 90, null],
    ['<metronome><beat-unit>quarter</beat-unit><per-minute>66-92</per-minute></metronome>', 92, 66],
    ['<words>Gently</words>', null, null],
]);

test('the sound element gives a tempo where none is printed', function (): void {
    expect(one_bar('<sound tempo="104"/>'.c4())->tempo)->toBe(104);
});

test('a rest for the whole measure, and a gap that is skipped, rest', function (): void {
    $events = right_of('<forward><duration>8</duration></forward>'.c4('', 8));
    expect(array_map(fn (Event $event): string => $event->kind()->value, $events))->toBe(['rest', 'note'])
        ->and((string) $events[0]->duration->whole)->toBe('1/2');
});

test('a note without a duration has its type', function (): void {
    $event = right_of('<note><pitch><step>C</step><octave>4</octave></pitch><type>half</type><dot/></note>')[0];
    expect((string) $event->duration->whole)->toBe('3/4');
});

test('triplets are thirds, exactly', function (): void {
    $three = str_repeat('<note><pitch><step>C</step><octave>4</octave></pitch><duration>4</duration></note>', 3);
    $events = MusicXmlReader::read(<<<XML
        <score-partwise><part id="P1"><measure number="1">
          <attributes><divisions>12</divisions><time><beats>1</beats><beat-type>4</beat-type></time></attributes>
          {$three}
        </measure></part></score-partwise>
        XML)->piece->measures[0]->right;
    expect((string) $events[0]->duration->whole)->toBe('1/12')
        ->and((string) $events[2]->end)->toBe('1/4');
});

test('triplets are counted trip let', function (): void {
    $three = str_repeat('<note><pitch><step>C</step><octave>4</octave></pitch><duration>4</duration></note>', 3);
    $report = document(Breakdown::of(MusicXmlReader::read(<<<XML
        <score-partwise><part id="P1"><measure number="1">
          <attributes><divisions>12</divisions><time><beats>2</beats><beat-type>4</beat-type></time></attributes>
          {$three}<note><pitch><step>C</step><octave>4</octave></pitch><duration>12</duration></note>
        </measure></part></score-partwise>
        XML)->piece, new Settings()));
    expect(counted($report, 1))->toBe('1 trip let 2');
});

test('one staff alone is the hand of its clef', function (string $clef, string $hand): void {
    $piece = one_bar(c4(), $clef);
    expect($piece->plays(Hand::from($hand)))->toBeTrue()
        ->and($piece->plays($hand === 'R' ? Hand::Left : Hand::Right))->toBeFalse();
})->with([
    ['<clef><sign>G</sign><line>2</line></clef>', 'R'],
    ['<clef><sign>F</sign><line>4</line></clef>', 'L'],
    ['', 'R'],
]);

test('a second staff is the left hand, even where the staves are not announced', function (): void {
    $piece = one_bar(c4('<staff>1</staff>').'<backup><duration>16</duration></backup>'.c4('<staff>2</staff>'));
    expect($piece->plays(Hand::Left))->toBeTrue();
});

test('the numbers of the page are kept', function (): void {
    $measure = fn (string $attributes): string => "<measure {$attributes}><note><pitch><step>C</step><octave>4</octave></pitch><duration>4</duration></note></measure>";
    $read = fn (string ...$bars): array => array_column(
        MusicXmlReader::read('<score-partwise><part id="P1">'.implode('', array_map($measure, $bars)).'</part></score-partwise>')->piece->measures,
        'number',
    );
    expect($read('number="17"', 'number="18"'))->toBe([17, 18])
        ->and($read('number="1"', 'number="1"'))->toBe([1, 2])
        ->and($read('number="X1"', 'number="2"'))->toBe([1, 2])
        ->and($read('', ''))->toBe([1, 2]);
});

test('added time signatures are one', function (): void {
    $piece = MusicXmlReader::read(<<<'XML'
        <score-partwise><part id="P1"><measure number="1">
          <attributes><divisions>2</divisions><time><beats>3+2</beats><beat-type>8</beat-type></time></attributes>
          <note><pitch><step>C</step><octave>4</octave></pitch><duration>5</duration></note>
        </measure></part></score-partwise>
        XML)->piece;
    expect((string) $piece->meter())->toBe('5/8');
});

test('numbers that are none are refused with their element', function (string $attributes, string $says): void {
    expect(fn () => one_bar(c4(), $attributes))->toThrow(BadInput::class, $says);
})->with([
    ['<key><fifths>9</fifths></key>', "fifths is '9'"],
    ['<key><fifths>NaN</fifths></key>', "fifths is 'NaN'"],
    ['<staves>0</staves>', "staves is '0'"],
    ['<divisions>-4</divisions>', "divisions is '-4'"],
    ['<divisions>99999999</divisions>', 'divisions'],
    ['<time><beats>four</beats><beat-type>4</beat-type></time>', "'four' is not a number of beats"],
    ['<clef><sign>percussion</sign></clef>', 'the clef percussion'],
]);

test('accidentals are printed where the page needs them', function (): void {
    $accidentals = new PrintedAccidentals(Key::parse('G'));
    $shown = fn (string $name): ?string => $accidentals->shown(new Note(Pitch::parse($name)));
    expect($shown('F#4'))->toBeNull()
        ->and($shown('F4'))->toBe('natural')
        ->and($shown('F4'))->toBeNull()
        ->and($shown('F5'))->toBe('natural')
        ->and($shown('F#4'))->toBe('sharp')
        ->and($shown('Bb4'))->toBe('flat')
        ->and($shown('G4'))->toBeNull()
        ->and($accidentals->shown(new Note(Pitch::parse('A#4'), tieStop: true)))->toBeNull();
});

test('short notes of a beat share a beam', function (string $tune, array $beams): void {
    $measure = tune($tune)->measures[0];
    expect(array_map(fn (array $levels): string => implode(' ', $levels), Beams::of($measure, $measure->right)))->toBe($beams);
})->with([
    'pairs in 4/4' => ["R: @c4 v12 q3 v12 v3r\n", [
        'R1-1' => 'begin',
        'R1-2' => 'end',
        'R1-4' => 'begin',
        'R1-5' => 'end',
    ]],
    'threes in 6/8' => ["time: 6/8\nR: @c4 v123 q.4\n", [
        'R1-1' => 'begin',
        'R1-2' => 'continue',
        'R1-3' => 'end',
    ]],
    'sixteenths have two' => ["R: @c4 x1234 v1 x23 h.4\n", [
        'R1-1' => 'begin begin',
        'R1-2' => 'continue continue',
        'R1-3' => 'continue continue',
        'R1-4' => 'end end',
        'R1-5' => 'begin',
        'R1-6' => 'continue begin',
        'R1-7' => 'end end',
    ]],
    'a lone sixteenth has a hook' => ["R: @c4 v.1 x2 h.3\n", [
        'R1-1' => 'begin',
        'R1-2' => 'end backward hook',
    ]],
    'a rest divides a beam' => ["R: @c4 x1 r 2 3 h.4\n", [
        'R1-3' => 'begin begin',
        'R1-4' => 'end end',
    ]],
    'triplets by their written length' => ["R: @c4 {v123} h.4\n", [
        'R1-1' => 'begin',
        'R1-2' => 'continue',
        'R1-3' => 'end',
    ]],
    'never over the beat' => ["R: @c4 q.1 v2 q.3 v4\n", []],
]);

test('a bar is written as it is notated', function (): void {
    $xml = MusicXmlWriter::write(tune("title: A & B\nkey: F\nR: @f4 q.1~ v1 h(13)\n"));
    expect($xml)->toContain('<work-title>A &amp; B</work-title>')
        ->toContain('<fifths>-1</fifths>')
        ->toContain('<divisions>2</divisions>')
        ->toContain("<type>quarter</type>\n    <dot/>")
        ->toContain('<tie type="start"/>')
        ->toContain('<tied type="stop"/>')
        ->toContain("<note id=\"R1-3.1\">\n    <chord/>")
        ->toContain('<fingering>3</fingering>')
        ->toContain('<bar-style>light-heavy</bar-style>');
});

test('a piece can be written without its tempo', function (): void {
    $piece = tune("tempo: 60-92 Gently\nR: @c4 w1\n");
    expect(MusicXmlWriter::write($piece))->toContain('<per-minute>60-92</per-minute>')->toContain('Gently')
        ->and(MusicXmlWriter::write($piece->withoutTempo()))->not->toContain('metronome')->not->toContain('Gently');
});

test('each printed line is a score of its own, with its clefs and key and without the time', function (): void {
    $piece = tune("key: G\ntempo: 90\nR: @g4 w1 2\nL: @5=g3 w5 [treble] c'\nR: q5 f e d [time 3/4] h.1\nL: w e | h. c\n");
    [$first, $second] = MusicXmlWriter::lines($piece);
    expect($first)->toContain('<per-minute>90')->toContain('<measure number="2">')->not->toContain('<measure number="3">')->not->toContain('print-object="no">'."\n     <beats>")
        ->and($second)->toContain('<measure number="3">')->toContain('<fifths>1</fifths>')->toContain('<time print-object="no">')
        ->toContain('<beats>3</beats>')->not->toContain('metronome')
        ->and(substr_count($second, '<sign>G</sign>'))->toBe(2)
        ->and(MusicXmlReader::read($second)->piece->measures[0]->right[1]->lowest()->name())->toBe('F#5')
        ->and($first)->not->toContain('light-heavy')
        ->and($second)->toContain('light-heavy');
});

test('what goes on from line to line is known', function (string $tune, bool $crosses): void {
    expect(LineCrossings::any(tune($tune)))->toBe($crosses);
})->with([
    'nothing' => ["R: @c4 q1_ 2 3_ 4\nR: w1\n", false],
    'a tie' => ["R: @c4 w1~\nR: w1\n", true],
    'a tie inside the line' => ["R: @c4 w1~ 1\nR: w1\n", false],
    'a slur' => ["R: @c4 w1_\nR: w2_\n", true],
    'a hairpin' => ["R: @c4 < w1\nR: w2 .\n", true],
    'an octave line' => ["R: @c4 [8va] w1\nR: w2 [loco]\n", true],
    'the pedal of one staff, ended' => ["R: @c4 w1\nL: [pedal] w c [lift]\nR: w2\n", false],
]);
