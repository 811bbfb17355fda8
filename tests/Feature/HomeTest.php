<?php

declare(strict_types=1);

use App\Week\Practice;
use App\Week\Task;
use App\Week\Week;
use Illuminate\Support\Str;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->travelTo('2031-04-29 16:00:00');
    $this->family = ['Authorization' => "Bearer {$this->own->token}"];
    $this->task = $this->own->task('Warm-up');
    $this->tick = fn (array $change = []) => $this->putJson("/api/home/tasks/{$this->task->id}/practice", $change + [
        'clientKey' => (string) Str::uuid(), 'date' => '2031-04-29', 'repetitions' => 3, 'feeling' => 'fine', 'note' => '',
    ], $this->family);
});

test('the week opens with its tasks, and which stand on which day in their order', function (): void {
    $day = $this->getJson('/api/home/week', $this->family)->assertOk()->json();
    expect($day)->toMatchArray(['student' => 'Ida', 'date' => '2031-04-29', 'lessonOn' => '2031-05-05'])
        ->and(array_column($day['tasks'], 'title', 'id')[array_column($day['days'], null, 'date')['2031-04-29']['taskIds'][0]])->toBe('Warm-up')
        ->and($day['days'])->toHaveCount(7)
        ->and($day)->toMatchArray(['breakAfter' => 20, 'timezone' => 'UTC', 'now' => '2031-04-29T16:00:00+00:00', 'children' => [['id' => $this->own->student->id, 'name' => 'Ida']]])
        ->and($day['care'][0])->toStartWith('Stop when it hurts.');
});

test('the bars of a task come with what sounds and the count-in, without the tempo of the page', function (): void {
    $music = $this->getJson("/api/home/tasks/{$this->own->task('Tap and count')->id}", $this->family)->assertOk()->json();
    expect($music['parts'][0]['playback'])->toMatchArray(['counts' => ['1', '2', '3', '4'], 'enter' => '1', 'countBeats' => 1, 'countGap' => 1, 'beats' => 16])
        ->and($music['parts'][0]['playback']['sounds'][0])->toBe(['id' => 'R1-1', 'hand' => 'R', 'at' => 0, 'keys' => [60], 'held' => [1]])
        ->and($music['parts'][0]['playback']['clicks'][1])->toBe(['at' => 1, 'accent' => false])
        ->and($music['music'])->not->toContain('metronome');
    $this->getJson("/api/home/tasks/{$this->task->id}", $this->family)->assertOk()->assertJson(['music' => null, 'parts' => []]);
});

test('a tick sent twice counts once, and so do two phones', function (): void {
    $key = (string) Str::uuid();
    $first = ($this->tick)(['clientKey' => $key])->assertOk()->json('id');
    expect(($this->tick)(['clientKey' => $key])->assertOk()->json('id'))->toBe($first)
        ->and(($this->tick)()->assertOk()->json('id'))->toBe($first)
        ->and(Practice::query()->count())->toBe(1);
    $this->getJson('/api/home/week', $this->family)->assertJsonPath('tasks.0.practices.0.feeling', 'fine');
});

test('a late tick counts for its day, one of another week is refused', function (): void {
    ($this->tick)(['date' => '2031-04-28'])->assertOk()->assertJsonPath('date', '2031-04-28');
    ($this->tick)(['date' => '2031-05-09'])->assertJsonPath('errors.date.0', 'This day is not in the week of the task.');
    ($this->tick)(['feeling' => 'tired'])->assertJsonValidationErrors('feeling');
});

test('a tick can be taken back', function (): void {
    ($this->tick)()->assertOk();
    $this->deleteJson("/api/home/tasks/{$this->task->id}/practice/2031-04-29", [], $this->family)->assertNoContent();
    expect(Practice::query()->count())->toBe(0);
});

test('a parent’s word goes to the teacher, apart from any task, and is changed or taken back on its day', function (): void {
    $say = fn (?string $words, string $date = '2031-04-29') => $this->putJson('/api/home/word', ['studentId' => $this->own->student->id, 'date' => $date, 'words' => $words], $this->family);
    $teacher = function (): array {
        $this->actingAs($this->own->teacher, 'web');
        $lesson = $this->getJson("/api/lessons/{$this->own->lesson->id}")->assertOk()->json('familyWords');
        $plan = $this->getJson("/api/weeks/{$this->own->week->id}")->assertOk()->json('familyWords');
        app('auth')->forgetGuards();
        expect($plan)->toBe($lesson);

        return $lesson;
    };
    $say('  We are away on Friday. ')->assertOk()->assertJson(['date' => '2031-04-29', 'words' => 'We are away on Friday.']);
    $say('Sent twice, it stands once.')->assertOk();
    $say('Before this week.', '2031-04-20')->assertOk();
    $this->actingAs($this->own->teacher, 'web');
    expect($this->getJson('/api/this-week')->assertOk()->json('0.waiting'))->toContain('a word from home');
    app('auth')->forgetGuards();
    expect($teacher())->toBe([['date' => '2031-04-29', 'words' => 'Sent twice, it stands once.']]);
    $this->getJson('/api/home/week', $this->family)->assertJsonPath('word', 'Sent twice, it stands once.');
    $say(null)->assertOk();
    expect($teacher())->toBe([]);
});

test('a word for another child, of another month, or too long is refused', function (): void {
    $say = fn (array $change) => $this->putJson('/api/home/word', [...['studentId' => $this->own->student->id, 'date' => '2031-04-29', 'words' => 'x'], ...$change], $this->family);
    $say(['studentId' => (new Fixtures('south'))->student->id])->assertNotFound();
    $this->travelTo('2031-04-29 16:00:00');
    $say(['date' => '2031-03-29'])->assertOk();
    $say(['date' => '2031-03-28'])->assertJsonPath('errors.date.0', 'This word is too old to be sent, or its day has not come.');
    $say(['date' => '2031-05-01'])->assertJsonValidationErrors('date');
    $say(['words' => str_repeat('a', 500)])->assertOk();
    $say(['words' => str_repeat('a', 501)])->assertJsonValidationErrors('words');
    $this->own->student->update(['left_on' => '2031-04-01']);
    $say([])->assertNotFound();
});

test('a week that was not sent is not seen', function (): void {
    $this->own->week->update(['sent_at' => null]);
    $this->getJson('/api/home/week', $this->family)->assertJsonPath('tasks', []);
    $this->getJson("/api/home/tasks/{$this->task->id}", $this->family)->assertNotFound();
    ($this->tick)()->assertNotFound();
});

test('brothers and sisters are on one link when the teacher joins them, and off it again', function (): void {
    $sister = $this->own->student('Mia', 6);
    $stranger = $this->own->student('Otto', 8);
    $week = fn (int $student) => $this->getJson("/api/home/week?student={$student}", $this->family);
    $week($sister->id)->assertNotFound();
    $join = function (array $students): array {
        app('auth')->forgetGuards();
        $joined = $this->actingAs($this->own->teacher, 'web')->putJson("/api/links/{$this->own->link->id}/siblings", ['studentIds' => $students])->assertOk()->json('siblings');
        app('auth')->forgetGuards();

        return array_column($joined, 'name');
    };
    expect($join([$sister->id, $this->own->student->id]))->toBe(['Mia']);
    $week($sister->id)->assertOk()->assertJson(['student' => 'Mia', 'breakAfter' => 10, 'children' => [['name' => 'Ida'], ['name' => 'Mia']]]);
    $week($stranger->id)->assertNotFound();
    $task = Task::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $sister->id, 'week_id' => Week::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $sister->id, 'starts_on' => '2031-04-28', 'ends_on' => '2031-05-05', 'sent_at' => now()])->id, 'kind' => 'theory', 'title' => 'x', 'instruction' => '', 'half_minutes' => 2]);
    $tick = fn () => $this->putJson("/api/home/tasks/{$task->id}/practice", ['clientKey' => (string) Str::uuid(), 'date' => '2031-04-29', 'repetitions' => 1, 'tempo' => 66, 'feeling' => 'easy', 'note' => ''], $this->family);
    $tick()->assertOk()->assertJsonPath('tempo', 66);
    expect($join([]))->toBe([]);
    $tick()->assertNotFound();
});

test('a task brings what can be written at its notes, and its rungs', function (): void {
    $music = $this->getJson("/api/home/tasks/{$this->own->task('Tap and count')->id}", $this->family)->json();
    expect($music['notes'][0])->toBe(['id' => 'R1-1', 'hand' => 'R', 'fingers' => '1', 'counts' => '1', 'name' => 'C'])
        ->and($music['rungs'])->toBe([60, 63, 66, 69, 72, 76, 80, 84, 88, 92, 96, 100]);
    $this->own->student->update(['path' => 'sound']);
    expect($this->getJson("/api/home/tasks/{$this->own->task('Tap and count')->id}", $this->family)->json('notes.0.name'))->toBe('do');
});

test('the lesson’s note for the family stands at home, the teacher’s own does not', function (): void {
    $this->own->lesson->update(['held_on' => '2031-04-28', 'shared_note' => 'The tune sings!', 'private_note' => 'tired']);
    $week = $this->getJson('/api/home/week', $this->family)->json();
    expect($week['lessonNote'])->toBe('The tune sings!')->and(json_encode($week))->not->toContain('tired');
});

test('home can be kept on a phone: its name, its start and its files', function (): void {
    $manifest = $this->get('/home/some-token/app.webmanifest')->assertOk()->assertHeader('Content-Type', 'application/manifest+json')->json();
    expect($manifest)->toMatchArray(['start_url' => '/home/some-token', 'display' => 'standalone']);
    foreach ($manifest['icons'] as $icon) {
        expect(getimagesize(public_path($icon['src'])))->toMatchArray([0 => (int) $icon['sizes'], 'mime' => 'image/png']);
    }
    expect($this->get('/home/files.json')->assertOk()->json('keep'))->toContain('/leaf.svg')->each(fn ($file) => expect(is_file(public_path($file->value)))->toBeTrue());
});

test('a tick that waited on a phone is taken late, as the release before wrote it, also when its task was taken out since', function (): void {
    $task = $this->own->task('Tap and count');
    $this->travelTo('2031-05-28 10:00:00');
    $old = ['clientKey' => '3f0c2d52-7f9c-4a55-9d5e-0b1c2d3e4f51', 'date' => '2031-04-29', 'repetitions' => 3, 'feeling' => 'fine', 'note' => ''];
    $task->delete();
    $this->putJson("/api/home/tasks/{$task->id}/practice", $old, $this->family)->assertOk();
    expect(Practice::query()->where('task_id', $task->id)->pluck('tempo')->all())->toBe([null]);
    $this->deleteJson("/api/home/tasks/{$task->id}/practice/2031-04-29", [], $this->family)->assertNoContent();
    $this->deleteJson("/api/home/tasks/{$task->id}/practice/2031-04-29", [], $this->family)->assertNoContent();
    expect(Practice::query()->where('task_id', $task->id)->exists())->toBeFalse();
});
