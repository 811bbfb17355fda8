<?php

declare(strict_types=1);

use App\Page\Piece\Piece;
use Illuminate\Http\UploadedFile;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Tests\Fixtures;

test('a book and its pages are added, changed and removed', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $book = $this->postJson('/api/books', ['title' => 'Second Book', 'level' => ''])->assertOk()->json('id');
    $page = $this->postJson("/api/books/{$book}/pages", ['number' => 5, 'kind' => 'theory', 'introduces' => 'ties'])->assertOk()->json('id');
    $this->postJson("/api/books/{$book}/pages", ['number' => 5, 'kind' => 'pieces', 'introduces' => ''])
        ->assertJsonPath('errors.number.0', 'This book has a page 5 already.');
    $this->putJson("/api/pages/{$page}", ['number' => 5, 'kind' => 'pieces', 'introduces' => ''])->assertOk()->assertJsonPath('kind', 'pieces');
    $this->putJson("/api/books/{$book}", ['title' => 'Third Book', 'level' => 'B'])->assertJsonPath('title', 'Third Book');
    $this->deleteJson("/api/pages/{$page}")->assertNoContent();
    $this->deleteJson("/api/books/{$book}")->assertNoContent();
    expect($this->getJson('/api/books')->json())->toHaveCount(1);
});

test('the engraving follows what is typed, with errors at their tokens', function (): void {
    $own = new Fixtures();
    $answer = $this->actingAs($own->teacher)->postJson('/api/shorthand', ['shorthand' => "R: @c4 q1 ? 2 3 4\n"])->assertOk()->json();
    expect($answer['errors'][0])->toMatchArray(['line' => 1, 'column' => 11, 'length' => 1])
        ->and($answer['music'])->toContain('<score-partwise')
        ->and($answer['checks'])->toBe([]);
    $this->postJson('/api/shorthand', ['shorthand' => ''])->assertOk()->assertJson(['music' => null, 'measures' => 0]);
});

test('a typed piece is stored, one with an error is not', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $this->postJson("/api/pages/{$own->page->id}/pieces", ['label' => 'B', 'shorthand' => "title: Short\nR: @c4 w1\n"])
        ->assertOk()->assertJson(['title' => 'Short', 'label' => 'B', 'measures' => 1]);
    $this->postJson("/api/pages/{$own->page->id}/pieces", ['label' => '', 'shorthand' => "R: @c4 w1 ?\n"])
        ->assertJsonPath('errors.shorthand.0', fn (string $text): bool => str_starts_with($text, 'Line 1, column 11:'));
    $this->postJson("/api/pages/{$own->page->id}/pieces", ['label' => '', 'shorthand' => 'title: Nothing'])->assertJsonValidationErrors('shorthand');
    expect(Piece::query()->count())->toBe(2);
});

test('a MusicXML file is stored; a bad one is refused with its place and leaves nothing', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $xml = MusicXmlWriter::write(ShorthandReader::read("title: From a File\nR: @c4 w1\nL: @5=c3 w5\n")->piece);
    $send = fn (string $bytes) => $this->post("/api/pages/{$own->page->id}/pieces", ['label' => '', 'file' => UploadedFile::fake()->createWithContent('page.musicxml', $bytes)], ['Accept' => 'application/json']);
    $send($xml)->assertOk()->assertJson(['title' => 'From a File', 'shorthand' => null]);
    $send(substr($xml, 0, 900))->assertUnprocessable()->assertJsonPath('errors.file.0', fn (string $text): bool => str_contains($text, 'cut short'));
    $send(str_replace('<score-partwise', '<!DOCTYPE x [<!ENTITY a "b">]><score-partwise', $xml))->assertJsonPath('errors.file.0', fn (string $text): bool => str_contains($text, 'entities'));
    $send(str_repeat('x', 5 * 1024 * 1024 + 2000))->assertJsonPath('errors.file.0', fn (string $text): bool => str_contains($text, 'over 5 MB'));
    expect(Piece::query()->count())->toBe(2);
});

test('a bar with too many beats is stored with its check', function (): void {
    $own = new Fixtures();
    $xml = str_replace('<duration>4</duration>', '<duration>5</duration>', MusicXmlWriter::write(ShorthandReader::read("R: @c4 w1 | w1\n")->piece));
    $id = $this->actingAs($own->teacher)->post("/api/pages/{$own->page->id}/pieces", ['label' => '', 'file' => UploadedFile::fake()->createWithContent('p.xml', $xml)], ['Accept' => 'application/json'])->assertOk()->json('id');
    expect($this->getJson("/api/pieces/{$id}/breakdown")->json('report.checks.0'))->toMatchArray(['code' => 'bar_long', 'place' => '1.5', 'hand' => 'R']);
});

test('what a file holds and the page does not is kept with the piece', function (): void {
    $own = new Fixtures();
    $xml = str_replace('<note id="R1-1">', '<harmony><root><root-step>C</root-step></root></harmony><note id="R1-1">', MusicXmlWriter::write(ShorthandReader::read("R: @c4 w1\n")->piece));
    $this->actingAs($own->teacher)->post("/api/pages/{$own->page->id}/pieces", ['label' => '', 'file' => UploadedFile::fake()->createWithContent('p.xml', $xml)], ['Accept' => 'application/json'])
        ->assertOk()->assertJsonPath('notRead', ['Bar 1: chord symbol is not read.']);
});

test('a corrected piece is broken down again', function (): void {
    $own = new Fixtures();
    $fresh = $own->student('Uma', 10);
    $this->actingAs($own->teacher)->postJson("/api/students/{$fresh->id}/learnings", ['pieceId' => $own->piece->id])->assertOk()->assertJsonPath('state', 'current');
    $this->putJson("/api/pieces/{$own->piece->id}", ['label' => '', 'shorthand' => "title: Blue Gate\nR: @c4 w1 | w2\n"])->assertOk();
    expect($fresh->learnings()->firstOrFail()->stages()->count())->toBe(8)
        // What a week holds is put by, not lost.
        ->and($own->learning->stages()->pluck('kind')->map->value->all())->not->toContain('left hand')
        ->and($own->learning->allStages()->where('kind', 'tap and count')->sole()->tasks()->count())->toBe(1);
});

test('the desk reads as the student does', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $plain = $this->getJson("/api/pieces/{$own->piece->id}/breakdown")->assertOk()->json('report');
    $own->student->update(['school' => 'alphabet', 'path' => 'notes', 'counting' => 'units']);
    $other = $this->postJson("/api/pages/{$own->page->id}/pieces", ['label' => 'B', 'shorthand' => "title: After\nR: @c4 q1 2 a r\n"])->json('id');
    $report = $this->getJson("/api/pieces/{$other}/breakdown?student={$own->student->id}")->json('report');
    expect($plain['notes'][0]['route'])->toBe('a landmark: middle C')
        ->and($report['notes'][0]['route'])->toStartWith('treble line 1 is E')
        ->and(array_column($report['notes'], 'status', 'pitch'))->toBe(['A3' => 'new', 'C4' => 'shaky', 'D4' => 'shaky'])
        ->and($report['stages'][1]['name'])->toBe('find and name notes')
        ->and($report['counting'][0]['text'])->toBe('1 1 1 [1]');
});
