<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Midi\MidiFile;
use Nasturtium\Core\Formats\Midi\MidiWriter;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\ScoreFile;
use Nasturtium\Core\Pattern\StickingPoint;
use Nasturtium\Core\Pattern\StickingPoints;
use Nasturtium\Core\Pattern\Verdict;
use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Score\Limits;

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

test('a thorn has 5 points at least, and two thirds of the hardest place', function (array $scores, array $thorns): void {
    $points = array_map(static fn (int $score, int $at): StickingPoint => new StickingPoint($at, [], $score, null), $scores, array_keys($scores));
    expect(StickingPoints::thorns($points))->toBe($thorns);
})->with([
    [[5, 4], [0]],
    [[4, 4], []],
    [[9, 6, 5], [0, 1]],
    [[10, 7, 6], [0, 1]],
    [[], []],
]);

test('what the teacher says counts, and is no measure for the others', function (): void {
    $points = [new StickingPoint(0, [], 30, Verdict::Hard), new StickingPoint(1, [], 6, null), new StickingPoint(2, [], 0, Verdict::Easy), new StickingPoint(3, [], 4, null)];
    expect(StickingPoints::thorns($points))->toBe([0, 1]);
});

test('a ladder with no start begins at the mark below 60 of 100 parts of its goal', function (int $goal, int $from): void {
    expect(TempoLadder::for(tune("tempo: {$goal}\nR: @c4 w1\n"))->from)->toBe($from);
})->with([[100, 60], [99, 58], [120, 72], [119, 69], [60, 40], [70, 42], [69, 40]]);

test('of a note the report says all that it promises', function (): void {
    expect(array_keys(broken_down("R: @c4 q1 2 3 4\n")['notes'][0]))->toEqualCanonicalizing(['clef', 'pitch', 'times', 'first', 'status', 'route', 'landmark', 'steps', 'staff', 'key', 'midi', 'events']);
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
