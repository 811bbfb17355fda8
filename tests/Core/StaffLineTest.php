<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\StaffLine;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Pitch;

/*
 * The few bars that a card or a worksheet shows.
 */

/**
 * A bar of tones as `C4 1/4`, a rest as `r 1/8`, marks after it: `A4 1/2 tied start`.
 *
 * @return list<array{0: ?Pitch, 1: Duration, 2?: list<string>}>
 */
function tones(string ...$tones): array
{
    return array_map(static function (string $tone): array {
        [$name, $length, $marks] = [...explode(' ', $tone, 3), '', ''];
        [$over, $under] = array_map(intval(...), explode('/', $length));

        return [$name === 'r' ? null : Pitch::parse($name), Duration::of($over, $under), $marks === '' ? [] : explode(', ', $marks)];
    }, array_values($tones));
}

/** @return list<Measure> */
function read_back(string $music): array
{
    return MusicXmlReader::read($music)->piece->measures;
}

/** @return list<string> the beams of the notes, `-` where one has none */
function beams_in(string $music): array
{
    preg_match_all('~<note.*?</note>~s', $music, $notes);

    return array_map(static fn (string $note): string => preg_match('~<beam number="1">(\w+)</beam>~', $note, $found) === 1 ? $found[1] : '-', $notes[0]);
}

test('bars read back as they were written, with rests, dots and accidentals', function (): void {
    $bars = read_back(StaffLine::write(Clef::Bass, [tones('F#3 3/8', 'r 1/8', 'Bb2 1/2'), tones('C3 1/1')], Meter::parse('4/4')));
    $told = static fn (Measure $bar): array => array_map(static fn (Event $event): array => [$event->isRest() ? 'r' : $event->lowest()->name(), (string) $event->duration->whole, $event->clef->value], $bar->left);
    expect(count($bars))->toBe(2)->and($told($bars[0]))->toBe([['F#3', '3/8', 'bass'], ['r', '1/8', 'bass'], ['Bb2', '1/2', 'bass']])->and($told($bars[1]))->toBe([['C3', '1', 'bass']]);
});

test('every note has a name, counted through the bars', function (): void {
    expect(StaffLine::write(Clef::Treble, [tones('C4 1/2', 'D4 1/2'), tones('E4 1/1')], Meter::parse('4/4')))->toContain('<note id="n1">', '<note id="n2">', '<note id="n3">')->not->toContain('<note id="n4">');
});

test('eighths are beamed within their beat, and a lone one is not', function (string $meter, array $tones, array $beams): void {
    expect(beams_in(StaffLine::write(Clef::Treble, [tones(...$tones)], Meter::parse($meter))))->toBe($beams);
})->with([
    'pairs' => ['4/4', ['C4 1/8', 'D4 1/8', 'E4 1/8', 'F4 1/8', 'G4 1/2'], ['begin', 'end', 'begin', 'end', '-']],
    'a dotted quarter and its eighth' => ['4/4', ['C4 3/8', 'D4 1/8', 'E4 1/2'], ['-', '-', '-']],
    'a rest within the beat' => ['2/4', ['r 1/8', 'D4 1/8', 'E4 1/4'], ['-', '-', '-']],
    'threes in compound time' => ['6/8', ['C4 1/8', 'D4 1/8', 'E4 1/8', 'F4 1/8', 'E4 1/8', 'D4 1/8'], ['begin', 'continue', 'end', 'begin', 'continue', 'end']],
    'sixteenths' => ['2/4', ['C4 1/16', 'D4 1/16', 'E4 1/8', 'C4 1/4'], ['begin', 'continue', 'end', '-']],
]);

test('notes without a time have no stems, no time signature and no bar lines', function (): void {
    $music = StaffLine::write(Clef::Treble, [tones('C4 1/4', 'G4 1/4')]);
    expect($music)->toContain('<time print-object="no">', '<stem>none</stem>', '<bar-style>none</bar-style>')
        ->and(StaffLine::write(Clef::Treble, [tones('C4 1/1')], Meter::parse('4/4')))->not->toContain('<stem>none</stem>')->not->toContain('bar-style')
        ->and(StaffLine::write(Clef::Treble, [tones('C4 1/1')], Meter::parse('4/4'), true))->toContain('<bar-style>none</bar-style>')->not->toContain('print-object');
});

test('bars have numbers only where they are asked for', function (): void {
    $bars = [tones('C4 1/1'), tones('D4 1/1')];
    expect(StaffLine::write(Clef::Treble, $bars, Meter::parse('4/4')))->not->toContain('number="2"')->toContain('<measure number="">')
        ->and(StaffLine::write(Clef::Treble, $bars, Meter::parse('4/4'), numbered: true))->toContain('<measure number="1">', '<measure number="2">');
});

test('marks, ties and slurs stand at their notes', function (): void {
    $bar = read_back(StaffLine::write(Clef::Treble, [tones('A4 1/4 staccato', 'A4 1/4 accent', 'A4 1/4 tied start', 'A4 1/4 tied stop, fermata')], Meter::parse('4/4')))[0]->right;
    expect($bar[0]->has(Mark::Staccato))->toBeTrue()->and($bar[1]->has(Mark::Accent))->toBeTrue()
        ->and($bar[2]->notes[0]->tieStart)->toBeTrue()->and($bar[3]->notes[0]->tieStop)->toBeTrue()->and($bar[3]->has(Mark::Fermata))->toBeTrue();
    expect(StaffLine::write(Clef::Treble, [tones('A4 1/2 slur start', 'B4 1/2 slur stop')], Meter::parse('4/4')))->toContain('<slur type="start" number="1"/>', '<slur type="stop" number="1"/>');
});

test('a staff without a note is a staff all the same', function (): void {
    expect(StaffLine::write(Clef::Bass, [[]]))->toContain('<sign>F</sign>')->not->toContain('<note');
});
