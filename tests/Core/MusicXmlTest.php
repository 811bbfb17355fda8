<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\PartChoice;
use Nasturtium\Core\Formats\ScorePart;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Hand;

test('a grand staff is read hand by hand', function (): void {
    $report = read_report(musicxml(
        '<measure number="0" implicit="yes">'.GRAND.xml_note('G4', 2, '<notations><technical><fingering>5</fingering></technical></notations>').'<backup><duration>2</duration></backup><note><rest/><duration>2</duration><voice>2</voice><staff>2</staff></note></measure>'
        .'<measure number="1"><print new-system="yes"/><barline location="left"><repeat direction="forward"/></barline>'.xml_note('E4', 3, '<tie type="start"/>').xml_note('F4', 1).xml_note('E4', 2).'<backup><duration>6</duration></backup>'.xml_note('C3', 6, '', 2).xml_note('G3', 6, '', 2).'</measure>'
        .'<measure number="2">'.xml_note('C4', 4).'<barline location="right"><repeat direction="backward"/></barline></measure>',
    ));
    expect($report['piece'])->toMatchArray(['title' => 'Porch Light', 'measures' => 3, 'pickup' => '1', 'time' => '3/4', 'key' => 'C major', 'lines' => 2])
        ->and(each_event($report, 'place'))->toBe(['0.3', '1.1', '1.2+1/2', '1.3', '2.1'])
        ->and(each_event($report, 'pitches'))->toBe([['G4'], ['E4'], ['F4'], ['E4'], ['C4']])
        ->and($report['play_order'])->toBe([0, 1, 2, 1, 2])
        ->and(array_column($report['checks'], 'code'))->toBe(['tie_broken', 'bar_long']);
});

test('chords, backup in any order, changing divisions and a clef change are read', function (): void {
    $chordNote = '<note><chord/><pitch><step>E</step><octave>4</octave></pitch><duration>6</duration><voice>1</voice><staff>1</staff></note>';
    $report = read_report(musicxml(
        '<measure number="1">'.GRAND.xml_note('C3', 6, '', 2).'<backup><duration>6</duration></backup>'.xml_note('C4', 6).$chordNote.'</measure>'
        .'<measure number="2"><attributes><divisions>4</divisions><clef number="2"><sign>G</sign><line>2</line></clef></attributes>'.xml_note('G4', 12).'<backup><duration>12</duration></backup>'.xml_note('E4', 12, '', 2).'</measure>',
    ));
    expect(each_event($report, 'kind'))->toBe(['chord', 'note'])
        ->and(each_event($report, 'staff', 'L'))->toBe([['space 2'], ['line 1']])
        ->and(each_event($report, 'clef', 'L'))->toBe(['bass', 'treble'])
        ->and($report['checks'])->toBe([]);
});

test('what is not read is listed with its bar', function (): void {
    $report = read_report(musicxml(
        '<measure number="1">'.GRAND.'<harmony><root><root-step>C</root-step></root></harmony>'
        .'<direction><direction-type><words>Slowly</words></direction-type></direction>'.xml_note('C4', 6, '<notations><glissando type="start"/></notations>').'</measure>'
        .'<measure number="2"><note><unpitched/><duration>2</duration><voice>1</voice></note>'.xml_note('C4', 4).'<figured-bass/></measure>',
    ));
    expect(array_column($report['checks'], 'text'))->toBe([
        'Bar 1: chord symbol is not read.', 'Bar 1: glissando is not read.', 'Bar 2: unpitched note is not read.', 'Bar 2: figured bass is not read.',
    ])->and($report['piece']['tempo_words'])->toBe('Slowly')->and(each_event($report, 'pitches'))->toBe([['C4'], [], ['C4']]);
});

test('a first bar that the last one completes is a pickup, whatever its number', function (): void {
    $report = read_report(musicxml('<measure number="1">'.GRAND.xml_note('C4', 2).'</measure><measure number="2">'.xml_note('C4', 6).'</measure><measure number="3">'.xml_note('C4', 4).'</measure>'));
    expect($report['piece']['pickup'])->toBe('1')->and($report['play_order'])->toBe([0, 1, 2]);
});

test('a page written and read again is the same page', function (string $shorthand): void {
    $piece = tune($shorthand);
    $xml = MusicXmlWriter::write($piece);
    $again = MusicXmlReader::read($xml);
    expect($again->notRead)->toBe([])
        ->and(MusicXmlWriter::write($again->piece))->toBe($xml)
        ->and(document(Breakdown::of($again->piece, new Settings())))->toBe(document(Breakdown::of($piece, new Settings())));
})->with([
    "title: Two Doors\ncomposer: N. Ilmari\nkey: D\ntempo: 60-92 Walking\nR: @d4 q1 2 h3 | v1234 q5 r\nR: w1 | /\nL: @5=d3 w5 | w1\nL: / | (531)\n",
    "time: 3/4\nkey: E minor\nclefs: treble treble\nR: @e4 q5 | h.3~ | 3 | q1 f+ g | h1 :|\nL: @5=b3 q r | h.5 | 3 | 1 | h5\n",
    "R: @c4 w1 |: q1 f+ f f- | w2 [1 w3 :| [2 w4 |\n",
    "time: 6/8\nR: @c4 q.1 v123 | h.5\nL: @5=c3 h.5 | q5 v1 q.3\n",
]);

test('of several parts the named one is read, and the others are named', function (): void {
    $score = MusicXmlReader::read(two_parts(), new PartChoice('P2'));
    expect($score->piece->plays(Hand::Left))->toBeTrue()
        ->and($score->piece->plays(Hand::Right))->toBeFalse()
        ->and(array_column($score->notRead, 'text'))->toBe(["Bar 1: the part 'Right' is left out."])
        ->and(array_map(fn (ScorePart $part): array => [$part->id, $part->name, $part->staves, $part->notes], MusicXmlReader::parts(two_parts())))
        ->toBe([['P1', 'Right', 1, 1], ['P2', 'Left', 1, 1]])
        ->and(fn () => MusicXmlReader::read(two_parts(), new PartChoice('P9')))->toThrow(BadInput::class, "no part 'P9'");
});

test('two parts may be the two hands, or the student and the teacher', function (): void {
    $hands = MusicXmlReader::read(two_parts(), new PartChoice('P1', left: 'P2'));
    expect($hands->piece->measures[0]->right[0]->lowest()->name())->toBe('G4')
        ->and($hands->piece->measures[0]->left[0]->lowest()->name())->toBe('C3')
        ->and($hands->piece->measures[0]->left[0]->clef)->toBe(Clef::Bass)
        ->and($hands->notRead)->toBe([]);
    $duet = MusicXmlReader::read(two_parts(), new PartChoice('P1', duet: 'P2'));
    expect($duet->piece->plays(Hand::Left))->toBeFalse()
        ->and($duet->duet?->measures[0]->left[0]->lowest()->name())->toBe('C3')
        ->and($duet->notRead)->toBe([]);
});

test('a timewise file is the same page', function (): void {
    $note = fn (string $pitch): string => xml_note($pitch, 6);
    $partwise = musicxml('<measure number="1">'.GRAND.$note('C4').'</measure><measure number="2">'.$note('D4').'</measure>');
    $timewise = '<score-timewise version="4.0"><work><work-title>Porch Light</work-title></work><part-list><score-part id="P1"><part-name>Piano</part-name></score-part></part-list>'
        .'<measure number="1"><part id="P1">'.GRAND.$note('C4').'</part></measure><measure number="2"><part id="P1">'.$note('D4').'</part></measure></score-timewise>';
    expect(MusicXmlWriter::write(MusicXmlReader::read($timewise)->piece))->toBe(MusicXmlWriter::write(MusicXmlReader::read($partwise)->piece));
});

test('a compressed score is read', function (): void {
    $mxl = zipped(['META-INF/container.xml' => CONTAINER, 'score.xml' => musicxml('<measure number="1">'.GRAND.xml_note('C4', 6).'</measure>')]);
    expect(MusicXmlReader::read($mxl)->piece->title)->toBe('Porch Light');
});

test('a document type that only names the format is no harm', function (): void {
    $prolog = '<?xml version="1.0"?><!DOCTYPE score-partwise PUBLIC "-//Recordare//DTD MusicXML 4.0 Partwise//EN" "http://www.musicxml.org/dtds/partwise.dtd">';
    expect(MusicXmlReader::read(musicxml('<measure number="1">'.GRAND.xml_note('C4', 6).'</measure>', $prolog))->piece->measures)->toHaveCount(1);
});

test('bad input is refused with its place and what to do', function (Closure $bytes, string $says): void {
    expect(fn () => MusicXmlReader::read($bytes()))->toThrow(BadInput::class, $says);
})->with([
    'empty' => [fn () => "  \n", 'empty'],
    'not XML' => [fn () => 'just some words', 'Line 1: this is not MusicXML'],
    'another document' => [fn () => '<html><body/></html>', 'begins with <html>'],
    'cut short' => [fn () => substr(musicxml('<measure number="1">'.GRAND.xml_note('C4', 6).'</measure>'), 0, -40), 'cut short or damaged in bar 1'],
    'external entity' => [fn () => musicxml('', "<?xml version=\"1.0\"?>\n<!DOCTYPE score-partwise [<!ENTITY x SYSTEM \"file:///etc/passwd\">]>"), 'Line 2: the file declares entities'],
    'nested entities' => [fn () => musicxml('', '<?xml version="1.0"?><!DOCTYPE a [<!ENTITY b "bbbb"><!ENTITY c "&b;&b;&b;">]>'), 'declares entities'],
    'over 5 MB' => [fn () => str_repeat('x', 5 * 1024 * 1024 + 1), 'over 5 MB'],
    'archive that swells' => [fn () => zipped(['META-INF/container.xml' => CONTAINER, 'score.xml' => str_repeat(' ', 51 * 1024 * 1024)]), 'more than 50 MB'],
    'archive without a score' => [fn () => zipped(['other.txt' => 'x']), 'META-INF/container.xml'],
    'archive cut short' => [fn () => substr(zipped(['META-INF/container.xml' => CONTAINER]), 0, 40), 'cut short or damaged'],
    'no part' => [fn () => '<score-partwise/>', 'nothing to play'],
    'no notes' => [fn () => musicxml('<measure number="1">'.GRAND.'<note><rest/><duration>6</duration></note></measure>'), 'nothing to play'],
    'several parts' => [fn () => two_parts(), "2 parts: P1 (Right), P2 (Left). Choose the student's."],
    'no pitch' => [fn () => musicxml('<measure number="7">'.GRAND.'<note><pitch><step>H</step><octave>4</octave></pitch><duration>2</duration></note></measure>'), 'Bar 7 (line 5)'],
    'a negative duration' => [fn () => musicxml('<measure number="1">'.GRAND.xml_note('C4', -2).'</measure>'), "the duration '-2'"],
    'no divisions' => [fn () => musicxml('<measure number="1"><attributes><divisions>0</divisions></attributes></measure>'), 'divisions'],
    'a time signature that is none' => [fn () => musicxml('<measure number="3"><attributes><time><beats>4</beats><beat-type>5</beat-type></time></attributes></measure>'), 'Bar 3'],
    'a clef of drums' => [fn () => musicxml('<measure number="1"><attributes><clef><sign>percussion</sign></clef></attributes></measure>'), 'the clef percussion cannot be read'],
]);
