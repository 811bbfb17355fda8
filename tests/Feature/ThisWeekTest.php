<?php

declare(strict_types=1);

use App\Account\Studio;
use App\Demo\Chance;
use App\Lesson\Lesson;
use App\Page\Book;
use App\Page\Piece\Piece;
use App\Student\Learning\NextPageResource;
use App\Student\Learning\NextPages;
use App\Student\Learning\StudentBooks;
use App\Week\Week;
use Tests\Fixtures;

/*
 * The first screen and the next pages are found by the database; here they are held against what one would find by hand.
 */

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    $this->travelTo('2031-05-07 10:00:00');
    Week::query()->delete();
    $this->lesson = fn (): array => array_values(array_intersect_key($this->getJson('/api/this-week')->assertOk()->json('0'), array_flip(['lessonOn', 'lessonTime'])));
    $this->change = fn (array $more) => Lesson::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, ...$more]);
    $this->holiday = fn (string $from, string $to, array $more = []) => $this->postJson('/api/holidays', ['label' => 'Away', 'studentId' => null, 'from' => $from, 'to' => $to, 'lessons' => false, 'practice' => false, ...$more])->assertSuccessful();
});

test('the next lesson is that of the timetable', function (): void {
    expect(($this->lesson)())->toBe(['2031-05-12', '15:00']);
    $this->own->student->update(['second_weekday' => 4, 'second_time' => '17:30']);
    expect(($this->lesson)())->toBe(['2031-05-08', '17:30']);
    $this->travelTo('2031-05-12 09:00:00');
    expect(($this->lesson)())->toBe(['2031-05-12', '15:00']);
});

test('the next lesson gives way to what was agreed', function (array $change, array $is): void {
    ($this->change)($change);
    expect(($this->lesson)())->toBe($is);
})->with([
    'moved to an earlier day, at another time' => [['state' => 'moved', 'slot_on' => '2031-05-12', 'held_on' => '2031-05-09', 'at' => '18:15:00'], ['2031-05-09', '18:15']],
    'moved to a later day' => [['state' => 'moved', 'slot_on' => '2031-05-12', 'held_on' => '2031-05-14'], ['2031-05-14', '15:00']],
    'one that is over, moved to a day ahead' => [['state' => 'moved', 'slot_on' => '2031-05-05', 'held_on' => '2031-05-08'], ['2031-05-08', '15:00']],
    'held already, before its day' => [['state' => 'moved', 'slot_on' => '2031-05-12', 'held_on' => '2031-05-06'], ['2031-05-19', '15:00']],
    'cancelled' => [['state' => 'cancelled', 'slot_on' => '2031-05-12', 'held_on' => '2031-05-12'], ['2031-05-19', '15:00']],
    'made up for' => [['state' => 'make-up', 'held_on' => '2031-05-10', 'at' => '11:00:00'], ['2031-05-10', '11:00']],
    'of long ago' => [['state' => 'moved', 'slot_on' => '2031-03-03', 'held_on' => '2031-03-04'], ['2031-05-12', '15:00']],
]);

test('holidays of all and of one student move the lesson and empty the leaf', function (): void {
    ($this->holiday)('2031-05-10', '2031-05-13');
    expect(($this->lesson)())->toBe(['2031-05-19', '15:00']);
    ($this->holiday)('2031-05-19', '2031-05-19', ['studentId' => $this->own->student->id]);
    expect(($this->lesson)())->toBe(['2031-05-26', '15:00']);
    $other = $this->own->student('Uwe', 8);
    $rows = array_column($this->getJson('/api/this-week')->json(), 'lessonOn', 'studentId');
    expect($rows[$other->id])->toBe('2031-05-19')->and($rows[$this->own->student->id])->toBe('2031-05-26');
    $week = $this->postJson("/api/students/{$other->id}/weeks", [])->assertOk()->json();
    $leaf = collect($this->getJson('/api/this-week')->json())->firstWhere('studentId', $other->id)['leaf'];
    $days = array_map(fn (array $day): array => array_diff_key($day, ['taskIds' => 0, 'each' => 0]), $week['days']);
    expect($leaf)->toBe($days)->and(array_column($leaf, 'minutes', 'date')['2031-05-12'])->toBe(0);
});

test('the next pages are what one finds by turning the pages', function (): void {
    $chance = new Chance(3);
    foreach ([1, 2, 3, 4] as $nth) {
        $book = Book::query()->create(['studio_id' => $this->own->studio->id, 'title' => "Book {$nth}", 'level' => '']);
        for ($number = 1; $number <= 8; $number++) {
            $page = $book->pages()->create(['studio_id' => $this->own->studio->id, 'number' => $number]);
            foreach ($chance->oneIn(3) ? ['A', 'B'] : [''] as $label) {
                $this->own->piece->replicate()->fill(['page_id' => $page->id, 'label' => $label, 'title' => "{$nth}, {$number}{$label}"])->save();
            }
        }
    }
    for ($round = 1; $round <= 25; $round++) {
        $this->own->student->learnings()->delete();
        DB::table('skipped_pages')->delete();
        DB::table('student_books')->delete();
        $found = [];
        foreach (Book::query()->with('pages')->orderBy('id')->get() as $book) {
            [$next, $isIn] = [null, false];
            foreach ($book->pages->sortBy('number') as $page) {
                $skipped = $chance->oneIn(4);
                DB::table('skipped_pages')->insert($skipped ? [['studio_id' => $book->studio_id, 'student_id' => $this->own->student->id, 'page_id' => $page->id]] : []);
                foreach (Piece::query()->where('page_id', $page->id)->orderBy('label')->get() as $piece) {
                    if ($book->id % 2 === $round % 2 && $chance->oneIn(6)) {
                        $this->own->student->learnings()->create(['studio_id' => $book->studio_id, 'piece_id' => $piece->id, 'path' => 'beat', 'state' => 'finished', 'opened_on' => '2031-01-01']);
                        [$next, $isIn] = [null, true];
                    } elseif (! $skipped) {
                        $next ??= $piece->title;
                    }
                }
            }
            if ($isIn || $chance->oneIn(2)) {
                StudentBooks::enter($this->own->student, $book->id);
                $found[] = [$next, $book->id];
            }
        }
        $found = array_values(array_filter($found, fn (array $one): bool => $one[0] !== null));
        expect(array_map(fn (NextPageResource $one): array => [$one->title, $one->bookId], NextPages::of($this->own->student->id)))->toBe($found, "round {$round}");
    }
});

test('a lesson that is finished is shown as held, and the next one is another student', function (): void {
    $this->travelTo(Fixtures::MONDAY.' 10:00:00');
    $row = fn (): array => collect($this->getJson('/api/this-week')->assertOk()->json())->firstWhere('studentId', $this->own->student->id);
    expect($row())->toMatchArray(['lessonOn' => Fixtures::MONDAY, 'held' => false]);
    $this->putJson("/api/lessons/{$this->own->lesson->id}/finished")->assertOk();
    expect($row())->toMatchArray(['lessonOn' => Fixtures::MONDAY, 'held' => true]);
});

test('a new studio is shown how far it has come, and one that has sent a plan has come all the way for good', function (): void {
    $steps = fn (): array => array_values($this->getJson('/api/first-steps')->assertOk()->json());
    expect($steps())->toBe([true, true, false, false]);
    $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->assertOk();
    expect($steps())->toBe([true, true, true, false]);
    Week::query()->update(['sent_at' => now()]);
    $this->travelTo('2032-02-02 10:00:00');
    $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->assertOk();
    expect($steps())->toBe([true, true, true, true]);
    $new = teacher_of(['studio_id' => Studio::query()->create(['name' => 'south'])->id, 'name' => 'Teacher', 'email' => 'south@studio.example', 'password' => 'secret-word']);
    $this->actingAs($new);
    expect($steps())->toBe([false, false, false, false]);
});
