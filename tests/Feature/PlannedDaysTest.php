<?php

declare(strict_types=1);

use App\Page\Page;
use App\Student\Learning\Learning;
use App\Student\Learning\OpenPiece;
use App\Student\Performances\Performance;
use App\Student\StudentPace;
use App\Week\Practice;
use App\Week\Task;
use App\Week\TaskDay;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    $this->newWeek = fn (): array => $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->assertOk()->json();
    $this->minutes = fn (int $minutes) => $this->own->student->practiceDays()->update(['minutes' => $minutes]);
    $this->measured = function (int $tasks, int $percent): void {
        $task = $this->own->task('Tap and count');
        TaskDay::query()->where('task_id', $task->id)->delete();
        foreach (range(1, $tasks) as $nth) {
            Practice::query()->create([
                'studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'task_id' => $task->id, 'on_date' => sprintf('2031-03-%02d', $nth),
                'repetitions' => 1, 'feeling' => 'fine', 'note' => '', 'client_key' => (string) Str::uuid(), 'seconds' => intdiv($task->half_minutes * 30 * $percent, 100),
            ]);
        }
    };
});

test('the time that is left on a day goes to the hardest work, then to what the student likes', function (): void {
    ($this->minutes)(60);
    $week = ($this->newWeek)();
    $tasks = array_column($week['tasks'], null, 'id');
    $filled = 0;
    foreach ($week['days'] as $day) {
        expect(array_column($day['each'], 'id'))->toBe($day['taskIds']);
        if ($day['minutes'] === 0) {
            continue;
        }
        // Nine years: at most ten minutes more of one task, and own choice counts in nothing.
        $choice = array_values(array_filter($day['each'], fn (array $of): bool => $tasks[$of['id']]['kind'] === 'choice'));
        $work = array_filter($day['each'], fn (array $of): bool => $tasks[$of['id']]['kind'] !== 'choice');
        expect(max([0, ...array_column($work, 'more')]))->toBeLessThanOrEqual(10)
            ->and((float) $day['planned'])->toBe((float) array_sum(array_map(fn (array $of): float => $of['minutes'] + $of['more'], $work)))
            ->and($choice)->toHaveCount(1)
            ->and((float) ($day['planned'] + $choice[0]['more']))->toBe((float) $day['minutes'])
            ->and(array_slice($day['taskIds'], -1))->toBe([$choice[0]['id']])
            ->and($tasks[$choice[0]['id']]['filled'])->toContain($day['date'])
            ->and($tasks[$choice[0]['id']]['dates'])->toBe([]);
        $filled += array_sum(array_column($work, 'more'));
    }
    expect($filled)->toBeGreaterThan(0);
});

test('a new stage takes longer on its first day, and on each day what that day says', function (): void {
    ($this->minutes)(40);
    $week = ($this->newWeek)();
    $right = collect($week['tasks'])->firstWhere('title', 'Right hand');
    expect($right['minutesFirst'])->toBeGreaterThan($right['minutes']);
    $on = collect($week['days'])->flatMap(fn (array $day): array => array_filter($day['each'], fn (array $of): bool => $of['id'] === $right['id'] && $of['minutes'] > 0))->pluck('minutes')->all();
    expect($on[0])->toBe($right['minutesFirst'])->and(array_unique(array_slice($on, 1)))->toBe([$right['minutes']]);
    // What the teacher sets is so on every day.
    $tasks = array_map(fn (array $task): array => $task['id'] === $right['id'] ? ['minutes' => 6] + $task : $task, as_sent($week));
    $after = collect($this->putJson("/api/weeks/{$week['id']}", ['tasks' => $tasks])->assertOk()->json('tasks'))->firstWhere('id', $right['id']);
    expect([$after['minutes'], $after['minutesFirst']])->toEqual([6, 6]);
});

test('undo brings a week back with what filled it, and own choice is removed for good', function (): void {
    ($this->minutes)(30);
    $week = ($this->newWeek)();
    $all = as_sent($week);
    $choice = collect($week['tasks'])->firstWhere('kind', 'choice')['id'];
    $without = array_values(array_filter($all, fn (array $task): bool => $task['id'] !== $choice));
    $after = $this->putJson("/api/weeks/{$week['id']}", ['tasks' => $without])->assertOk()->json();
    expect(collect($after['days'])->pluck('taskIds')->flatten()->all())->not->toContain($choice);
    $undone = $this->putJson("/api/weeks/{$week['id']}", ['tasks' => $all, 'justSo' => true])->assertOk()->json();
    expect($undone['days'])->toBe($week['days']);
});

test('what was ticked today stays with its minutes when the week is changed', function (): void {
    ($this->minutes)(60);
    $week = ($this->newWeek)();
    $this->putJson("/api/weeks/{$week['id']}/sent")->assertOk();
    $choice = collect($week['tasks'])->firstWhere('kind', 'choice');
    Task::query()->findOrFail($choice['id'])->practices()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'on_date' => Fixtures::MONDAY, 'repetitions' => 1, 'feeling' => 'fine', 'note' => '', 'client_key' => (string) Str::uuid()]);
    $practised = fn (array $shown): float => (float) collect($shown['days'])->firstWhere('date', Fixtures::MONDAY)['practised'];
    $before = $practised($this->getJson("/api/weeks/{$week['id']}")->assertOk()->json());
    expect($before)->toBeGreaterThan(1.0)
        ->and($practised($this->putJson("/api/weeks/{$week['id']}", ['tasks' => as_sent($week)])->assertOk()->json()))->toBe($before);
});

test('a page that a former release has opened takes the times of now', function (): void {
    ($this->minutes)(60);
    $first = fn (): array => collect(($this->newWeek)()['tasks'])->where('title', 'Right hand')->map(fn (array $task): array => [$task['minutesFirst'], $task['minutes']])->first();
    $now = $first();
    DB::table('stages')->update(['half_minutes' => 3, 'half_minutes_first' => null]);
    expect($first())->toBe($now);
});

test('many long titles at a concert are not all said', function (): void {
    ($this->minutes)(60);
    $this->own->piece->update(['title' => str_repeat('a', 120)]);
    $piece = $this->own->piece->replicate()->fill(['label' => 'B']);
    $piece->save();
    $other = app(OpenPiece::class)($this->own->student, $piece, CarbonImmutable::parse(Fixtures::MONDAY));
    $this->postJson("/api/students/{$this->own->student->id}/performances", ['title' => 'Concert', 'date' => '2031-05-10', 'learningIds' => [$this->own->learning->id, $other->id]])->assertOk();
    expect(collect(($this->newWeek)()['tasks'])->firstWhere('title', 'As at the concert')['instruction'])->toContain('all your pieces in their order');
});

test('what the student chose is ticked at home, and is neither missed nor heard', function (): void {
    ($this->minutes)(60);
    $week = ($this->newWeek)();
    $this->putJson("/api/weeks/{$week['id']}/sent")->assertOk();
    $choice = collect($week['tasks'])->firstWhere('kind', 'choice');
    app('auth')->forgetGuards();
    $family = ['Authorization' => "Bearer {$this->own->token}"];
    $home = $this->getJson('/api/home/week', $family)->assertOk()->json();
    expect(collect($home['tasks'])->firstWhere('id', $choice['id'])['title'])->toBe('Play what you like');
    $this->putJson("/api/home/tasks/{$choice['id']}/practice", ['date' => Fixtures::MONDAY, 'clientKey' => (string) Str::uuid(), 'repetitions' => 1, 'feeling' => 'easy', 'note' => ''], $family)->assertOk();
    app('auth')->forgetGuards();
    $this->actingAs($this->own->teacher, 'web');
    $lesson = $this->postJson("/api/students/{$this->own->student->id}/lessons", ['heldOn' => '2031-05-12'])->assertOk()->json();
    expect(collect($lesson['cards'])->pluck('tasks')->flatten(1)->pluck('id')->all())->not->toContain($choice['id']);
});

test('a drill names the keys of the page that are new', function (): void {
    $drill = collect(($this->newWeek)()['tasks'])->firstWhere('kind', 'drill');
    expect($drill['instruction'])->toStartWith('Find ')->toContain(' on the piano and say ')->toEndWith(' name, five times.')
        ->and($drill['minutes'])->toEqual(3)->and($drill['piece'])->toBe('Blue Gate');
});

test('the next page to write is opened with the plan, and not another while it is open', function (): void {
    $page = Page::query()->create(['studio_id' => $this->own->studio->id, 'book_id' => $this->own->book->id, 'number' => 4, 'kind' => 'theory', 'title' => 'Clefs and keys']);
    Page::query()->create(['studio_id' => $this->own->studio->id, 'book_id' => $this->own->book->id, 'number' => 5, 'kind' => 'theory']);
    $theory = fn (array $week): array => array_values(array_map(fn (array $task): string => $task['piece'], array_filter($week['tasks'], fn (array $task): bool => $task['kind'] === 'theory')));
    expect($theory(($this->newWeek)()))->toBe(['Clefs and keys'])->and($theory(($this->newWeek)()))->toBe(['Clefs and keys']);
    expect(Learning::query()->whereRelation('piece', 'page_id', $page->id)->count())->toBe(1);
});

test('a student who needs longer gets longer times, measured or as the teacher says', function (): void {
    ($this->minutes)(60);
    $of = fn (string $title): array => collect(($this->newWeek)()['tasks'])->firstWhere('title', $title);
    $usual = $of('Right hand')['minutes'];
    $warmUp = $of('Warm-up')['minutes'];
    ($this->measured)(7, 200);
    expect(StudentPace::measured($this->own->student->id))->toBeNull();
    Practice::query()->delete();
    ($this->measured)(8, 200);
    expect($this->getJson("/api/students/{$this->own->student->id}")->json('measuredPace'))->toBe(200)
        ->and($of('Right hand')['minutes'])->toEqual(2 * $usual)
        // What has minutes of its own keeps them.
        ->and($of('Warm-up')['minutes'])->toBe($warmUp);
    $this->own->student->update(['pace' => 100]);
    expect($of('Right hand')['minutes'])->toEqual($usual);
});

test('a pace that was planned with is not measured twice', function (): void {
    DB::table('tasks')->where('id', $this->own->task('Tap and count')->id)->update(['pace' => 200, 'half_minutes' => 8]);
    // Eight half minutes are four of anybody's: who takes as long as was planned still takes twice as long as others.
    ($this->measured)(8, 100);
    expect(StudentPace::measured($this->own->student->id))->toBe(200);
});

test('home says how long a task took', function (): void {
    $task = $this->own->task('Tap and count');
    app('auth')->forgetGuards();
    $tick = fn (mixed $seconds) => $this->putJson("/api/home/tasks/{$task->id}/practice", ['date' => '2031-04-29', 'clientKey' => (string) Str::uuid(), 'repetitions' => 1, 'feeling' => 'fine', 'note' => '', 'seconds' => $seconds], ['Authorization' => "Bearer {$this->own->token}"]);
    $tick('long')->assertJsonValidationErrorFor('seconds');
    $tick(65_536)->assertJsonValidationErrorFor('seconds');
    $tick(140)->assertOk();
    expect(Practice::query()->where('task_id', $task->id)->value('seconds'))->toBe(140);
});

test('before a performance its pieces are whole on every day, with one run, and nothing from its day on', function (): void {
    ($this->minutes)(60);
    $enter = fn (string $date) => $this->postJson("/api/students/{$this->own->student->id}/performances", ['title' => 'Summer concert', 'date' => $date, 'learningIds' => [$this->own->learning->id]]);
    Performance::query()->delete();
    $enter('2031-05-09')->assertOk()->assertJsonPath('pieces', ['Blue Gate']);
    $week = ($this->newWeek)();
    $for = collect($week['tasks'])->whereIn('title', ['Whole, for the concert', 'As at the concert'])->pluck('dates', 'title')->all();
    $days = ['2031-05-05', '2031-05-06', '2031-05-07', '2031-05-08'];
    expect($for)->toBe(['As at the concert' => $days, 'Whole, for the concert' => $days])
        ->and(collect($week['tasks'])->firstWhere('title', 'As at the concert')['why'])->toBe('Summer concert, 9 May');
});

test('two weeks before a performance are for it, a day more is not', function (string $date, int $tasks): void {
    Performance::query()->delete();
    $this->postJson("/api/students/{$this->own->student->id}/performances", ['title' => 'Concert', 'date' => $date, 'learningIds' => [$this->own->learning->id]])->assertOk();
    ($this->newWeek)();
    expect(Task::query()->whereNotNull('performance_id')->count())->toBe($tasks);
})->with([
    // The week ends on the 12th; its last day is the 11th.
    'its first day is the last of the week' => ['2031-05-25', 2],
    'a day later' => ['2031-05-26', 0],
    'on the day of the lesson' => ['2031-05-05', 0],
]);

test('a performance is changed, keeps its order, and goes', function (): void {
    Performance::query()->delete();
    $at = "/api/students/{$this->own->student->id}/performances";
    $this->postJson($at, ['title' => '', 'date' => '2031-06-01', 'learningIds' => []])->assertJsonValidationErrors(['title', 'learningIds']);
    $this->postJson($at, ['title' => 'Concert', 'date' => '2040-06-01', 'learningIds' => [$this->own->learning->id]])->assertJsonValidationErrorFor('date');
    $this->postJson($at, ['title' => 'Concert', 'date' => '2031-06-01', 'learningIds' => [(new Fixtures('west'))->learning->id]])->assertJsonValidationErrorFor('learningIds.0');
    $id = $this->postJson($at, ['title' => 'Concert', 'date' => '2031-06-01', 'learningIds' => [$this->own->learning->id]])->assertOk()->json('id');
    $this->putJson("/api/performances/{$id}", ['title' => 'Late concert', 'date' => '2031-06-02', 'learningIds' => [$this->own->learning->id]])->assertOk()->assertJsonPath('title', 'Late concert');
    $shown = fn (): array => $this->getJson("/api/students/{$this->own->student->id}")->assertOk()->json('performances');
    expect(array_column($shown(), 'date'))->toBe(['2031-06-02']);
    $this->deleteJson("/api/performances/{$id}")->assertNoContent();
    expect($shown())->toBe([]);
});
