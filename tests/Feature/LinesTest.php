<?php

declare(strict_types=1);

use App\Page\Page;
use App\Page\Piece\StorePiece;
use App\Student\Learning\Learning;
use App\Student\Learning\OpenPiece;
use App\Student\Learning\Stage;
use App\Week\Task;
use Carbon\CarbonImmutable;
use Tests\Fixtures;

const LONG_TUNE = <<<'TUNE'
    title: Long Road
    tempo: 100
    R: @c4 q1234 | 5432 | 1234 | w5
    R: q5432 | 1234 | 5432 | w1
    R: q1122 | 3344 | 5544 | w3
    R: q5544 | 3322 | 1122 | w1
    TUNE;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    $this->own->learning->update(['state' => 'resting']);
    $page = Page::query()->create(['studio_id' => $this->own->studio->id, 'book_id' => $this->own->book->id, 'number' => 9]);
    $piece = app(StorePiece::class)->fromShorthand($page, LONG_TUNE, '');
    $this->long = app(OpenPiece::class)($this->own->student, $piece, CarbonImmutable::parse(Fixtures::MONDAY));
    $this->minutes = fn (int $minutes) => $this->own->student->practiceDays()->update(['minutes' => $minutes]);
    $this->newWeek = fn (): array => $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->assertOk()->json();
    $this->titles = fn (array $week): array => array_values(array_map(fn (array $task): string => $task['title'], array_filter($week['tasks'], fn (array $task): bool => $task['learningId'] === $this->long->id && $task['kind'] === 'stage')));
    $this->hear = fn (string $mark): array => $this->putJson("/api/lessons/{$this->lesson}/pages/{$this->long->id}", ['mark' => $mark, 'stageId' => $this->right])->assertOk()->json();
    $this->right = Stage::query()->where('learning_id', $this->long->id)->where('kind', 'right hand')->value('id');
});

test('a page that takes over half a usual day is planned line by line, each with its preparation', function (): void {
    ($this->minutes)(60);
    expect(($this->titles)(($this->newWeek)()))->toContain('Right hand', 'Tap and count')->not->toContain('Right hand, line 1');
    ($this->minutes)(10);
    $week = ($this->newWeek)();
    expect(($this->titles)($week))->toBe([
        'Look over',
        'Tap and count, line 1', 'Tap and count, line 2', 'Tap and count, line 3',
        'Name the notes, line 1', 'Name the notes, line 2', 'Name the notes, line 3',
        'Fingers in the air, line 1', 'Fingers in the air, line 2', 'Fingers in the air, line 3',
        'Right hand, line 1', 'Right hand, line 2', 'Right hand, line 3',
        'Join lines, line 1', 'Join lines, line 2', 'Join lines, line 3',
    ]);
    $of = fn (string $title): array => collect($week['tasks'])->firstWhere('title', $title);
    expect(array_column($of('Right hand, line 2')['bars'], 'label'))->toBe(['bars 5–8'])
        ->and(array_column($of('Tap and count, line 2')['bars'], 'label'))->toBe(['bars 5–8'])
        // The next line is played after the one before, and prepared by then.
        ->and($of('Right hand, line 1')['dates'])->not->toBe([])
        ->and($of('Right hand, line 2')['dates'] === [] || $of('Right hand, line 2')['dates'][0] > $of('Right hand, line 1')['dates'][0])->toBeTrue();
});

test('just half a usual day is not over half', function (): void {
    $stage = Stage::query()->findOrFail($this->right);
    // 10 minutes less two of the warm-up, halved, are 4: eight half minutes.
    $stage->update(['half_minutes_first' => 8]);
    Stage::query()->where('learning_id', $this->long->id)->where('kind', 'join lines')->update(['half_minutes_first' => 8]);
    ($this->minutes)(10);
    expect(($this->titles)(($this->newWeek)()))->toContain('Right hand');
    $stage->update(['half_minutes_first' => 9]);
    expect(($this->titles)(($this->newWeek)()))->toContain('Right hand, line 1');
});

test('a line passes by itself, the stage with its last, and what passed is not asked again', function (): void {
    ($this->minutes)(10);
    $week = ($this->newWeek)();
    $this->putJson("/api/weeks/{$week['id']}/sent")->assertOk();
    $this->travelTo('2031-05-12 10:00:00');
    $this->lesson = $this->postJson("/api/students/{$this->own->student->id}/lessons", ['heldOn' => '2031-05-12'])->assertOk()->json('id');
    // Only the first line was practised: it passes, with the preparation of its bars.
    $line = Task::query()->where('week_id', $week['id'])->where('title', 'Right hand, line 1')->firstOrFail();
    $line->practices()->create(['studio_id' => $line->studio_id, 'student_id' => $line->student_id, 'on_date' => '2031-05-06', 'repetitions' => 3, 'feeling' => 'fine', 'note' => '', 'client_key' => '00000000-0000-4000-8000-000000000001']);
    ($this->hear)('pass');
    $passed = Task::query()->where('week_id', $week['id'])->where('mark', 'pass')->where('kind', 'stage')->pluck('title')->all();
    expect($passed)->toBe(['Look over', 'Tap and count, line 1', 'Name the notes, line 1', 'Fingers in the air, line 1', 'Right hand, line 1'])
        ->and(Stage::query()->findOrFail($this->right)->passed_on)->toBeNull();
    $next = ($this->newWeek)();
    expect(($this->titles)($next))->toContain('Right hand, line 2', 'Right hand, line 4')->not->toContain('Right hand, line 1')
        ->and(collect($next['tasks'])->firstWhere('title', 'Right hand, line 2')['isNew'])->toBeTrue();
    // With the lines that are left the stage has passed.
    foreach (Task::query()->where('week_id', $next['id'])->where('stage_id', $this->right)->get() as $task) {
        $this->putJson("/api/lessons/{$this->lesson}/marks/{$task->id}", ['mark' => 'pass']);
        $task->update(['mark' => 'pass']);
    }
    $again = Task::query()->where('week_id', $week['id'])->where('title', 'Right hand, line 1')->firstOrFail();
    $this->putJson("/api/lessons/{$this->lesson}/marks/{$again->id}", ['mark' => 'pass'])->assertOk();
    expect(Stage::query()->findOrFail($this->right)->passed_on)->not->toBeNull();
});

test('a line that failed twice goes a rung down, and what was heard of the whole was heard of its lines', function (): void {
    ($this->minutes)(10);
    $line = fn (int $nth): array => collect(($this->newWeek)()['tasks'])->firstWhere('title', "Right hand, line {$nth}");
    $heard = fn (int $week, ?int $nth): Task => Task::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'week_id' => $this->own->weekBefore($week)->id, 'learning_id' => $this->long->id, 'stage_id' => $this->right, 'line' => $nth, 'of_lines' => $nth === null ? null : 4, 'kind' => 'stage', 'title' => 'x', 'instruction' => '', 'half_minutes' => 2, 'tempo' => 60, 'mark' => 'again']);
    expect([$line(1)['tempo'], $line(1)['isNew']])->toBe([60, true]);
    $heard(3, 1);
    $heard(2, 1);
    expect([$line(1)['tempo'], $line(2)['tempo']])->toBe([58, 60])->and([$line(1)['isNew'], $line(2)['isNew']])->toBe([false, true]);
    $heard(1, null);
    expect($line(2)['isNew'])->toBeFalse();
});

test('a stage that passes whole takes all lines of what stands before it along', function (): void {
    ($this->minutes)(10);
    $week = ($this->newWeek)();
    $this->putJson("/api/weeks/{$week['id']}/sent")->assertOk();
    $this->travelTo('2031-05-12 10:00:00');
    $this->lesson = $this->postJson("/api/students/{$this->own->student->id}/lessons", ['heldOn' => '2031-05-12'])->assertOk()->json('id');
    $whole = Stage::query()->where('learning_id', $this->long->id)->where('kind', 'whole, slow')->value('id');
    $open = fn (): int => Stage::query()->where('learning_id', $this->long->id)->whereNotNull('position')->whereNull('passed_on')->count();
    $before = $open();
    $this->putJson("/api/lessons/{$this->lesson}/pages/{$this->long->id}", ['mark' => 'pass', 'stageId' => $whole])->assertOk();
    expect(Stage::query()->findOrFail($this->right)->passed_on)->not->toBeNull()->and($open())->toBe(2);
    $this->putJson("/api/lessons/{$this->lesson}/pages/{$this->long->id}", ['mark' => null, 'stageId' => null])->assertOk();
    expect($open())->toBe($before);
});

test('a lesson counts one miss of a stage, however many of its lines were heard', function (): void {
    ($this->minutes)(10);
    $week = ($this->newWeek)();
    Task::query()->where('week_id', $week['id'])->where('stage_id', $this->right)->update(['mark' => 'again']);
    $shown = collect($this->getJson("/api/students/{$this->own->student->id}")->assertOk()->json('learnings'))->firstWhere('id', $this->long->id);
    expect(collect($shown['stages'])->firstWhere('id', $this->right)['misses'])->toBe(1);
});

test('a page of one line is never divided', function (): void {
    Learning::query()->whereKey($this->long->id)->update(['state' => 'resting']);
    $page = Page::query()->create(['studio_id' => $this->own->studio->id, 'book_id' => $this->own->book->id, 'number' => 10]);
    app(OpenPiece::class)($this->own->student, app(StorePiece::class)->fromShorthand($page, "title: Short\ntempo: 60\nR: @c4 q1234 | 5432 | 1234 | 5432 | 1122 | 3344 | w5\n", ''), CarbonImmutable::parse(Fixtures::MONDAY));
    ($this->minutes)(6);
    $titles = array_column(($this->newWeek)()['tasks'], 'title');
    expect(array_filter($titles, fn (string $title): bool => str_contains($title, ', line ')))->toBe([]);
});
