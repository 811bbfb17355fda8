<?php

declare(strict_types=1);

use App\Page\Book;
use App\Page\Page;
use App\Page\Piece\Piece;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
});

/** The bytes of a book's archive as it is taken away. */
function book_archive(mixed $test, int $book): string
{
    return (string) $test->get("/api/books/{$book}/archive")->assertOk()->streamedContent();
}

/** @return array<string, mixed> a piece with what the teacher made of it, without its numbers */
function as_it_is(Piece $piece): array
{
    $without = static fn (mixed $row): array => array_diff_key($row->toArray(), array_flip(['id', 'studio_id', 'piece_id']));

    return [...array_diff_key($piece->toArray(), ['id' => 0]), 'fingers' => $piece->ownFingers()->get()->map($without)->all(), 'verdicts' => $piece->verdicts()->get()->map($without)->all()];
}

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
    $piece = Piece::query()->where('label', 'C')->firstOrFail();
    $piece->update(['octave' => 1]);
    $piece->ownFingers()->create(['studio_id' => $piece->studio_id, 'hand' => 'R', 'place' => '1.2', 'pitch' => 'D4', 'finger' => 4]);
    $piece->verdicts()->create(['studio_id' => $piece->studio_id, 'measure' => 2, 'verdict' => 'hard']);
    $archive = book_archive($this, $this->own->book->id);
    $other = new Fixtures('south');
    $this->actingAs($other->teacher);
    $book = sent_file($archive, [], '/api/books/archive')->assertOk()->json();
    $mine = Piece::query()->where('studio_id', $this->own->studio->id)->orderBy('label')->get(['id', 'label', 'title', 'music', 'shorthand', 'duet', 'note_names', 'octave'])->map(as_it_is(...))->all();
    $theirs = Piece::query()->where('studio_id', $other->studio->id)->where('page_id', $book['pages'][0]['id'])->orderBy('label')->get(['id', 'label', 'title', 'music', 'shorthand', 'duet', 'note_names', 'octave'])->map(as_it_is(...))->all();
    expect($book['title'])->toBe('Made-up Book')->and($theirs)->toBe($mine)->and($mine)->toHaveCount(4);
});

test('an archive with something broken in it makes no book', function (): void {
    $archive = zipped(['book.csv' => "title,level\nHalf,\n", 'contents.csv' => "page,title,kind\n1,A,pieces\n", 'pieces.csv' => "page,label,title,music,shorthand,duet\n1,A,x,pieces/1.musicxml,,\n", 'pieces/1.musicxml' => '<html/>']);
    sent_file($archive, [], '/api/books/archive')->assertUnprocessable()->assertJsonPath('errors.file.0', fn (string $text): bool => str_starts_with($text, 'pieces/1.musicxml: '));
    expect(Book::query()->count())->toBe(1);
});

test('a book of 300 pieces goes out and comes back equal, within 128 MB', function (): void {
    $of = ['studio_id' => $this->own->studio->id, 'book_id' => $this->own->book->id];
    $music = $this->own->piece->music;
    for ($number = 0; $number < 300; $number++) {
        $page = Page::query()->firstOrCreate([...$of, 'number' => 100 + intdiv($number, 4)]);
        Piece::query()->create(['studio_id' => $page->studio_id, 'page_id' => $page->id, 'label' => 'ABCD'[$number % 4], 'title' => 'Blue Gate', 'music' => $music, 'octave' => $number % 2, 'measures' => 4, 'note_names' => $this->own->piece->note_names, 'not_read' => '']);
    }
    memory_reset_peak_usage();
    $archive = book_archive($this, $this->own->book->id);
    $other = new Fixtures('south');
    $this->actingAs($other->teacher);
    $book = sent_file($archive, [], '/api/books/archive')->assertOk()->json('id');
    expect(memory_get_peak_usage())->toBeLessThan(128 * 1024 * 1024);
    $all = static fn (int $book): array => Piece::query()->whereIn('page_id', Page::query()->where('book_id', $book)->select('id'))->orderBy('label')->orderBy('octave')->orderBy('title')
        ->get(['id', 'label', 'title', 'music', 'shorthand', 'duet', 'note_names', 'octave'])->map(as_it_is(...))->all();
    expect($all($book))->toBe($all($this->own->book->id))->and($all($book))->toHaveCount(301);
});
