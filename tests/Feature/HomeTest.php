<?php

declare(strict_types=1);

use App\Models\Practice;
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

test('today opens with the tasks of the day in their order', function (): void {
    $day = $this->getJson('/api/home/day', $this->family)->assertOk()->json();
    expect($day)->toMatchArray(['student' => 'Ida', 'date' => '2031-04-29', 'lessonOn' => '2031-05-05'])
        ->and($day['tasks'][0]['title'])->toBe('Warm-up')
        ->and($day['leaf'])->toHaveCount(7);
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
    $this->getJson('/api/home/day', $this->family)->assertJsonPath('tasks.0.done.feeling', 'fine');
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

test('a week that was not sent is not seen', function (): void {
    $this->own->week->update(['sent_at' => null]);
    $this->getJson('/api/home/day', $this->family)->assertJsonPath('tasks', []);
    $this->getJson("/api/home/tasks/{$this->task->id}", $this->family)->assertNotFound();
    ($this->tick)()->assertNotFound();
});
