<?php

declare(strict_types=1);

use App\Lead\LedLesson;
use App\Lead\LedStep;
use App\Listening\Take;
use App\Week\Practice;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->travelTo('2031-04-28 16:00:00');
    $this->family = ['Authorization' => "Bearer {$this->own->token}"];
    $this->step = fn (array $change = []): array => ['stageId' => null, 'learningId' => $this->own->learning->id, 'first' => 0, 'last' => 1, 'hand' => 'R', 'tempo' => 60, 'words' => 'Play it slowly.', 'halfMinutes' => 6, ...$change];
    $this->lesson = fn (array $steps, string $title = 'Instead of Monday') => $this->actingAs($this->own->teacher)->postJson("/api/students/{$this->own->student->id}/led-lessons", ['title' => $title, 'steps' => $steps]);
    $this->play = function (int $step, array $keys, array $change = []): TestResponse {
        app('auth')->forgetGuards();

        return $this->putJson("/api/home/led-steps/{$step}/takes", [
            'clientKey' => (string) Str::uuid(), 'part' => 0, 'source' => 'keyboard', 'at' => '2031-04-28T15:00:00Z',
            'notes' => array_map(static fn (int $key, int $i): array => ['t' => 0.6 * (4 * intdiv($i, 3) + $i % 3), 'off' => 0.6 * (4 * intdiv($i, 3) + $i % 3) + ($i % 3 === 2 ? 1.1 : 0.5), 'pitch' => $key], $keys, array_keys($keys)), ...$change,
        ], $this->family);
    };
});

test('a run goes through the tasks of today in their order, with the music of its phrases, and leaves out what is ticked', function (): void {
    $run = $this->getJson('/api/home/lead', $this->family)->assertOk()->json();
    $week = $this->getJson('/api/home/week', $this->family)->json();
    $today = collect($week['days'])->firstWhere('date', '2031-04-28')['taskIds'];
    expect(collect($run['steps'])->pluck('taskId')->filter()->unique()->values()->all())->toBe($today)
        ->and($run['steps'][0]['kind'])->toBe('say')->and(end($run['steps'])['words'])->toBe('That was all for today. Well done.');
    foreach ($run['steps'] as $step) {
        if ($step['pieceId'] !== null) {
            expect(collect($run['phrases'])->first(static fn (array $phrase): bool => [$phrase['pieceId'], $phrase['first'], $phrase['last']] === [$step['pieceId'], $step['first'], $step['last']]))->not->toBeNull()
                ->and(array_column($run['pieces'], 'id'))->toContain($step['pieceId']);
        }
    }
    $this->putJson("/api/home/tasks/{$today[0]}/practice", ['clientKey' => (string) Str::uuid(), 'date' => '2031-04-28', 'repetitions' => 1, 'tempo' => null, 'seconds' => null, 'feeling' => 'fine', 'note' => ''], $this->family)->assertOk();
    expect(Practice::query()->count())->toBe(1)
        ->and(collect($this->getJson('/api/home/lead', $this->family)->json('steps'))->pluck('taskId')->filter()->unique()->values()->all())->toBe(array_slice($today, 1));
});

test('a phrase of a run is heard in its own bars, not in those of the task', function (): void {
    $task = $this->own->task('Right hand');
    $this->putJson("/api/home/tasks/{$task->id}/takes", ['clientKey' => (string) Str::uuid(), 'part' => 0, 'first' => 1, 'last' => 1, 'source' => 'keyboard', 'at' => '2031-04-28T15:00:00Z', 'notes' => [['t' => 0, 'off' => 0.5, 'pitch' => 64], ['t' => 0.6, 'off' => 1.1, 'pitch' => 65], ['t' => 1.2, 'off' => 2.3, 'pitch' => 67]]], $this->family)
        ->assertOk()->assertJsonPath('clean', true);
    expect(Take::query()->firstOrFail()->only(['first', 'last']))->toBe(['first' => 1, 'last' => 1]);
    // Beyond the end of the page there is its last bar.
    $this->putJson("/api/home/tasks/{$task->id}/takes", ['clientKey' => (string) Str::uuid(), 'part' => 0, 'first' => 1, 'last' => 4_999, 'source' => 'keyboard', 'at' => '2031-04-28T15:00:00Z', 'notes' => [['t' => 0, 'off' => 0.5, 'pitch' => 64]]], $this->family)->assertOk();
    expect(Take::query()->orderByDesc('id')->firstOrFail()->last)->toBe(3);
    $this->putJson("/api/home/tasks/{$task->id}/takes", ['clientKey' => (string) Str::uuid(), 'part' => 0, 'first' => 2, 'last' => 1, 'source' => 'keyboard', 'at' => '2031-04-28T15:00:00Z', 'notes' => [['t' => 0, 'off' => 1, 'pitch' => 60]]], $this->family)->assertJsonValidationErrors('last');
});

test('on a day without a plan nothing is led', function (): void {
    $this->travelTo('2031-09-01 16:00:00');
    expect($this->getJson('/api/home/lead', $this->family)->assertOk()->json('steps'))->toBe([]);
});

test('a make-up lesson is put together, sent, led at home, and what was heard comes back by step', function (): void {
    $made = ($this->lesson)([($this->step)(), ['learningId' => null, 'stageId' => null, 'first' => null, 'last' => null, 'hand' => null, 'tempo' => null, 'words' => 'Drink a glass of water.', 'halfMinutes' => 2]])->assertOk()->json();
    [$play, $words] = $made['steps'];
    app('auth')->forgetGuards();
    $this->getJson("/api/home/led-lessons/{$made['id']}", $this->family)->assertNotFound();
    ($this->play)($play['id'], [60, 62, 64, 64, 65, 67])->assertNotFound();
    $this->actingAs($this->own->teacher)->putJson("/api/led-lessons/{$made['id']}/sent")->assertOk();
    app('auth')->forgetGuards();
    expect(array_column($this->getJson('/api/home/week', $this->family)->json('ledLessons'), 'title'))->toContain('Instead of Monday');
    $run = $this->getJson("/api/home/led-lessons/{$made['id']}", $this->family)->assertOk()->json();
    // What the teacher typed is said as she typed it; what the program says is in the words of the studio.
    $this->own->studio->update(['words' => 'us']);
    LedStep::query()->whereKey($words['id'])->update(['words' => 'Eat a chocolate bar.']);
    $said = array_column($this->getJson("/api/home/led-lessons/{$made['id']}", $this->family)->json('steps'), 'words');
    expect($said)->toContain('Eat a chocolate bar.')->toContain('Your turn, slowly: all of it.')->and(implode(' ', $said))->not->toContain('chocolate measure');
    $this->own->studio->update(['words' => 'uk']);
    expect($run['title'])->toBe('Instead of Monday')->and(array_values(array_unique(array_filter(array_column($run['steps'], 'stepId')))))->toBe([$play['id'], $words['id']])
        ->and($run['steps'][0]['words'])->toBe('Play it slowly.')->and(array_column($run['steps'], 'kind'))->toContain('turn')->toContain('alone');
    ($this->play)($play['id'], [60, 62, 64, 64, 65, 67])->assertOk()->assertJsonPath('clean', true);
    ($this->play)($play['id'], [60, 62, 65, 64, 65, 67])->assertOk()->assertJsonPath('clean', false);
    $this->putJson("/api/home/led-lessons/{$made['id']}/done", [], $this->family)->assertNoContent();
    expect(array_column($this->getJson('/api/home/week', $this->family)->json('ledLessons'), 'id'))->not->toContain($made['id']);
    app('auth')->forgetGuards();
    $told = collect($this->actingAs($this->own->teacher)->getJson("/api/students/{$this->own->student->id}/led-lessons")->assertOk()->json())->firstWhere('id', $made['id']);
    expect(array_column($told['steps'][0]['takes'], 'clean'))->toBe([false, true])->and($told['doneAt'])->not->toBeNull()->and($told['steps'][1]['takes'])->toBe([]);
});

test('steps that stay keep their voice and their takes when a lesson is changed; others go', function (): void {
    $made = ($this->lesson)([($this->step)(), ($this->step)(['first' => 2, 'last' => 3])])->json();
    [$first, $second] = array_column($made['steps'], 'id');
    // A minute of it, as long as may be.
    $this->putJson("/api/led-steps/{$second}/voice", ['voice' => 'data:audio/webm;codecs=opus;base64,'.str_repeat('GkXf', 174_000)])->assertNoContent();
    $changed = $this->putJson("/api/led-lessons/{$made['id']}", ['title' => 'Now on Tuesday', 'steps' => [($this->step)(['id' => $second, 'words' => 'Louder.', 'first' => 2, 'last' => 3]), ($this->step)(['id' => $this->own->ledLesson->steps()->firstOrFail()->id])]])->assertOk()->json();
    expect(LedStep::query()->whereKey($first)->exists())->toBeFalse()->and($changed['title'])->toBe('Now on Tuesday')
        ->and($changed['steps'][0])->toMatchArray(['id' => $second, 'words' => 'Louder.', 'hasVoice' => true])
        // A step of another lesson is not taken away from it.
        ->and($changed['steps'][1]['id'])->not->toBe($this->own->ledLesson->steps()->firstOrFail()->id)
        ->and($this->getJson("/api/led-steps/{$second}/voice")->json('voice'))->toStartWith('data:audio/webm');
    $this->deleteJson("/api/led-lessons/{$made['id']}")->assertNoContent();
    expect(LedStep::query()->where('led_lesson_id', $made['id'])->count())->toBe(0);
});

test('at home the voice of the teacher is heard in the first words of its step', function (): void {
    $step = $this->own->ledLesson->steps()->firstOrFail();
    $step->update(['voice' => 'data:audio/ogg;base64,T2dnUw==']);
    $steps = $this->getJson("/api/home/led-lessons/{$this->own->ledLesson->id}", $this->family)->assertOk()->json('steps');
    expect(array_keys(array_filter(array_column($steps, 'hasVoice'))))->toBe([0])
        ->and($this->getJson("/api/home/led-steps/{$step->id}/voice", $this->family)->json('voice'))->toBe('data:audio/ogg;base64,T2dnUw==');
    LedLesson::query()->update(['sent_at' => null]);
    $this->getJson("/api/home/led-steps/{$step->id}/voice", $this->family)->assertNotFound();
});

test('what is no lesson is refused with the place', function (array $steps, string $at): void {
    ($this->lesson)(array_map(fn (array $change): array => ($this->step)($change), $steps))->assertUnprocessable()->assertJsonValidationErrors($at);
})->with([
    'no steps' => [[], 'steps'], 'too many' => [array_fill(0, 21, []), 'steps'], 'no words' => [[['words' => '']], 'steps.0.words'], 'bars backwards' => [[[], ['first' => 3, 'last' => 1]], 'steps.1.last'],
    'bars of no page' => [[['learningId' => null]], 'steps.0.learningId'], 'another’s page' => [[['learningId' => 999_999]], 'steps.0.learningId'], 'no time' => [[['halfMinutes' => 0]], 'steps.0.halfMinutes'], 'another’s stage' => [[['stageId' => 999_999]], 'steps.0.stageId'],
]);

test('what is no voice is refused', function (mixed $voice): void {
    $step = $this->own->ledLesson->steps()->firstOrFail();
    $this->actingAs($this->own->teacher)->putJson("/api/led-steps/{$step->id}/voice", ['voice' => $voice])->assertUnprocessable()->assertJsonValidationErrors('voice');
    expect($step->refresh()->voice)->toBeNull();
})->with([[7], ['data:text/html;base64,PGI+'], ['data:audio/webm;base64,<script>'], ['data:audio/webm;base64,'.str_repeat('A', 700_000)]]);

test('three clean takes in a row pass a stage only where the teacher says so for the student, and only at its tempo (18.6)', function (): void {
    $task = $this->own->task('Right hand');
    $bars = $task->bars()->orderBy('position')->get();
    $of = [[60, 62, 64], [64, 65, 67], [67, 65, 64], [64, 62, 60]];
    $take = function (int $part, float $beat = 0.6) use ($task, $bars, $of): void {
        $keys = array_merge(...array_slice($of, $bars[$part]->first, $bars[$part]->last - $bars[$part]->first + 1));
        $this->putJson("/api/home/tasks/{$task->id}/takes", [
            'clientKey' => (string) Str::uuid(), 'part' => $part, 'source' => 'keyboard', 'at' => '2031-04-28T15:00:00Z',
            'notes' => array_map(static fn (int $key, int $i): array => ['t' => $beat * (4 * intdiv($i, 3) + $i % 3), 'off' => $beat * (4 * intdiv($i, 3) + $i % 3 + ($i % 3 === 2 ? 1.9 : 0.9)), 'pitch' => $key], $keys, array_keys($keys)),
        ], $this->family)->assertOk()->assertJsonPath('clean', true);
    };
    $passed = fn (): bool => $task->stage()->firstOrFail()->passed_on !== null;
    $all = static fn (float $beat, int $times) => array_map(static fn () => array_map(static fn (int $part) => $take($part, $beat), array_keys($bars->all())), range(1, $times));
    $all(0.6, 3);
    expect($passed())->toBeFalse();
    DB::table('students')->where('id', $this->own->student->id)->update(['heard_passes' => true]);
    // Slower than its tempo does not count.
    $all(1.6, 1);
    expect($passed())->toBeFalse();
    $all(0.6, 2);
    expect($passed())->toBeFalse();
    // Line by line it passes at the lesson alone.
    $task->update(['line' => 1, 'of_lines' => 2]);
    $all(0.6, 1);
    expect($passed())->toBeFalse();
    $task->update(['line' => null, 'of_lines' => null]);
    $all(0.6, 1);
    expect($passed())->toBeTrue();
    // Its last stage signs the page off, as a tick by hand would.
    $task->stage()->firstOrFail()->update(['passed_on' => null]);
    $this->own->learning->stages()->whereKeyNot($task->stage_id)->update(['passed_on' => '2031-04-20']);
    $all(0.6, 1);
    expect($this->own->learning->refresh()->finished_on?->toDateString())->toBe('2031-04-28');
});
