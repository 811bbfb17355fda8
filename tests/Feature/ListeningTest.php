<?php

declare(strict_types=1);

use App\Listening\Take;
use App\Week\TaskBars;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->travelTo('2031-04-29 16:00:00');
    $this->task = $this->own->task('Right hand');
    $this->family = ['Authorization' => "Bearer {$this->own->token}"];
    $this->play = fn (array $keys, array $change = []) => $this->putJson("/api/home/tasks/{$this->task->id}/takes", [
        'clientKey' => (string) Str::uuid(), 'part' => 0, 'source' => 'keyboard', 'at' => '2031-04-29T15:00:00Z',
        // Two quarters and a half in each bar.
        'notes' => array_map(static fn (int $key, int $i): array => ['t' => 0.6 * (4 * intdiv($i, 3) + $i % 3), 'off' => 0.6 * (4 * intdiv($i, 3) + $i % 3) + ($i % 3 === 2 ? 1.1 : 0.5), 'pitch' => $key], $keys, array_keys($keys)), ...$change,
    ], $this->family);
});

/** @return list<int> the keys of the right hand in the bars of the first part of a task */
function keys_of_part(TaskBars $bars, array $bar): array
{
    return array_merge(...array_slice($bar, $bars->first, $bars->last - $bars->first + 1));
}

test('what is played at home is kept as notes, once, and told: what went well first, then one thing', function (): void {
    $keys = keys_of_part($this->task->bars()->orderBy('position')->firstOrFail(), [[60, 62, 64], [64, 65, 67], [67, 65, 64], [64, 62, 60]]);
    $clean = ($this->play)($keys)->assertOk()->json();
    expect($clean)->toBe(['clean' => true, 'well' => 'Every note was right, and you went on without a stop.', 'thing' => null, 'measures' => [], 'notes' => [], 'again' => [], 'tempo' => 100]);
    $wrong = $keys;
    $wrong[1]++;
    $key = (string) Str::uuid();
    $heard = ($this->play)($wrong, ['clientKey' => $key])->assertOk()->json();
    ($this->play)($wrong, ['clientKey' => $key])->assertOk()->assertExactJson($heard);
    expect($heard['clean'])->toBeFalse()->and($heard['thing'])->toContain('look again: name the notes')->and(array_column($heard['notes'], 'status'))->toBe(['wrong'])
        ->and($heard['well'])->not->toContain('%')->and(Take::query()->count())->toBe(2)
        ->and(Take::query()->orderBy('id')->firstOrFail()->only(['student_id', 'task_id', 'source', 'on_date']))->toMatchArray(['student_id' => $this->own->student->id, 'task_id' => $this->task->id])
        ->and(json_decode(Take::query()->orderBy('id')->firstOrFail()->notes, true)['notes'][0])->toMatchArray(['pitch' => 60]);
});

test('where nothing belongs to the bars the child is told to look where the hands start', function (): void {
    ($this->play)([21, 22])->assertOk()->assertJsonPath('clean', false)->assertJsonPath('thing', 'Nothing was heard that belongs to these bars. Look where your hands start, and play again.');
});

test('a take of later days, or of a clock that is wrong, lies on a day that was', function (): void {
    ($this->play)([60], ['at' => '2040-01-01T00:00:00Z'])->assertOk();
    ($this->play)([60], ['at' => '2020-01-01T00:00:00Z'])->assertOk();
    expect(Take::query()->orderBy('id')->get()->map(static fn (Take $take): string => $take->on_date->toDateString())->all())->toBe(['2031-04-29', '2031-03-29']);
});

test('what is no take is refused with the place, and nothing of it is kept', function (array $change, string $at): void {
    ($this->play)([60], $change)->assertUnprocessable()->assertJsonValidationErrors($at);
    expect(DB::table('takes')->count())->toBe(0);
})->with([
    'no key' => [['clientKey' => 'x'], 'clientKey'], 'no such part' => [['part' => 9], 'part'], 'another source' => [['source' => 'radio'], 'source'], 'no notes' => [['notes' => []], 'notes'],
    'a note too high' => [['notes' => [['t' => 0, 'off' => 1, 'pitch' => 200]]], 'notes.0.pitch'], 'an end before its beginning' => [['notes' => [['t' => 2, 'off' => 1, 'pitch' => 60]]], 'notes.0.off'],
    'too long' => [['notes' => [['t' => 2_000, 'off' => 2_001, 'pitch' => 60]]], 'notes.0.t'], 'too many' => [['notes' => array_fill(0, 1_201, ['t' => 0, 'off' => 1, 'pitch' => 60])], 'notes'],
    'no list' => [['notes' => 'all of it'], 'notes'],
]);

test('a task without music, or of a week that was not sent, is not listened to', function (): void {
    $this->own->week->update(['sent_at' => null]);
    ($this->play)([60])->assertNotFound();
    $this->own->week->update(['sent_at' => now()]);
    $this->task->update(['learning_id' => null]);
    ($this->play)([60])->assertNotFound();
});

test('takes are erased with their student', function (): void {
    ($this->play)([60])->assertOk();
    DB::table('students')->where('id', $this->own->student->id)->delete();
    expect(DB::table('takes')->count())->toBe(0);
});

test('the teacher sees the takes of the week at the lesson, the newest first, with the slips that they propose', function (): void {
    $keys = keys_of_part($this->task->bars()->orderBy('position')->firstOrFail(), [[60, 62, 64], [64, 65, 67], [67, 65, 64], [64, 62, 60]]);
    ($this->play)($keys, ['at' => '2031-04-29T14:00:00Z'])->assertOk();
    $wrong = $keys;
    $wrong[1]++;
    ($this->play)($wrong)->assertOk();
    $takes = $this->actingAs($this->own->teacher)->getJson("/api/lessons/{$this->own->lesson->id}/takes")->assertOk()->json();
    expect($takes)->toHaveCount(2)->and($takes[0])->toMatchArray(['taskId' => $this->task->id, 'onDate' => '2031-04-29', 'clean' => false, 'faults' => 1, 'bars' => [1]])
        ->and(array_column($takes[0]['slips'], 'kind'))->toContain('wrong-note')->and(array_column($takes[0]['slips'], 'words', 'kind')['wrong-note'])->toBe('wrong note, or two notes confused')
        ->and($takes[1]['faults'])->toBe(0);
    // Of a page that was typed anew nothing that was kept is told.
    DB::table('takes')->update(['judged' => str_replace('"faults":1', '"faults":7', (string) Take::query()->orderByDesc('id')->firstOrFail()->judged)]);
    $faults = fn (): array => array_column($this->getJson("/api/lessons/{$this->own->lesson->id}/takes")->json(), 'faults');
    expect($faults())->toBe([7, 7]);
    $this->own->piece->update(['revision' => $this->own->piece->revision + 1]);
    expect($faults())->toBe([1, 0]);
    $this->own->piece->update(['measures' => 0, 'music' => null]);
    expect($this->getJson("/api/lessons/{$this->own->lesson->id}/takes")->assertOk()->json())->toBe([]);
});

test('takes are fetched with as many queries however many there are', function (): void {
    $count = function (): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->actingAs($this->own->teacher)->getJson("/api/lessons/{$this->own->lesson->id}/takes")->assertOk();

        return count(DB::getQueryLog());
    };
    ($this->play)([60])->assertOk();
    $one = $count();
    $first = (array) DB::table('takes')->first();
    foreach (range(1, 12) as $_) {
        DB::table('takes')->insert([...array_diff_key($first, ['id' => 1]), 'client_key' => (string) Str::uuid()]);
    }
    expect($count())->toBe($one)->and($this->getJson("/api/lessons/{$this->own->lesson->id}/takes")->json())->toHaveCount(13);
});

test('at the lesson a take is heard by the teacher’s own screen, and stands among those of home', function (): void {
    $keys = keys_of_part($this->task->bars()->orderBy('position')->firstOrFail(), [[60, 62, 64], [64, 65, 67], [67, 65, 64], [64, 62, 60]]);
    $this->actingAs($this->own->teacher)->putJson("/api/tasks/{$this->task->id}/takes", [
        'clientKey' => (string) Str::uuid(), 'part' => 0, 'source' => 'microphone', 'at' => '2031-04-29T15:00:00Z',
        'notes' => array_map(static fn (int $key, int $i): array => ['t' => 0.6 * (4 * intdiv($i, 3) + $i % 3), 'off' => 0.6 * (4 * intdiv($i, 3) + $i % 3) + 0.5, 'pitch' => $key, 'p' => 0.95], $keys, array_keys($keys)),
    ])->assertOk()->assertJsonPath('clean', true);
    $this->getJson("/api/lessons/{$this->own->lesson->id}/takes")->assertOk()->assertJsonCount(1)->assertJsonPath('0.taskId', $this->task->id);
});

test('by the microphone what is not sure is to be listened to again, each bar once, at its place in the take', function (): void {
    $keys = keys_of_part($this->task->bars()->orderBy('position')->firstOrFail(), [[60, 62, 64], [64, 65, 67], [67, 65, 64], [64, 62, 60]]);
    $notes = array_map(static fn (int $key, int $i): array => ['t' => 0.6 * (4 * intdiv($i, 3) + $i % 3), 'off' => 0.6 * (4 * intdiv($i, 3) + $i % 3) + 0.5, 'pitch' => $key, 'p' => $i === 4 ? 0.005 : 0.95], $keys, array_keys($keys));
    $heard = ($this->play)([60], ['source' => 'microphone', 'notes' => $notes])->assertOk()->json();
    expect($heard['notes'])->toBe([])->and($heard['again'])->toHaveCount(1)->and($heard['again'][0]['bar'])->toBe(2)->and($heard['again'][0]['at'])->toBe(2.4);
});

test('progress has what was heard of each piece, day by day', function (): void {
    $keys = keys_of_part($this->task->bars()->orderBy('position')->firstOrFail(), [[60, 62, 64], [64, 65, 67], [67, 65, 64], [64, 62, 60]]);
    ($this->play)($keys)->assertOk();
    ($this->play)([$keys[0] + 1, ...array_slice($keys, 1)])->assertOk();
    $takes = $this->actingAs($this->own->teacher)->getJson("/api/students/{$this->own->student->id}/progress?from=2031-04-01&to=2031-05-05")->assertOk()->json('takes');
    expect($takes)->toBe([['piece' => 'Blue Gate', 'days' => [['date' => '2031-04-29', 'takes' => 2, 'clean' => 1, 'tempo' => 100, 'steady' => 100]]]]);
});

test('a line at sight that was heard says itself how it went, and the next follows from it', function (): void {
    DB::table('sight_lines')->insert(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'on_date' => '2031-04-29', 'level' => 2, 'text' => "title: A line at sight\nR: @c4 q1 2 h1\n", 'reasons' => 'one hand']);
    $play = fn (array $keys, string $date = '2031-04-29') => $this->putJson('/api/home/sight/take', [
        'studentId' => $this->own->student->id, 'date' => $date, 'clientKey' => (string) Str::uuid(), 'source' => 'keyboard', 'at' => '2031-04-29T15:00:00Z',
        'notes' => array_map(static fn (int $key, int $i): array => ['t' => 0.6 * $i, 'off' => 0.6 * $i + 0.55 * ($i === 2 ? 2 : 1), 'pitch' => $key], $keys, array_keys($keys)),
    ], $this->family);
    $went = static fn (): ?string => DB::table('sight_lines')->where('on_date', '2031-04-29')->value('went');
    $play([60, 62, 60])->assertOk()->assertJsonPath('went', 'clean')->assertJsonPath('heard.clean', true);
    expect($went())->toBe('clean');
    $play([60, 65, 67])->assertOk()->assertJsonPath('went', 'hard');
    expect($went())->toBe('hard')->and(Take::query()->count())->toBe(0);
    $play([60], '2031-05-29')->assertUnprocessable()->assertJsonValidationErrors('date');
});
