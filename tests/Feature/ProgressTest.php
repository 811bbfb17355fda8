<?php

declare(strict_types=1);

use App\Lesson\Lesson;
use App\Lesson\Slip;
use App\Page\Piece\StorePiece;
use App\Student\Learning\Stage;
use App\Week\CountWeeks;
use App\Week\Practice;
use App\Week\Task;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Nasturtium\Core\Report\ThornBars;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    $this->ask = fn (string $time = 'from=2031-04-01&to=2031-05-05') => $this->getJson("/api/students/{$this->own->student->id}/progress?{$time}");
    // What is put into the tables past the application is counted by hand.
    $this->count = fn () => CountWeeks::of(Week::query()->pluck('id')->all());
    $this->practise = function (Task $task, string $date, ?int $tempo = null): void {
        Practice::query()->create(['studio_id' => $task->studio_id, 'student_id' => $task->student_id, 'task_id' => $task->id, 'on_date' => $date, 'repetitions' => 3, 'tempo' => $tempo, 'feeling' => 'fine', 'client_key' => (string) Str::uuid()]);
    };
});

test('days and minutes practised stand against those planned, week by week', function (): void {
    $tap = $this->own->task('Tap and count');
    ($this->practise)($tap, '2031-04-29');
    ($this->practise)($this->own->task('Warm-up'), '2031-04-29');
    ($this->practise)($this->own->task('Warm-up'), '2031-04-30');
    ($this->count)();
    $week = ($this->ask)()->assertOk()->json('weeks.0');
    expect($week)->toMatchArray(['startsOn' => '2031-04-28', 'daysPlanned' => 5, 'daysPractised' => 2])
        // The warm-up takes two minutes, twice.
        ->and($week['practised'])->toEqual(4 + $tap->half_minutes / 2)
        ->and($week['planned'])->toBeGreaterThan($week['practised'])
        ->and(($this->ask)()->json('words.0'))->toStartWith('Ida practised on 2 of 5 planned days, ');
});

test('what was proposed stands beside what the teacher made of it', function (): void {
    $this->own->task('Warm-up')->delete();
    $this->own->task('Look over')->days()->limit(1)->update(['locked' => true]);
    $this->own->task('Look over')->replicate()->fill(['title' => 'Mine', 'why' => 'added by the teacher', 'stage_id' => null])->save();
    $proposed = Task::withTrashed()->where('week_id', $this->own->week->id)->count() - 1;
    ($this->count)();
    expect(($this->ask)()->json('weeks.0'))->toMatchArray(['proposed' => $proposed, 'added' => 1, 'removed' => 1, 'kept' => 1]);
});

test('the tempo of a piece rises over the weeks: at home the fastest of a day, at the lesson what was reached', function (): void {
    $tap = $this->own->task('Tap and count');
    ($this->practise)($tap, '2031-04-29', 60);
    ($this->practise)($tap, '2031-04-30', 66);
    $this->own->task('Name the notes')->update(['tempo' => null]);
    ($this->practise)($this->own->task('Name the notes'), '2031-04-30', 90);
    $tap->update(['tempo_reached' => 72]);
    ($this->count)();
    $tempi = ($this->ask)()->json('tempi');
    expect($tempi)->toBe([['piece' => 'Blue Gate', 'points' => [
        ['date' => '2031-04-29', 'tempo' => 60, 'atLesson' => false],
        ['date' => '2031-04-30', 'tempo' => 66, 'atLesson' => false],
        ['date' => '2031-05-05', 'tempo' => 72, 'atLesson' => true],
    ]]])->and(($this->ask)()->json('words'))->toContain('Blue Gate went from 60 to 72 beats a minute.');
});

test('slips are told by kind with their trend, and by place', function (): void {
    $early = Lesson::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'held_on' => '2031-04-07']);
    foreach ([1, 2] as $again) {
        $this->own->slip->replicate()->fill(['lesson_id' => $early->id, 'client_key' => null])->save();
    }
    $this->own->slip->replicate()->fill(['kind' => 'dynamics', 'client_key' => null])->save();
    $progress = ($this->ask)()->json();
    expect($progress['slips'])->toBe([
        ['kind' => 'cut-short', 'words' => 'rest skipped, long note cut short', 'recent' => 1, 'before' => 2],
        ['kind' => 'dynamics', 'words' => 'dynamics missing', 'recent' => 1, 'before' => 0],
    ])->and($progress['places'])->toBe([['piece' => 'Blue Gate', 'place' => 'bar 2', 'words' => 'rest skipped, long note cut short', 'times' => 3]])
        ->and($progress['words'])->toContain('Rest skipped, long note cut short: 3 times, lately less.');
});

test('notes are secure, shaky or new, on the staff and on the keyboard', function (): void {
    Stage::query()->where('learning_id', $this->own->learning->id)->where('kind', 'name the notes')->update(['passed_on' => '2031-05-01']);
    Slip::query()->create(['studio_id' => $this->own->studio->id, 'lesson_id' => $this->own->lesson->id, 'task_id' => $this->own->task('Tap and count')->id, 'kind' => 'wrong-note', 'measure' => 0, 'place' => 'bar 1', 'note_names' => 'treble:E4']);
    $progress = ($this->ask)()->json();
    $notes = array_column($progress['notes'], null, 'pitch');
    expect($notes['C3'])->toMatchArray(['clef' => 'bass', 'id' => 'bass-C3', 'place' => 'space 2', 'midi' => 48, 'status' => 'secure'])
        ->and($notes['E4'])->toMatchArray(['clef' => 'treble', 'place' => 'line 1', 'status' => 'shaky'])
        ->and($progress['weeks'][0])->toMatchArray(['secure' => count($notes) - 1, 'shaky' => 1])
        ->and($progress['words'])->toContain('Ida reads '.(count($notes) - 1).' notes securely, '.(count($notes) - 1).' more than at the start. E4 is still shaky.');
});

test('the end of the book is a range, without the pages that are skipped', function (): void {
    foreach ([4, 5, 6] as $number) {
        $page = $this->own->book->pages()->create(['studio_id' => $this->own->studio->id, 'number' => $number]);
        $this->own->piece->replicate()->fill(['page_id' => $page->id])->save();
        $last = $page;
    }
    $this->own->learning->update(['state' => 'finished', 'finished_on' => '2031-05-05']);
    DB::table('skipped_pages')->insert(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'page_id' => $last->id]);
    // One page in the one lesson week there was; two are left.
    expect(($this->ask)()->json('pace'))->toBe([['book' => 'Made-up Book', 'left' => 2, 'perWeek' => '1', 'from' => '2031-05-19', 'to' => '2031-05-19']]);
    Week::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'starts_on' => '2031-04-21', 'ends_on' => '2031-04-28']);
    $pace = ($this->ask)()->json('pace.0');
    expect($pace)->toMatchArray(['perWeek' => '1/2', 'from' => '2031-05-26', 'to' => '2031-06-30']);
    // The pace is that of the last lesson weeks, whatever time is looked at, and however long ago they were.
    expect(($this->ask)('from=2030-01-01&to=2030-02-01')->json('pace.0'))->toBe($pace);
    $this->travelTo('2032-05-05 10:00:00');
    expect(($this->ask)('from=2032-04-01&to=2032-05-05')->json('pace.0.perWeek'))->toBe('1/2');
});

test('progress takes as many queries for many weeks as for one, and says when the time is turned round', function (): void {
    $few = queries_of(fn () => ($this->ask)()->assertOk());
    for ($ago = 1; $ago <= 8; $ago++) {
        $from = CarbonImmutable::parse('2031-04-28')->subWeeks($ago);
        $week = Week::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'starts_on' => $from, 'ends_on' => $from->addWeek()]);
        foreach ($this->own->week->tasks as $task) {
            $copy = $task->replicate()->fill(['week_id' => $week->id]);
            $copy->save();
            ($this->practise)($copy, $from->addDay()->toDateString());
        }
    }
    ($this->count)();
    expect(queries_of(fn () => ($this->ask)('from=2031-01-01&to=2031-05-05')->assertOk()))->toBe($few);
    ($this->ask)('from=2031-05-01&to=2031-04-01')->assertJsonValidationErrors('to');
    expect($this->getJson("/api/students/{$this->own->student->id}/progress")->json('from'))->toBe('2030-11-04');
});

test('the studio sees whether thorns stand where it goes wrong, and a page that is typed anew is looked at anew', function (): void {
    $own = $this->own;
    $task = $own->task('Tap and count');
    $task->update(['mark' => 'again']);
    $bars = $own->piece->measures;
    $shown = fn (): array => $this->getJson('/api/progress/thorns')->assertOk()->json();
    $thorns = count(ThornBars::of($own->piece->score()));
    // One task of the whole page was heard, and the second bar went wrong once.
    expect($shown())->toMatchArray(['barsOn' => $thorns, 'barsElsewhere' => $bars - $thorns, 'ratio' => null])
        ->and($shown()['slipsOn'] + $shown()['slipsElsewhere'])->toBe(1)
        ->and($shown()['words'])->toStartWith('Too little was heard yet');
    expect($own->piece->refresh()->thorns)->not->toBeNull();
    app(StorePiece::class)->retype($own->piece, Fixtures::TUNE, '');
    expect($own->piece->refresh()->thorns)->toBeNull();
});
