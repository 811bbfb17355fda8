<?php

declare(strict_types=1);

use App\Page\Entry\Draft;
use App\Page\Piece\Piece;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Nasturtium\Core\Formats\Midi\MidiFile;
use Nasturtium\Core\Formats\Midi\MidiWriter;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Tests\Fixtures;

/*
 * A page on its way in: what is typed, kept, read from files, and taken out again.
 */

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
});

/** @param array<string, string> $more */
function sent_file(string $bytes, array $more = [], string $path = '/api/readings'): TestResponse
{
    return test()->post($path, ['file' => UploadedFile::fake()->createWithContent('page', $bytes), ...$more], ['Accept' => 'application/json']);
}

test('where each note was typed comes with the engraving, and a fix with its check', function (): void {
    $answer = $this->postJson('/api/shorthand', ['shorthand' => "\nR: @c4 q1 2 | w3\nL: @5=c3 w5 | 5\n"])->assertOk()->json();
    expect($answer['spans'][1])->toBe(['id' => 'R1-2', 'bar' => 0, 'line' => 2, 'column' => 11, 'length' => 1])
        ->and($answer['checks'][0])->toMatchArray(['code' => 'bar_short', 'place' => '1.3', 'hand' => 'R', 'events' => ['R1-2']])
        ->and($answer['checks'][0]['fix'])->toBe(['label' => 'Fill the bar with rest', 'edits' => [['line' => 2, 'column' => 12, 'length' => 0, 'insert' => ' hr q']]]);
});

test('what is typed can be heard before it is saved', function (): void {
    $this->postJson('/api/shorthand/playback', ['shorthand' => "R: @c4 w1 | 2 :|\n"])->assertOk()
        ->assertJsonPath('beats', 16)->assertJsonPath('bars.2', ['index' => 0, 'at' => 8]);
    $this->postJson('/api/shorthand/playback', ['shorthand' => ''])->assertJsonPath('errors.shorthand.0', 'There is no note yet. Begin a line with R or L.');
});

test('the whole of what is typed is swapped, moved and tidied', function (array $change, string $becomes): void {
    $this->postJson('/api/shorthand/changed', ['shorthand' => "R: @c4 q1  2 h3\nL: @5=c3 w5\n", ...$change])->assertOk()
        ->assertJson(['shorthand' => "title: Untitled\ntime: 4/4\n{$becomes}", 'unsaid' => []]);
})->with([
    'swapped' => [['change' => 'swap'], "clefs: bass treble\nR: @f2 w5\nL: qc'^1 d^2 he^3\n"],
    'to G, upwards' => [['change' => 'transpose', 'key' => 'G', 'direction' => 1], "key: G\nR: @g4 q1 2 h3\nL: @5=g3 w5\n"],
    'an octave up' => [['change' => 'octave up'], "R: @c5 q1 2 h3\nL: @5=c4 w5\n"],
    'an octave down' => [['change' => 'octave down'], "R: @c3 q1 2 h3\nL: @5=c2 w5\n"],
    'tidied' => [['change' => 'tidy'], "R: @c4 q1 2 h3\nL: @5=c3 w5\n"],
]);

test('a change that would lose or break something is refused', function (array $body, string $field, string $says): void {
    $this->postJson('/api/shorthand/changed', $body)->assertUnprocessable()->assertJsonPath("errors.{$field}.0", $says);
})->with([
    [['shorthand' => "R: @c4 w1 ?\n", 'change' => 'swap'], 'shorthand', 'Correct what is marked first: what cannot be read would be lost.'],
    [['shorthand' => "R: @c4 w1\n", 'change' => 'transpose'], 'key', 'Say the key it moves to, such as G, Bb or E minor.'],
    [['shorthand' => "R: @c4 w1\n", 'change' => 'transpose', 'key' => 'H'], 'key', "'H' is not a key; write it like G, Bb or E minor."],
    [['shorthand' => "R: w c | c''''\n", 'change' => 'octave up'], 'change', 'Bar 2 would leave the keyboard.'],
]);

test('a draft is kept as it is typed, and a window that has not seen it overwrites nothing', function (string $place): void {
    $at = '/api/'.strtr($place, ['{page}' => "pages/{$this->own->page->id}", '{piece}' => "pieces/{$this->own->piece->id}"]).'/draft';
    $keep = fn (string $text, int $seen) => $this->putJson($at, ['text' => $text, 'label' => 'A', 'revision' => $seen]);
    $this->getJson($at)->assertOk()->assertJson(['text' => '', 'revision' => 0]);
    $keep("R: @c4 q1 \n", 0)->assertOk()->assertJson(['text' => "R: @c4 q1 \n", 'label' => 'A', 'revision' => 1]);
    $keep("R: @c4 q1 2\n", 1)->assertOk()->assertJson(['revision' => 2]);
    $keep("R: @g4 w5\n", 1)->assertConflict()->assertJson(['text' => "R: @c4 q1 2\n", 'revision' => 2]);
    $keep("R: @c4 q1 2\n", 1)->assertOk()->assertJson(['revision' => 2]);
    $keep("R: @g4 w5\n", 2)->assertOk()->assertJson(['revision' => 3]);
    $this->deleteJson($at)->assertNoContent();
    $keep("R: @g4 w4\n", 3)->assertOk()->assertJson(['revision' => 4]);
    expect(Draft::query()->count())->toBe(1);
})->with(['{page}', '{piece}']);

test('saving ends the draft', function (): void {
    $this->putJson("/api/pages/{$this->own->page->id}/draft", ['text' => 'R: @c4 w1', 'label' => '', 'revision' => 0])->assertOk();
    $this->postJson("/api/pages/{$this->own->page->id}/pieces", ['label' => '', 'shorthand' => 'R: @c4 w1'])->assertOk();
    expect(Draft::query()->count())->toBe(0);
});

test('a piece that was saved elsewhere since is not overwritten', function (): void {
    $at = "/api/pieces/{$this->own->piece->id}";
    $this->putJson($at, ['label' => '', 'shorthand' => "title: First\nR: @c4 w1\n", 'revision' => 1])->assertOk()->assertJson(['revision' => 2]);
    $this->putJson($at, ['label' => '', 'shorthand' => "title: Second\nR: @c4 w1\n", 'revision' => 1])->assertConflict()->assertJson(['title' => 'First', 'revision' => 2]);
    expect($this->own->piece->refresh()->title)->toBe('First');
});

test('a file is looked at before it is put on a page', function (): void {
    $xml = str_replace('<note id="R1-1">', '<harmony/><note id="R1-1">', $this->own->piece->music);
    $answer = sent_file($xml)->assertOk()->json();
    expect($answer)->toMatchArray(['kind' => 'score', 'title' => 'Blue Gate', 'measures' => 4, 'unsaid' => []])
        ->and($answer['notRead'][0]['text'])->toBe('Bar 1: chord symbol is not read.')
        ->and($answer['shorthand'])->toContain('R: @c4 q1 2 h3 | q3 4 h5');
    expect(Piece::query()->count())->toBe(1);
});

test('of several parts the student\'s is chosen, and the teacher\'s is kept beside it', function (): void {
    sent_file(two_parts())->assertOk()->assertJson(['music' => null, 'parts' => [['id' => 'P1', 'name' => 'Right'], ['id' => 'P2', 'name' => 'Left']]]);
    sent_file(two_parts(), ['part' => 'P9'])->assertUnprocessable()->assertJsonPath('errors.file.0', fn (string $text): bool => str_contains($text, "no part 'P9'"));
    $id = sent_file(two_parts(), ['part' => 'P1', 'duet' => 'P2', 'label' => ''], "/api/pages/{$this->own->page->id}/pieces")->assertOk()->json('id');
    $piece = Piece::query()->findOrFail($id);
    expect(MusicXmlReader::read($piece->duet ?? '')->piece->measures[0]->left[0]->lowest()->name())->toBe('C3')
        ->and($piece->not_read)->toBe('');
});

test('a MIDI file makes a start, with what is uncertain', function (): void {
    $answer = sent_file(MidiWriter::write(tune("R: q c d e f | w g\nL: w c | c\n")), ['grid' => 'quarter'])->assertOk()->json();
    expect($answer)->toMatchArray(['kind' => 'midi', 'parts' => [], 'measures' => 2])
        ->and($answer['shorthand'])->toContain("R: qc d e f | wg\nL: wc | c\n");
    sent_file('MThd rest is missing')->assertUnprocessable()->assertJsonPath('errors.file.0', fn (string $text): bool => str_starts_with($text, 'Byte '));
    sent_file('x', ['grid' => 'fifths'])->assertJsonValidationErrors('grid');
    $played = MidiWriter::write(tune("R: @c4 q3 | q4 5 4 3 | h4 1\n"));
    $read = fn (array $how): array => sent_file($played, $how)->assertOk()->json();
    expect($read([]))->toMatchArray(['grid' => null, 'pickup' => '1/4'])
        ->and(array_column($read([])['pickups'], 'name', 'length'))->toBe(['0' => 'none', '1/8' => '½ beat', '1/4' => '1 beat', '3/8' => '1½ beats', '1/2' => '2 beats', '5/8' => '2½ beats', '3/4' => '3 beats', '7/8' => '3½ beats'])
        ->and($read(['pickup' => '0'])['pickup'])->toBe('0')->and($read(['pickup' => '3/4'])['pickup'])->toBe('3/4');
    foreach (['1/3', 'x', '1/0', '-1/4', '100/4'] as $bad) {
        sent_file($played, ['pickup' => $bad])->assertJsonValidationErrors('pickup');
    }
});

test('a page of rests alone is not kept', function (): void {
    $this->postJson("/api/pages/{$this->own->page->id}/pieces", ['label' => 'B', 'shorthand' => "R: rw | rw\n"])->assertUnprocessable()->assertJsonPath('errors.shorthand.0', 'There is no note yet. Begin a line with R or L.');
    sent_file(musicxml('<measure number="1">'.GRAND.'<note><rest/><duration>6</duration><voice>1</voice></note></measure>'), ['label' => 'B'], "/api/pages/{$this->own->page->id}/pieces")->assertUnprocessable();
    // One of before this was refused has a breakdown all the same.
    $this->own->piece->update(['music' => MusicXmlWriter::write(tune("R: rw | rw\n")), 'shorthand' => null]);
    $this->getJson("/api/pieces/{$this->own->piece->id}/breakdown")->assertOk();
});

test('a piece goes out in every format', function (): void {
    $at = "/api/pieces/{$this->own->piece->id}/file";
    $file = fn (string $query): string => (string) $this->get("{$at}?{$query}")->assertOk()->getContent();
    expect($file('format=musicxml'))->toBe($this->own->piece->music)
        ->and(MusicXmlReader::read($file('format=mxl'))->piece->title)->toBe('Blue Gate')
        ->and($file('format=txt'))->toBe(Fixtures::TUNE)
        ->and(MidiFile::read($file('format=mid'))->notes[0]->from)->toBe(0)
        ->and(MidiFile::read($file('format=mid&countIn=1'))->notes[0]->from)->toBe(4 * 480);
    $this->own->piece->update(['title' => 'Très "vite"/now']);
    expect((string) $this->get($at)->headers->get('Content-Disposition'))->toContain('filename="Tr_s vite now.musicxml"')->toContain("filename*=utf-8''Tr%C3%A8s%20vite%20now.musicxml");
    $this->getJson("{$at}?format=pdf")->assertJsonValidationErrors('format');
});

test('a piece that came as a file can be typed on', function (): void {
    $id = sent_file($this->own->piece->music, ['label' => 'B'], "/api/pages/{$this->own->page->id}/pieces")->assertOk()->json('id');
    $printed = $this->getJson("/api/pieces/{$id}/shorthand")->assertOk()->assertJson(['unsaid' => []])->json('shorthand');
    $this->putJson("/api/pieces/{$id}", ['label' => 'B', 'shorthand' => $printed, 'revision' => 1])->assertOk();
    expect(Piece::query()->findOrFail($id)->music)->toBe($this->own->piece->music);
});

test('keys that are struck come as the token that means them', function (): void {
    $this->postJson('/api/shorthand/keys', ['text' => "R: @c4 q1 \nL: @5=c3 ", 'keys' => [55, 48]])->assertOk()->assertExactJson(['token' => '(c g)']);
    $this->postJson('/api/shorthand/keys', ['text' => 'title: ', 'keys' => [60]])->assertJsonPath('errors.text.0', fn (string $text): bool => str_starts_with($text, 'Put the cursor'));
    $this->postJson('/api/shorthand/keys', ['text' => 'R: ', 'keys' => [200]])->assertJsonValidationErrors('keys.0');
});

test('a selection of bars is heard as it is written, from its own first beat', function (): void {
    $this->getJson("/api/pieces/{$this->own->piece->id}/playback?first=1&last=2")->assertOk()
        ->assertJsonPath('beats', 8)->assertJsonPath('bars', [['index' => 1, 'at' => 0], ['index' => 2, 'at' => 4]]);
    $this->getJson("/api/pieces/{$this->own->piece->id}/playback")->assertJsonPath('beats', 16);
    $this->getJson("/api/pieces/{$this->own->piece->id}/playback?first=2&last=1")->assertJsonValidationErrors('last');
    $this->postJson('/api/shorthand/playback', ['shorthand' => "R: @c4 q1 | w2 | h.3\n", 'first' => 1, 'last' => 9])->assertOk()->assertJsonPath('counts', ['1', '2', '3', '4']);
});
