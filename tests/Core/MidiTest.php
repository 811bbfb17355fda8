<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Grid;
use Nasturtium\Core\Formats\Midi\Grids;
use Nasturtium\Core\Formats\Midi\MidiFile;
use Nasturtium\Core\Formats\Midi\MidiNote;
use Nasturtium\Core\Formats\Midi\MidiReader;
use Nasturtium\Core\Formats\Midi\MidiWriter;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Performance\Sound;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Piece;
use Tests\FormatFigures;
use Tests\MidiBytes;

/** @return list<string> notes of a file as `track key from+length`, in quarters */
function midi_notes(string $bytes): array
{
    $file = MidiFile::read($bytes);

    return array_map(fn (MidiNote $note): string => "{$note->track} {$note->key} ".($note->from / $file->ticks).'+'.(($note->to - $note->from) / $file->ticks), $file->notes);
}

/** The music lines of what a MIDI file becomes. */
function typed_from(string $bytes, Grid $grid = Grid::Eighths): string
{
    return (string) preg_replace('/^(?![RL]:).*\n/m', '', ShorthandWriter::write(MidiReader::read($bytes, $grid)->piece)->text);
}

test('a piece goes out with a track for each hand, repeats played', function (): void {
    $bytes = MidiWriter::write(tune("title: Back Stairs\ntempo: 120\nR: @c4 q1 r h3 :|\nL: @5=c3 w5\n"));
    expect(midi_notes($bytes))->toBe(['2 48 0+4', '1 60 0+1', '1 64 2+2', '2 48 4+4', '1 60 4+1', '1 64 6+2'])
        ->and(substr($bytes, 0, 14))->toBe('MThd'.pack('Nnnn', 6, 1, 3, 480));
    $file = MidiFile::read($bytes);
    expect([$file->title, $file->tempo, (string) $file->meters[0][1]])->toBe(['Back Stairs', 120, '4/4']);
});

test('triplets and ties are exact in ticks', function (): void {
    $bytes = MidiWriter::write(tune("R: @c4 {v123} h.5~ | h5 {q1 2 3}\n"));
    $file = MidiFile::read($bytes);
    expect(array_map(fn (MidiNote $note): array => [$note->key, $note->from, $note->to], $file->notes))->toBe([
        [60, 0, 160], [62, 160, 320], [64, 320, 480], [67, 480, 2880], [60, 2880, 3200], [62, 3200, 3520], [64, 3520, 3840],
    ]);
});

test('the count-in clicks before the music, less the pickup', function (): void {
    $plain = MidiFile::read(MidiWriter::write(tune("R: @c4 q5 | w1 | h.1\n")));
    $counted = MidiFile::read(MidiWriter::write(tune("R: @c4 q5 | w1 | h.1\n"), countIn: true));
    expect($plain->notes[0]->from)->toBe(0)
        ->and($counted->notes[0]->from)->toBe(3 * 480)
        ->and($counted->notRead)->toBe(['percussion' => true]);
});

test('tempo and time changes stand where they are played', function (): void {
    $file = MidiFile::read(MidiWriter::write(tune("R: @c4 w1 [time 3/4] h.2 [tempo 60] 3\n")));
    expect(array_map(fn (array $meter): array => [$meter[0], (string) $meter[1]], $file->meters))->toBe([[0, '4/4'], [1920, '3/4']]);
});

test('what goes out comes in again', function (string $music): void {
    expect(typed_from(MidiWriter::write(tune($music)), Grid::Sixteenths))->toBe($music);
})->with([
    "R: qc d e f | hg e\nL: wc | hc g,\n",
    "R: ve f q.g vc' qe | h.g qr\nL: hc f, | wc\n",
    "R: wf+ | h.g qa\nL: w(c e) | (d f)\n",
    "R: hc d~ | wd~ | hd qe r\nL: / | wc | /\n",
]);

test('triplets come in on their own grid', function (): void {
    expect(typed_from(MidiWriter::write(tune("R: @c4 {v123} q4 h5 | w1\n")), Grid::Triplets))->toBe("R: { vc d e } qf hg | wc,\n");
});

test('what was played freely is laid on the grid, and what is unsure is marked', function (): void {
    // Four quarters of a beginner: early, late, short, and one between two eighths.
    $read = MidiReader::read(MidiBytes::of([[60, 2, 80], [62, 100, 180], [64, 190, 230], [65, 310, 380], [48, 0, 300]]), Grid::Eighths);
    expect(array_map(fn (Check $check): string => "{$check->code} {$check->place} {$check->hand?->value}", $read->notRead))
        ->toContain('uncertain 1.4 R')
        ->and(ShorthandWriter::write($read->piece)->text)->toContain("R: qc d ve r qf\nL: h.c qr\n");
});

test('hands are told apart by where they are, and a near one is marked', function (): void {
    $read = MidiReader::read(MidiBytes::of([[72, 0, 90], [48, 0, 90], [60, 96, 180], [71, 192, 280], [47, 192, 280]]), Grid::Quarters);
    expect(array_map(fn (Check $check): string => "{$check->place} {$check->text}", $read->notRead))
        ->toBe(['1.2 Bar 1, right hand, on beat 2: look at this note again; it may belong to the other hand.']);
});

test('with none chosen the grid is the longest that the notes stand on', function (string $music, Grid $grid): void {
    $bytes = MidiWriter::write(tune($music));
    expect(Grids::usualOf(MidiFile::read($bytes)))->toBe($grid)
        ->and(MidiReader::read($bytes)->notRead)->toBe([]);
})->with([
    ["R: @c5 q1 2 h3\n", Grid::Quarters],
    ["R: @c5 v1 2 q3 h3\n", Grid::Eighths],
    ["R: @c5 {v123} q4 h5\n", Grid::Triplets],
    ["R: @c5 x1234 q4 h5\n", Grid::Sixteenths],
]);

test('silence before the first note is no bar, half a bar of it a pickup', function (): void {
    $piece = MidiReader::read(MidiBytes::of([[67, 7 * 96, 8 * 96], [60, 8 * 96, 12 * 96]]), Grid::Quarters)->piece;
    expect((string) $piece->pickup()?->length)->toBe('1/4')->and($piece->measures)->toHaveCount(2);
});

test('notes are spelled in their key', function (): void {
    $flats = "\0\xFF\x59\x02\xFD\x00";
    expect(MidiReader::read(MidiBytes::of([[63, 0, 96], [61, 96, 192]], $flats))->piece->measures[0]->right[0]->lowest()->name())->toBe('Eb4')
        ->and(MidiReader::read(MidiBytes::of([[61, 0, 96], [63, 96, 192]]))->piece->measures[0]->right[0]->lowest()->name())->toBe('C#4');
});

test('a damaged file is refused with its place', function (string $bytes, string $says): void {
    expect(fn () => MidiReader::read($bytes))->toThrow(BadInput::class, $says);
})->with([
    'empty' => ['', 'Byte 0: the MIDI file is cut short'],
    'something else' => ['RIFF'.str_repeat('x', 30), 'not a MIDI file'],
    'cut short' => [substr(MidiWriter::write(tune("R: @c4 w1\n")), 0, -10), 'cut short in track 2'],
    'film frames' => ['MThd'.pack('Nnnn', 6, 0, 1, 0xE728), 'film frames'],
    'several songs' => ['MThd'.pack('Nnnn', 6, 2, 1, 96), 'format 2'],
    'no notes' => ['MThd'.pack('Nnnn', 6, 0, 0, 96), 'nothing to play'],
    'no status' => ['MThd'.pack('Nnnn', 6, 0, 1, 96).'MTrk'.pack('N', 3)."\0\x40\x40", 'damaged in track 1'],
    'too large' => [str_repeat('x', 2 * 1024 * 1024 + 1), 'over 2 MB'],
]);

test('one track for both hands is told apart, on pieces that nothing was tuned on', function (): void {
    [$right, $all] = FormatFigures::hands(1001, 1040);
    expect($all)->toBeGreaterThan(1500)->and($right / $all)->toBeGreaterThan(0.97);
});

test('a pickup that nothing says is found where it fits, and none is found where there is none', function (string $pickup, string $length, float $least): void {
    [$right, $all] = FormatFigures::pickups($pickup, $length, 1001, 1040);
    expect($all)->toBeGreaterThan(35)->and($right / $all)->toBeGreaterThanOrEqual($least);
})->with([['', '0', 1.0], ['q3', '1/4', 0.9], ['q3 4', '1/2', 0.85], ['v1 2', '1/4', 0.9]]);

test('a pickup of our own files comes back, also where no silence stands before it', function (string $music): void {
    $piece = tune($music);
    $back = MidiReader::read(MidiWriter::write($piece))->piece;
    expect($back->pickup()?->length)->toEqual($piece->pickup()?->length)->and(count($back->measures))->toBe(count($piece->measures));
})->with([
    ["R: @c4 q3 | q4 5 4 3 | h4 1\n"],
    ["time: 3/4\nR: @g4 v1 2 | q3 4 5 | h1\n"],
    ["R: @c4 q1 2 3 4 | w1\n"],
]);

const PLAYED = [67, 72, 72, 74, 76, 72, 79, 76, 77, 76, 74, 72, 72];

test('a pickup that nobody says is guessed and marked, and the teacher has the last word', function (): void {
    $bytes = MidiBytes::of(array_map(static fn (int $i, int $key): array => [$key, 96 * $i, 96 * $i + 90], array_keys(PLAYED), PLAYED));
    $said = static fn (?Fraction $pickup): ?string => ($length = MidiReader::read($bytes, null, $pickup)->piece->pickup()?->length) === null ? null : (string) $length;
    expect($said(Fraction::of(1, 4)))->toBe('1/4')->and($said(Fraction::zero()))->toBeNull()->and($said(Fraction::of(1, 2)))->toBe('1/2');
    $codes = array_map(static fn (Check $check): string => $check->code, MidiReader::read($bytes)->notRead);
    expect($said(null) === null)->toBe(! in_array('pickup_guessed', $codes, true));
});

test('triplets beside eighths are each on the grid of their bar', function (): void {
    $piece = tune("R: @c4 v1 2 3 4 5 4 3 2 | {v123} {v345} h3 | q1 2 h3\n");
    $heard = static fn (Piece $one): array => array_map(static fn (Sound $sound): string => "{$sound->at} ".implode('+', $sound->keys), Playback::whole($one)->sounds);
    expect($heard(MidiReader::read(MidiWriter::write($piece))->piece))->toBe($heard($piece));
});

test('notes far apart, and keys that no piano has, are refused in words before anything is laid out', function (): void {
    expect(fn () => MidiReader::read(MidiBytes::of([[60, 0, 90], [62, 0x0FFFFF00, 0x0FFFFFF0]])))->toThrow(BadInput::class, 'bars')
        ->and(fn () => MidiReader::read(MidiBytes::of([[3, 0, 96]])))->toThrow(BadInput::class);
});
