<?php

declare(strict_types=1);

use App\Account\Studio;
use App\Archive\PackRows;
use App\Archive\RestoreStudio;
use App\Page\Book;
use App\Page\Page;
use App\Page\Piece\Piece;
use App\Student\Learning\Learning;
use App\Week\Task;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    $this->page = fn (int $number, string $kind, string $title = ''): Page => Page::query()->create(['studio_id' => $this->own->studio->id, 'book_id' => $this->own->book->id, 'number' => $number, 'kind' => $kind, 'title' => $title]);
    $this->open = fn (array $body) => $this->postJson("/api/students/{$this->own->student->id}/learnings", $body);
    $this->next = fn (): array => $this->getJson("/api/lessons/{$this->own->lesson->id}")->json('nextPages');
});

test('a theory page without music is opened, planned, heard and signed off', function (): void {
    $page = ($this->page)(4, 'theory', 'Lines and spaces');
    expect(($this->next)())->toMatchArray([['pieceId' => null, 'pageId' => $page->id, 'bookId' => $this->own->book->id, 'title' => 'Lines and spaces', 'page' => 'Made-up Book, p. 4']]);
    $learning = ($this->open)(['pageId' => $page->id])->assertOk()->json();
    expect($learning)->toMatchArray(['title' => 'Lines and spaces', 'page' => 'Made-up Book, p. 4', 'state' => 'current'])
        ->and($learning['stages'])->toHaveCount(1)
        ->and($learning['stages'][0])->toMatchArray(['name' => 'do the page', 'tempo' => null]);
    // Opened again, it is the same.
    expect(($this->open)(['pageId' => $page->id])->json('id'))->toBe($learning['id'])->and(($this->next)())->toBe([]);
    $week = $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->assertOk()->json();
    $task = Task::query()->where('week_id', $week['id'])->where('learning_id', $learning['id'])->firstOrFail();
    expect([$task->kind->value, $task->half_minutes, $task->bars()->count(), $task->title])->toBe(['theory', 10, 0, 'Do the page']);
    $card = collect($this->getJson("/api/lessons/{$this->own->lesson->id}")->assertOk()->json('cards'))->firstWhere('learningId', $learning['id']);
    expect($card)->toMatchArray(['title' => 'Lines and spaces', 'pieceId' => null]);
    $this->putJson("/api/lessons/{$this->own->lesson->id}/pages/{$learning['id']}", ['mark' => 'pass', 'stageId' => $learning['stages'][0]['id']])->assertOk();
    expect(Learning::query()->findOrFail($learning['id'])->state->value)->toBe('finished');
    // What was written does not come back for review; a page that is played does.
    $due = fn (): array => Learning::query()->tap(fn ($of) => Learning::whereDue($of, CarbonImmutable::parse('2032-01-01')))->pluck('id')->all();
    expect($due())->toBe([]);
    $page->update(['kind' => 'pieces']);
    expect($due())->toBe([$learning['id']]);
});

test('a page without its music is a page like any other, and goes on when the music is typed', function (): void {
    $page = ($this->page)(10, 'pieces');
    $learning = ($this->open)(['pageId' => $page->id])->assertOk()->json();
    $piece = Piece::query()->findOrFail($learning['pieceId']);
    expect($learning['title'])->toBe('Page 10')->and($learning['stages'][0]['name'])->toBe('play the page');
    foreach (['breakdown', 'playback', 'file?format=midi', 'position'] as $of) {
        $this->getJson("/api/pieces/{$piece->id}/{$of}")->assertUnprocessable();
    }
    $this->getJson("/api/pieces/{$piece->id}/breakdown")->assertExactJson(['message' => 'No music is typed for this page yet.']);
    $this->getJson("/api/pieces/{$piece->id}/shorthand")->assertOk()->assertJson(['shorthand' => '']);
    $this->getJson("/api/learnings/{$learning['id']}/ladders")->assertOk();
    $week = $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->assertOk()->json('id');
    $task = Task::query()->where('week_id', $week)->where('learning_id', $learning['id'])->firstOrFail();
    expect($task->kind->value)->toBe('stage');
    // Home has no music of it, and says nothing wrong.
    $this->own->week->newQuery()->whereKey($week)->update(['sent_at' => now()]);
    app('auth')->forgetGuards();
    $this->getJson("/api/home/tasks/{$task->id}", ['Authorization' => "Bearer {$this->own->token}"])->assertOk()->assertJson(['music' => null, 'parts' => [], 'notes' => [], 'rungs' => []]);
    $this->actingAs($this->own->teacher);
    // A slip has no bar to stand in.
    $this->own->lesson->update(['week_id' => $week]);
    $this->postJson("/api/lessons/{$this->own->lesson->id}/slips", ['taskId' => $task->id, 'kind' => 'dynamics', 'measure' => 0, 'hand' => null])->assertJsonPath('errors.measure.0', 'The piece of this task has no such bar.');
    // Its music is typed from the page: the same piece has it, and its stages are those of the path.
    $this->postJson("/api/pages/{$page->id}/pieces", ['shorthand' => Fixtures::TUNE, 'label' => ''])->assertOk()->assertJson(['id' => $piece->id, 'title' => 'Blue Gate']);
    $stages = $this->getJson("/api/learnings/{$learning['id']}")->json('stages.*.name');
    expect($stages)->toContain('tap and count')->not->toContain('play the page')
        ->and(Piece::query()->where('page_id', $page->id)->count())->toBe(1);
    $this->getJson("/api/pieces/{$piece->id}/breakdown")->assertOk();
});

test('what comes next is taken from the books that the student is in, and from no other', function (): void {
    ($this->page)(4, 'pieces', 'Second');
    $other = Book::query()->create(['studio_id' => $this->own->studio->id, 'title' => 'Other Book', 'level' => '']);
    $first = Page::query()->create(['studio_id' => $this->own->studio->id, 'book_id' => $other->id, 'number' => 7, 'title' => 'Elsewhere']);
    $titles = fn (): array => array_column(($this->next)(), 'title');
    expect($titles())->toBe(['Second']);
    $books = $this->putJson("/api/students/{$this->own->student->id}/books/{$other->id}")->assertOk()->json();
    expect($titles())->toBe(['Second', 'Elsewhere'])
        ->and(array_map(fn (array $book): array => [$book['title'], $book['at'], $book['opened'], $book['next']['title'] ?? null], $books))
        ->toBe([['Made-up Book', 'p. 3', 1, 'Second'], ['Other Book', null, 0, 'Elsewhere']]);
    expect($this->getJson("/api/students/{$this->own->student->id}")->json('books.1.title'))->toBe('Other Book');
    $this->deleteJson("/api/students/{$this->own->student->id}/books/{$this->own->book->id}")->assertOk();
    expect($titles())->toBe(['Elsewhere']);
    // A page that is opened brings its book along.
    ($this->open)(['pieceId' => $this->own->piece->id])->assertOk();
    expect($titles())->toBe(['Elsewhere']);
    ($this->open)(['pageId' => $first->id])->assertOk();
    expect($titles())->toBe([]);
    ($this->open)([])->assertJsonValidationErrors('pieceId');
    ($this->open)(['pageId' => (new Fixtures('south'))->page->id])->assertJsonValidationErrors('pageId');
});

test('several pages are added at once, and those that are there stay', function (): void {
    ($this->page)(12, 'theory', 'Stays');
    $add = fn (array $more) => $this->postJson("/api/books/{$this->own->book->id}/pages", ['kind' => 'pieces', 'title' => '', 'introduces' => '', ...$more]);
    $add(['number' => 10, 'last' => 14])->assertOk()->assertJson(['number' => 10]);
    expect(Page::query()->where('book_id', $this->own->book->id)->orderBy('number')->pluck('kind', 'number')->map(fn ($kind) => $kind->value)->all())
        ->toBe([3 => 'pieces', 10 => 'pieces', 11 => 'pieces', 12 => 'theory', 13 => 'pieces', 14 => 'pieces']);
    $add(['number' => 20, 'last' => 19])->assertJsonPath('errors.last.0', 'The last page comes after the first.');
    $add(['number' => 20, 'last' => 20])->assertOk();
    // As the form sends it where only one is wanted.
    $add(['number' => 30, 'last' => null])->assertOk();
    expect(Page::query()->where('book_id', $this->own->book->id)->count())->toBe(8);
});

test('a page without music goes out with its studio and comes back', function (): void {
    $learning = ($this->open)(['pageId' => ($this->page)(4, 'listening', 'Rain')->id])->json();
    $path = app(PackRows::class)->studio($this->own->studio);
    $this->own->studio->delete();
    $empty = Studio::query()->create(['name' => 'New']);
    app(RestoreStudio::class)($empty, $path);
    $piece = Piece::query()->where('studio_id', $empty->id)->where('title', 'Rain')->firstOrFail();
    expect([$piece->music, $piece->measures])->toBe([null, 0])
        ->and(Learning::query()->where('piece_id', $piece->id)->firstOrFail()->stages()->value('name'))->toBe('listen')
        ->and(DB::table('student_books')->where('studio_id', $empty->id)->count())->toBe(1)->and($learning['title'])->toBe('Rain');
});

test('a backup of before books were kept says by what was opened in which a student is', function (): void {
    $files = unzipped(app(PackRows::class)->studio($this->own->studio));
    $this->own->studio->delete();
    unset($files['tables/student_books.jsonl']);
    $restored = function (string $version) use ($files): int {
        $into = Studio::query()->create(['name' => 'New']);
        $manifest = ['version' => $version] + json_decode($files['manifest.json'], true);
        expect(restored_from(['manifest.json' => json_encode($manifest)] + $files, $into))->toBe('taken');
        $count = DB::table('student_books')->where('studio_id', $into->id)->count();
        $into->delete();

        return $count;
    };
    expect($restored('2026_12_01_000001_memberships'))->toBe(1)->and($restored('2026_12_02_000001_books_of_students'))->toBe(0);
});
