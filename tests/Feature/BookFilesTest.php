<?php

declare(strict_types=1);

use App\Models\Book;
use App\Models\Page;
use App\Models\Piece;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
});

test('a table of contents adds pages and brings others up to date, or does nothing', function (): void {
    $at = "/api/books/{$this->own->book->id}/contents";
    sent_file("page,title,kind,introduces\n3,Blue Gate,pieces,steps\n4,Owl and Mole,duet,echo\nx,None,pieces,\n", [], $at)
        ->assertUnprocessable()->assertJsonPath('errors.file', ["Row 4: 'x' is not a page number from 1 to 999."]);
    expect(Page::query()->count())->toBe(1);
    $pages = sent_file("page,title,kind,introduces\n3,Blue Gate,pieces,steps\n4,Owl and Mole,duet,echo\n", [], $at)->assertOk()->json('pages');
    expect(array_column($pages, 'title', 'number'))->toBe([3 => 'Blue Gate', 4 => 'Owl and Mole'])
        ->and($pages[0]['pieces'])->toHaveCount(1);
    expect((string) $this->get($at)->assertOk()->getContent())->toBe("\u{FEFF}page,title,kind,introduces\r\n3,Blue Gate,pieces,steps\r\n4,Owl and Mole,duet,echo\r\n");
});

test('a book goes out as an archive and comes back the same, in another studio too', function (): void {
    $this->postJson("/api/pages/{$this->own->page->id}/pieces", ['label' => 'B', 'shorthand' => "title: Second\nR: @c4 w1\n"])->assertOk();
    sent_file($this->own->piece->music, ['label' => 'C'], "/api/pages/{$this->own->page->id}/pieces")->assertOk();
    sent_file(two_parts(), ['part' => 'P1', 'duet' => 'P2', 'label' => 'D'], "/api/pages/{$this->own->page->id}/pieces")->assertOk();
    $archive = (string) $this->get("/api/books/{$this->own->book->id}/archive")->assertOk()->getContent();
    $other = new Fixtures('south');
    $this->actingAs($other->teacher);
    $book = sent_file($archive, [], '/api/books/archive')->assertOk()->json();
    $mine = Piece::query()->where('studio_id', $this->own->studio->id)->orderBy('label')->get(['label', 'title', 'music', 'shorthand', 'duet', 'note_names'])->toArray();
    $theirs = Piece::query()->where('studio_id', $other->studio->id)->where('page_id', $book['pages'][0]['id'])->orderBy('label')->get(['label', 'title', 'music', 'shorthand', 'duet', 'note_names'])->toArray();
    expect($book['title'])->toBe('Made-up Book')->and($theirs)->toBe($mine)->and($mine)->toHaveCount(4);
});

test('an archive with something broken in it makes no book', function (): void {
    $archive = zipped(['book.csv' => "title,level\nHalf,\n", 'contents.csv' => "page,title,kind\n1,A,pieces\n", 'pieces.csv' => "page,label,title,music,shorthand,duet\n1,A,x,pieces/1.musicxml,,\n", 'pieces/1.musicxml' => '<html/>']);
    sent_file($archive, [], '/api/books/archive')->assertUnprocessable()->assertJsonPath('errors.file.0', fn (string $text): bool => str_starts_with($text, 'pieces/1.musicxml: '));
    expect(Book::query()->count())->toBe(1);
});
