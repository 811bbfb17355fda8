<?php

declare(strict_types=1);

use App\Student\Learning\Learning;
use App\Week\Practice;
use App\Week\Task;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Fixtures;

/*
 * What comes in is looked at before anything is done with it.
 */

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
});

test('bad fields are named', function (string $method, string $path, array $body, string $field): void {
    $uri = strtr($path, [
        '{student}' => $this->own->student->id,
        '{book}' => $this->own->book->id,
        '{page}' => $this->own->page->id,
        '{week}' => $this->own->week->id,
        '{lesson}' => $this->own->lesson->id,
        '{learning}' => $this->own->learning->id,
        '{stage}' => $this->own->learning->stages()->firstOrFail()->id,
    ]);
    $this->json($method, $uri, $body)->assertJsonValidationErrors($field);
})->with([
    'no title' => ['POST', '/api/books', ['level' => ''], 'title'],
    'a title too long' => ['POST', '/api/books', ['title' => str_repeat('x', 121), 'level' => ''], 'title'],
    'page 0' => ['POST', '/api/books/{book}/pages', ['number' => 0, 'kind' => 'pieces', 'introduces' => ''], 'number'],
    'a kind of page that is none' => ['PUT', '/api/pages/{page}', ['number' => 3, 'kind' => 'comic', 'introduces' => ''], 'kind'],
    'neither text nor file' => ['POST', '/api/pages/{page}/pieces', ['label' => ''], 'shorthand'],
    'a label too long' => ['POST', '/api/pages/{page}/pieces', ['label' => 'ABCDE', 'shorthand' => 'R: @c4 w1'], 'label'],
    'a page too long' => ['POST', '/api/shorthand', ['shorthand' => str_repeat('x', 60001)], 'shorthand'],
    'no piece' => ['POST', '/api/students/{student}/learnings', ['pieceId' => 0], 'pieceId'],
    'a state that is none' => ['PATCH', '/api/learnings/{learning}', ['state' => 'finished'], 'state'],
    'passed or not' => ['PATCH', '/api/stages/{stage}', ['passed' => 'perhaps'], 'passed'],
    'a day that is none' => ['POST', '/api/students/{student}/weeks', ['from' => '2031-02-30'], 'from'],
    'a lesson without a day' => ['POST', '/api/students/{student}/lessons', [], 'heldOn'],
    'a link that never began' => ['POST', '/api/students/{student}/links', ['label' => '', 'expiresOn' => 'soon'], 'expiresOn'],
    'a week without tasks named' => ['PUT', '/api/weeks/{week}', [], 'tasks'],
    'a slip without a bar' => ['POST', '/api/lessons/{lesson}/slips', ['kind' => 'dynamics'], 'measure'],
]);

test('a piece rests and is taken up again', function (): void {
    $this->patchJson("/api/learnings/{$this->own->learning->id}", ['state' => 'resting'])->assertOk()->assertJsonPath('state', 'resting');
    $week = $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->json();
    expect(array_column($week['tasks'], 'kind'))->toBe(['warm-up', 'choice']);
    $this->patchJson("/api/learnings/{$this->own->learning->id}", ['state' => 'current'])->assertJsonPath('state', 'current');
    $week = $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->json();
    expect(array_column($week['tasks'], 'kind'))->toContain('stage');
});

test('a student without a page gets a warm-up, and waits for one', function (): void {
    $new = $this->own->student('Uwe', 30);
    $week = $this->postJson("/api/students/{$new->id}/weeks", [])->assertOk()->json();
    expect(array_column($week['tasks'], 'title'))->toBe(['Warm-up', 'Play what you like']);
    $row = collect($this->getJson('/api/this-week')->json())->firstWhere('studentId', $new->id);
    expect($row['waiting'])->toContain('no page open');
});

test('a student without practice days keeps the tasks in sight', function (): void {
    $this->own->student->practiceDays()->delete();
    $week = $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->assertOk()->json();
    expect(array_filter(array_column($week['tasks'], 'dates')))->toBe([])
        ->and(array_filter(array_column($week['tasks'], 'leftWhy')))->toHaveCount(count($week['tasks']) - 1, 'all but own choice');
});

test('removing a task keeps what was practised on it', function (): void {
    $week = $this->getJson("/api/weeks/{$this->own->week->id}")->json();
    $tap = $this->own->task('Tap and count');
    Practice::query()->create([
        'studio_id' => $this->own->studio->id,
        'student_id' => $this->own->student->id,
        'task_id' => $tap->id,
        'on_date' => '2031-04-30',
        'repetitions' => 3,
        'feeling' => 'easy',
        'client_key' => (string) Str::uuid(),
    ]);
    $this->putJson("/api/weeks/{$this->own->week->id}", ['tasks' => []])->assertOk();
    expect(Task::query()->where('week_id', $this->own->week->id)->count())->toBe(0)
        ->and(Practice::query()->count())->toBe(1);
    $back = array_map(fn (array $task): array => [...$task, 'first' => null, 'last' => null], $week['tasks']);
    $restored = $this->putJson("/api/weeks/{$this->own->week->id}", ['tasks' => $back])->assertOk()->json('tasks');
    expect(collect($restored)->firstWhere('id', $tap->id)['practices'])->toHaveCount(1);
});

test('a task of another week cannot be drawn into this one', function (): void {
    $other = new Fixtures('south');
    $this->actingAs($this->own->teacher);
    $foreign = ['id' => $other->task('Tap and count')->id, 'kind' => 'stage', 'title' => 'x', 'instruction' => '', 'learningId' => null, 'hand' => null, 'repetitions' => 1, 'tempo' => null, 'minutes' => 1, 'starred' => false, 'dates' => []];
    $this->putJson("/api/weeks/{$this->own->week->id}", ['tasks' => [$foreign]])->assertNotFound();
    $this->putJson("/api/weeks/{$this->own->week->id}", ['tasks' => [['id' => null, 'learningId' => $other->learning->id] + $foreign]])->assertJsonValidationErrors('tasks.0.learningId');
    expect($other->task('Tap and count')->title)->toBe('Tap and count');
});

test('home practice moves the day a piece was last played, never back', function (): void {
    $task = $this->own->task('Tap and count');
    $tick = function (string $date) use ($task): void {
        $this->putJson("/api/home/tasks/{$task->id}/practice", [
            'clientKey' => (string) Str::uuid(),
            'date' => $date,
            'repetitions' => 1,
            'feeling' => 'hard',
            'note' => 'sticky keys',
        ], ['Authorization' => "Bearer {$this->own->token}"])->assertOk();
    };
    $tick('2031-05-01');
    $tick('2031-04-29');
    expect(Learning::query()->findOrFail($this->own->learning->id)->played_on?->toDateString())->toBe('2031-05-01');
    $this->actingAs($this->own->teacher, 'web');
    $practices = collect($this->getJson("/api/lessons/{$this->own->lesson->id}")->json('cards'))->flatMap(static fn (array $card): array => $card['tasks'])->firstWhere('id', $task->id)['practices'];
    expect(array_column($practices, 'date'))->toBe(['2031-04-29', '2031-05-01'])
        ->and($practices[0])->toMatchArray(['feeling' => 'hard', 'note' => 'sticky keys']);
});

test('an address that is none answers in words, a page that is none opens the front end', function (): void {
    $this->getJson('/api/nothing')->assertNotFound();
    $this->withoutVite()->get('/nothing/here')->assertOk()->assertSee('Nasturtium');
});

test('what is wrong with a field is said with its name and what to do', function (): void {
    $this->postJson('/api/students', ['firstName' => str_repeat('x', 70), 'lessonMinutes' => 999, 'age' => -3])
        ->assertJsonPath('errors.age.0', 'Age: use a number from 3 to 110.')
        ->assertJsonPath('errors.firstName.0', 'First name: use 60 letters or fewer.')
        ->assertJsonPath('errors.lessonMinutes.0', 'Lesson minutes: use a number from 10 to 180.')
        ->assertJsonPath('errors.initial.0', 'Please fill in: initial.');
});

test('what was kept and is refused now is said, not a failure of the server', function (): void {
    $of = "/api/pieces/{$this->own->piece->id}/breakdown";
    $this->own->student->update(['path_id' => $this->own->path->id]);
    $this->own->learning->update(['path_id' => $this->own->path->id]);
    $this->own->path->steps()->delete();
    $this->getJson("{$of}?student={$this->own->student->id}")->assertUnprocessable()->assertExactJson(['message' => 'A path needs at least one stage.']);
    $this->own->student->update(['path_id' => null]);
    $this->own->learning->update(['path_id' => null]);
    $this->own->studio->update(['count_words' => ['long' => 'lo-ong']]);
    $this->getJson("{$of}?student={$this->own->student->id}")->assertUnprocessable()->assertJsonPath('message', fn (string $said): bool => str_starts_with($said, 'There is no word for a'));
    $this->own->studio->update(['count_words' => null]);
    DB::table('pieces')->where('id', $this->own->piece->id)->update(['music' => '<no-music/>']);
    $this->getJson($of)->assertUnprocessable()->assertJsonPath('message', fn (string $said): bool => str_starts_with($said, 'The music of this piece cannot be read: '));
});
