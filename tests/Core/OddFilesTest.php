<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Grid;
use Nasturtium\Core\Formats\Midi\MidiReader;
use Nasturtium\Core\Formats\Midi\MidiWriter;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\PartChoice;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Limits;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Sign;

/*
 * Files as other programs write them: what is odd in them is read as it is meant, named, or refused with its place.
 */

/** One bar of 3/4 on two staves, two divisions a quarter, with the given content. */
function odd_bar(string $content, string $attributes = ''): string
{
    return musicxml('<measure number="1">'.GRAND.($attributes === '' ? '' : "<attributes>{$attributes}</attributes>").$content.'</measure>');
}

/** A note of three quarters that fills the bar, with something in it. */
function whole_note(string $more = ''): string
{
    return xml_note('E4', 6, $more);
}

/** @return list<string> */
function named_in(string $xml): array
{
    return array_column(MusicXmlReader::read($xml)->notRead, 'text');
}

function say(string $directionType, string $more = ''): string
{
    return "<direction><direction-type>{$directionType}</direction-type>{$more}</direction>";
}

test('what cannot be kept is named with its bar', function (string $xml, array $named): void {
    expect(named_in($xml))->toBe($named);
})->with(fn (): array => [
    'a time signature inside a bar' => [odd_bar(xml_note('C4', 2).'<attributes><time><beats>2</beats><beat-type>4</beat-type></time></attributes>'.xml_note('D4', 4)), ['Bar 1: time signature inside a bar is not read.']],
    'a mode of old' => [odd_bar(whole_note(), '<key><fifths>0</fifths><mode>dorian</mode></key>'), ["Bar 1: mode 'dorian' is not read."]],
    'a key for one staff alone' => [odd_bar(whole_note(), '<key number="2"><fifths>1</fifths></key>'), ['Bar 1: key signature of one staff alone is not read.']],
    'a chord on both staves' => [odd_bar(whole_note().'<note><chord/><pitch><step>C</step><octave>3</octave></pitch><duration>6</duration><voice>1</voice><staff>2</staff></note>'), ['Bar 1: a chord that stands on both staves is not read.']],
    'a bar line inside a bar' => [odd_bar(xml_note('C4', 2).'<barline location="middle"><bar-style>dashed</bar-style></barline>'.xml_note('D4', 4)), ['Bar 1: bar line inside a bar is not read.']],
    'a fermata on a bar line' => [odd_bar(whole_note().'<barline location="right"><fermata/></barline>'), ['Bar 1: fermata on a bar line is not read.']],
    'a grace note after the last note' => [odd_bar(whole_note().'<note><grace/><pitch><step>D</step><octave>4</octave></pitch><voice>1</voice></note>'), ['Bar 1: grace note after the last note is not read.']],
    'a tie that rings on' => [odd_bar(whole_note('<notations><tied type="let-ring"/></notations>')), ['Bar 1: tie that rings on is not read.']],
    'a tuplet inside a tuplet' => [odd_bar(whole_note('<notations><tuplet type="start" number="2"/></notations>')), ['Bar 1: tuplet inside a tuplet is not read.']],
    'an octave line of another size' => [odd_bar(say('<octave-shift type="down" size="22"/>').whole_note()), ['Bar 1: octave shift of 22 is not read.']],
    'a hairpin of no kind' => [odd_bar(say('<wedge type="sideways"/>').whole_note()), ["Bar 1: wedge 'sideways' is not read."]],
    'a metronome mark of notes alone' => [odd_bar(say('<metronome><metronome-note><metronome-type>quarter</metronome-type></metronome-note></metronome>').whole_note()), ['Bar 1: metronome mark is not read.']],
    'a metronome mark beyond any metronome' => [odd_bar(say('<metronome><beat-unit>quarter</beat-unit><per-minute>0</per-minute></metronome>').whole_note()), ['Bar 1: metronome mark is not read.']],
    'a part that is left out' => [str_replace('</part-list>', '<score-part id="P2"><part-name>Violin</part-name></score-part></part-list>', str_replace('</score-partwise>', '<part id="P2"><measure number="1">'.xml_note('C5', 6).'</measure></part></score-partwise>', odd_bar(whole_note()))), ["Bar 1: the part 'Violin' is left out."]],
    'who translated it' => [str_replace('<part-list>', '<identification><creator type="translator">N. Roe</creator></identification><part-list>', odd_bar(whole_note())), ["Bar 1: translator 'N. Roe' is not read."]],
    'nothing of what is empty' => [str_replace('<part-list>', '<identification><creator type="translator"> </creator></identification><part-list>', odd_bar(say('<words> </words>').whole_note('<lyric><text> </text></lyric>'))), []],
    'nothing where a line goes on' => [odd_bar(say('<wedge type="continue"/>').say('<pedal type="continue"/>').whole_note()), []],
    'nothing of rests that stand for several bars' => [odd_bar(whole_note(), '<measure-style><multiple-rest>2</multiple-rest></measure-style>'), []],
    'nothing of a rest that is not printed' => [odd_bar('<note print-object="no"><rest/><duration>2</duration><voice>1</voice></note>'.xml_note('D4', 4)), []],
]);

test('the same thing is named once, however often it stands in a bar', function (): void {
    expect(named_in(odd_bar(str_repeat(say('<dashes type="start"/>'), 5).whole_note())))->toBe(['Bar 1: dashes is not read.']);
});

/** @return list<string> `kind onset text` of the signs of a bar */
function signs_in(string $xml): array
{
    $measure = MusicXmlReader::read($xml)->piece->measures[0];

    return array_map(static fn (Sign $sign): string => trim("{$sign->kind->value} {$sign->onset} {$sign->text}"), $measure->signs);
}

test('directions stand where they are meant', function (string $content, array $signs): void {
    expect(signs_in(odd_bar($content)))->toBe($signs);
})->with(fn (): array => [
    'at the cursor' => [xml_note('C4', 2).say('<dynamics><p/></dynamics>').xml_note('D4', 4), ['dynamic 1/4 p']],
    'moved by their offset' => [xml_note('C4', 2).say('<dynamics><p/></dynamics>', '<offset>2</offset>').xml_note('D4', 2).xml_note('D4', 2), ['dynamic 1/2 p']],
    'never before the bar' => [say('<dynamics><p/></dynamics>', '<offset>-4</offset>').whole_note(), ['dynamic 0 p']],
    'an offset that is no number is none' => [xml_note('C4', 2).say('<dynamics><p/></dynamics>', '<offset>NaN</offset>').xml_note('D4', 4), ['dynamic 1/4 p']],
    'a pedal that is changed goes up and down' => [say('<pedal type="change"/>').whole_note(), ['pedal end 0', 'pedal 0']],
    'a rehearsal letter is words' => [xml_note('C4', 2).say('<rehearsal>A</rehearsal>').xml_note('D4', 4), ['words 1/4 A']],
    'a dynamic of its own' => [say('<dynamics><other-dynamics>poco f</other-dynamics></dynamics>').whole_note(), ['dynamic 0 poco f']],
    'a dynamic in a note' => [xml_note('C4', 2).xml_note('D4', 4, '<notations><dynamics><mf/></dynamics></notations>'), ['dynamic 1/4 mf']],
    'two octaves above' => [say('<octave-shift type="down" size="15"/>').whole_note(), ['ottava above 0 15']],
    'a tempo in the middle' => [xml_note('C4', 2).say('<metronome><beat-unit>quarter</beat-unit><per-minute>60</per-minute></metronome>').xml_note('D4', 4), ['tempo 1/4']],
]);

test('a tempo is a number, a range, or known by its sound alone', function (string $content, ?int $goal, ?int $from): void {
    $piece = MusicXmlReader::read(odd_bar($content))->piece;
    expect([$piece->tempo, $piece->tempoFrom])->toBe([$goal, $from]);
})->with(fn (): array => [
    [whole_note(), null, null],
    [say('<metronome><beat-unit>quarter</beat-unit><per-minute>92</per-minute></metronome>').whole_note(), 92, null],
    [say('<metronome><beat-unit>quarter</beat-unit><per-minute>c. 60 – 92</per-minute></metronome>').whole_note(), 92, 60],
    ['<sound tempo="71.6"/>'.whole_note(), 72, null],
    ['<sound tempo="-5"/>'.whole_note(), null, null],
    ['<sound tempo="1e9"/>'.whole_note(), null, null],
]);

test('the title is found where it stands', function (string $head, string $title): void {
    $xml = str_replace('<work><work-title>Porch Light</work-title></work>', $head, odd_bar(whole_note()));
    expect(MusicXmlReader::read($xml)->piece->title)->toBe($title);
})->with([
    ['<work><work-title>Porch  Light</work-title></work>', 'Porch Light'],
    ['<movement-title>Back Door</movement-title>', 'Back Door'],
    ['<credit><credit-type>title</credit-type><credit-words>Side Gate</credit-words></credit>', 'Side Gate'],
    ['', 'Untitled'],
]);

/** @return list<string> `onset length pitches` of a hand's first bar */
function notes_in(string $xml, Hand $hand = Hand::Right): array
{
    return array_map(
        static fn (Event $event): string => "{$event->onset} {$event->duration->whole} ".(implode('+', array_map(static fn (Note $note): string => $note->pitch->name(), $event->notes)) ?: 'rest'),
        MusicXmlReader::read($xml)->piece->measures[0]->of($hand),
    );
}

test('divisions may change inside a bar', function (): void {
    expect(notes_in(odd_bar(xml_note('C4', 2).'<attributes><divisions>6</divisions></attributes>'.xml_note('D4', 6).xml_note('E4', 6))))
        ->toBe(['0 1/4 C4', '1/4 1/4 D4', '1/2 1/4 E4']);
});

test('the cursor goes back and forth in any order', function (): void {
    $left = '<backup><duration>4</duration></backup>'.xml_note('C3', 4, '', 2);
    expect(notes_in(odd_bar('<forward><duration>2</duration></forward>'.xml_note('D4', 4).$left.'<backup><duration>99</duration></backup>'.xml_note('C4', 2)), Hand::Right))
        ->toBe(['0 1/4 C4', '1/4 1/2 D4']);
});

test('a note without a type has the length that is counted, one without a count that of its type', function (): void {
    $typed = '<note><pitch><step>C</step><octave>4</octave></pitch><voice>1</voice><staff>1</staff><type>quarter</type><dot/></note>';
    expect(notes_in(odd_bar($typed.xml_note('D4', 3))))->toBe(['0 3/8 C4', '3/8 3/8 D4']);
});

test('thirds of a beat that were rounded are exact again', function (): void {
    $third = static fn (string $pitch, int $counted): string => xml_note($pitch, $counted, '<type>eighth</type><time-modification><actual-notes>3</actual-notes><normal-notes>2</normal-notes></time-modification>');
    $xml = str_replace('<divisions>2</divisions>', '<divisions>100</divisions>', odd_bar($third('C4', 33).$third('D4', 33).$third('E4', 34).xml_note('F4', 200)));
    expect(notes_in($xml))->toBe(['0 1/12 C4', '1/12 1/12 D4', '1/6 1/12 E4', '1/4 1/2 F4']);
});

test('a voice that two programs number alike stays with each staff', function (): void {
    $bar = xml_note('C5', 6, '<voice>1</voice>').'<backup><duration>6</duration></backup>'
        .'<note><pitch><step>C</step><octave>3</octave></pitch><duration>6</duration><voice>1</voice><staff>2</staff></note>';
    expect(notes_in(odd_bar($bar)))->toBe(['0 3/4 C5'])
        ->and(notes_in(odd_bar($bar), Hand::Left))->toBe(['0 3/4 C3']);
});

test('a voice that visits the other staff crosses over and is still its hand', function (): void {
    $visit = '<note><pitch><step>A</step><octave>3</octave></pitch><duration>2</duration><voice>1</voice><staff>2</staff></note>';
    $events = MusicXmlReader::read(odd_bar(xml_note('C4', 2).$visit.xml_note('C4', 2)))->piece->measures[0]->right;
    expect(array_map(static fn (Event $event): bool => $event->crossed, $events))->toBe([false, true, false]);
});

test('what is nonsense is refused with its place', function (string $xml, string $says): void {
    expect(fn () => MusicXmlReader::read($xml))->toThrow(BadInput::class, $says);
})->with(fn (): array => [
    'a chord with nothing to join' => [odd_bar('<note><chord/><pitch><step>C</step><octave>4</octave></pitch><duration>2</duration></note>'), 'Bar 1 (line 5): a chord note has no note before it'],
    'a tuplet of nothing' => [odd_bar(whole_note('<time-modification><actual-notes>0</actual-notes><normal-notes>2</normal-notes></time-modification>')), '0 notes in the time of 2 is not a tuplet'],
    'a tuplet of hundreds' => [odd_bar(whole_note('<time-modification><actual-notes>99</actual-notes><normal-notes>2</normal-notes></time-modification>')), '99 notes in the time of 2'],
    'a time signature of two kinds' => [odd_bar(whole_note(), '<time><beats>2</beats><beat-type>4</beat-type><beats>3</beats><beat-type>8</beat-type></time>'), 'two different note values'],
    'beats that are no number' => [odd_bar(whole_note(), '<time><beats>NaN</beats><beat-type>4</beat-type></time>'), "'NaN' is not a number of beats"],
    'a part of no bars' => [musicxml(''), 'no part in it, so there is nothing to play'],
]);

test('the file names its parts, and asks when it cannot know', function (): void {
    expect(fn () => MusicXmlReader::read(two_parts()))->toThrow(BadInput::class, "Choose the student's")
        ->and(MusicXmlReader::read(two_parts(), new PartChoice('P2', duet: 'P1'))->duet?->plays(Hand::Right))->toBeTrue();
});

test('left-hand bars beyond the end of the right hand are kept', function (): void {
    $longer = str_replace('<part id="P2">', '<part id="P2"><measure number="0" implicit="no"><attributes><divisions>2</divisions><clef><sign>F</sign><line>4</line></clef></attributes>'.xml_note('D3', 8).'</measure>', two_parts());
    $piece = MusicXmlReader::read($longer, new PartChoice('P1', left: 'P2'))->piece;
    expect($piece->measures)->toHaveCount(2)
        ->and($piece->measures[1]->left[0]->lowest()->name())->toBe('C3');
});

test('a grace note keeps its finger, and several of them their chord', function (): void {
    $graces = '<note><grace slash="yes"/><pitch><step>D</step><octave>4</octave></pitch><voice>1</voice><type>eighth</type><notations><technical><fingering>2</fingering></technical></notations></note>'
        .'<note><grace slash="yes"/><chord/><pitch><step>F</step><octave>4</octave></pitch><voice>1</voice><type>eighth</type></note>';
    $piece = MusicXmlReader::read(odd_bar($graces.whole_note()))->piece;
    $read = $piece->measures[0]->right[0]->ink->graces;
    expect(array_map(static fn ($grace): array => [$grace->pitch->name(), $grace->finger, $grace->chord], $read))->toBe([['D4', 2, false], ['F4', null, true]])
        ->and(MusicXmlReader::read(MusicXmlWriter::write($piece))->piece->measures[0]->right[0]->ink->graces)->toEqual($read);
});

/*
 * MIDI files of other programs.
 */

test('bars follow the time signatures of the file', function (): void {
    $bytes = MidiWriter::write(tune("time: 3/4\nR: @c5 q1 2 3 | [time 2/4] q1 2 | [time 3/4] h.5\n"));
    $piece = MidiReader::read($bytes, Grid::Quarters)->piece;
    expect(array_map(static fn ($measure): string => $measure->number.' '.$measure->meter, $piece->measures))->toBe(['1 3/4', '2 2/4', '3 3/4']);
});

test('a MIDI file of hours is refused, not laid out', function (): void {
    // One key, far behind the other: a delta of four bytes.
    $track = "\x00\x90\x3C\x50\x60\x80\x3C\x00\xFF\xFF\xFF\x7F\x90\x3E\x50\x60\x80\x3E\x00\x00\xFF\x2F\x00";
    $bytes = "MThd\x00\x00\x00\x06\x00\x00\x00\x01\x00\x60MTrk".pack('N', strlen($track)).$track;
    expect(fn () => MidiReader::read($bytes))->toThrow(BadInput::class, 'more than '.Limits::MEASURES.' bars');
});
