<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;

test('what is typed, printed and typed again is the same page, in the shorthand and as a file', function (string $text): void {
    $piece = tune($text);
    $printed = ShorthandWriter::write($piece);
    expect($printed->unsaid)->toBe([], $printed->text);
    $again = ShorthandReader::read($printed->text)->piece;
    expect($again === null ? '' : MusicXmlWriter::write($again))->toBe(MusicXmlWriter::write($piece))
        ->and($again === null ? '' : ShorthandWriter::write($again)->text)->toBe($printed->text);
    $read = MusicXmlReader::read(MusicXmlWriter::write($piece));
    expect($read->notRead)->toBe([])
        ->and(ShorthandWriter::write($read->piece)->text)->toBe($printed->text);
})->with('sayable');

test('bars typed as the same as others are written out', function (string $typed, string $meant): void {
    expect(MusicXmlWriter::write(tune($typed)))->toBe(MusicXmlWriter::write(tune($meant)));
})->with([
    'the bar before' => ["R: @c4 q1 2 h3 % | w1\n", "R: @c4 q1 2 h3 | q1 2 h3 | w1\n"],
    'a bar by its number' => ["R: @c4 w1 h2 3 =1 =2\n", "R: @c4 w1 h2 3 w1 h2 3\n"],
    'several bars' => ["R: @c4 w1 h2 3\nL: @5=c3 w5 5\nR: =1-2\nL: =1-2\n", "R: @c4 w1 h2 3\nL: @5=c3 w5 5\nR: w1 h2 3\nL: w5 5\n"],
    'after a pickup' => ["R: @c4 q1 | w2 3 =1 h.1\n", "R: @c4 q1 | w2 3 2 h.1\n"],
]);

test('what the shorthand cannot say is named with its bar', function (string $measures, array $unsaid): void {
    $piece = MusicXmlReader::read(musicxml($measures))->piece;
    expect(ShorthandWriter::write($piece)->unsaid)->toBe($unsaid);
})->with([
    'a number that no metronome has' => [
        '<measure number="1">'.GRAND.'<direction><direction-type><metronome><beat-unit>quarter</beat-unit><per-minute>12</per-minute></metronome></direction-type></direction>'.xml_note('C4', 8).'</measure>',
        ['The head of the piece: its metronome mark.'],
    ],
    'a note below the keyboard under a finger' => ['<measure number="1">'.GRAND.xml_note('D0', 8, '<notations><technical><fingering>2</fingering></technical></notations>').'</measure>', ['Bar 1: the note D0.']],
    'slurs inside one another' => [
        '<measure number="1">'.GRAND.xml_note('C4', 2, '<notations><slur type="start" number="1"/></notations>').xml_note('D4', 2, '<notations><slur type="start" number="2"/></notations>').xml_note('E4', 2, '<notations><slur type="stop" number="1"/><slur type="stop" number="2"/></notations>').'</measure>',
        ['Bar 1: slurs inside one another.'],
    ],
    'a sign inside a note' => [
        '<measure number="1">'.GRAND.xml_note('C4', 6).'<backup><duration>4</duration></backup><direction><direction-type><dynamics><p/></dynamics></direction-type></direction><forward><duration>4</duration></forward></measure>',
        ['Bar 1: the dynamic inside a note.'],
    ],
    'a length that takes two notes' => ['<measure number="1">'.GRAND.'<note><pitch><step>C</step><octave>4</octave></pitch><duration>5</duration></note><note><rest/><duration>1</duration></note></measure>', ['Bar 1: a length of 5/8 of a whole note.']],
    'a chord of grace notes' => [
        '<measure number="1">'.GRAND.'<note><grace slash="yes"/><pitch><step>D</step><octave>4</octave></pitch><voice>1</voice><type>eighth</type></note>'
        .'<note><grace slash="yes"/><chord/><pitch><step>F</step><octave>4</octave></pitch><voice>1</voice><type>eighth</type></note>'.xml_note('C4', 6).'</measure>',
        ['Bar 1: a grace note.'],
    ],
    'a dynamic that is none' => ['<measure number="1">'.GRAND.'<direction><direction-type><dynamics><other-dynamics>poco f</other-dynamics></dynamics></direction-type></direction>'.xml_note('C4', 6).'</measure>', ["Bar 1: 'poco f'."]],
    'words with quotes in them' => [
        '<measure number="1">'.GRAND.xml_note('C4', 2).'<direction placement="above"><direction-type><words>"as if"</words></direction-type></direction>'.xml_note('C4', 4).'</measure>',
        ["Bar 1: '\"as if\"'."],
    ],
    'words under a second voice' => [
        '<measure number="1">'.GRAND.xml_note('C5', 6).'<backup><duration>6</duration></backup><note><pitch><step>C</step><octave>4</octave></pitch><duration>6</duration><voice>2</voice><staff>1</staff><lyric><text>la</text></lyric></note></measure>',
        ['Bar 1: a word at a held note or in a second voice.'],
    ],
    'a dashed bar line' => ['<measure number="4">'.GRAND.xml_note('C4', 6).'<barline location="right"><bar-style>dashed</bar-style></barline></measure><measure number="5">'.xml_note('C4', 6).'</measure>', ['Bar 4: a dashed bar line.']],
]);
