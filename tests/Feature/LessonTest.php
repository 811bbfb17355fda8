<?php

declare(strict_types=1);

use App\Models\Stage;
use App\Models\Task;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    $this->mark = fn (string $title, ?string $mark) => $this->putJson("/api/lessons/{$this->own->lesson->id}/marks/{$this->own->task($title)->id}", ['mark' => $mark]);
    $this->stages = fn () => Stage::query()->where('learning_id', $this->own->learning->id)->whereNotNull('passed_on')->orderBy('position')->pluck('kind')->all();
});

test('the lesson hears the week before it, opened once', function (): void {
    foreach ([1, 2] as $time) {
        $lesson = $this->postJson("/api/students/{$this->own->student->id}/lessons", ['heldOn' => Fixtures::MONDAY])->assertOk()->json();
    }
    expect($lesson['id'])->toBe($this->own->lesson->id)->and($lesson['week']['startsOn'])->toBe('2031-04-28')
        ->and($lesson['slipKinds'])->toHaveCount(11)->and($lesson['slips'][0]['words'])->toBe('rest skipped, long note cut short');
});

test('marks pass stages and can be taken back', function (): void {
    ($this->mark)('Look over', 'pass')->assertOk()->assertJsonPath('mark', 'pass');
    expect(($this->stages)())->toBe(['look over']);
    ($this->mark)('Look over', null)->assertJsonPath('mark', null);
    expect(($this->stages)())->toBe([]);
    ($this->mark)('Look over', 'stop');
    expect($this->own->learning->refresh()->state)->toBe('resting');
    ($this->mark)('Look over', 'again');
    expect($this->own->learning->refresh()->state)->toBe('current');
    ($this->mark)('Look over', 'maybe')->assertJsonValidationErrors('mark');
});

test('next week carries over what was not passed and moves on from what was', function (): void {
    foreach (['Look over', 'Tap and count', 'Name the notes'] as $title) {
        ($this->mark)($title, 'pass');
    }
    ($this->mark)('Fingers in the air', 'again');
    $lesson = $this->putJson("/api/lessons/{$this->own->lesson->id}/finished")->assertOk()->json();
    $tasks = collect($this->getJson("/api/weeks/{$lesson['nextWeekId']}")->json('tasks'));
    expect($tasks->where('kind', 'stage')->pluck('why', 'title')->all())->toBe([
        'Fingers in the air' => 'not passed yet', 'Right hand' => 'the next stage', 'Left hand' => 'the next stage',
        'Hands together' => 'the next stage', 'Join lines' => 'the next stage',
    ])->and($tasks->where('kind', 'remedy'))->toHaveCount(1);
});

test('finishing again after a change proposes anew, until the week is sent', function (): void {
    $finish = fn (): array => $this->putJson("/api/lessons/{$this->own->lesson->id}/finished")->assertOk()->json();
    $finish();
    ($this->mark)('Look over', 'pass');
    $week = $finish()['nextWeekId'];
    expect(Task::query()->where('week_id', $week)->where('title', 'Look over')->exists())->toBeFalse();
    $this->putJson("/api/weeks/{$week}/sent");
    ($this->mark)('Look over', null);
    $finish();
    expect(Task::query()->where('week_id', $week)->where('title', 'Look over')->exists())->toBeFalse();
});

test('slips are noted on bars of the task, and taken back', function (): void {
    $slip = fn (array $change) => $this->postJson("/api/lessons/{$this->own->lesson->id}/slips", $change + ['taskId' => $this->own->task('Tap and count')->id, 'kind' => 'beat-lost', 'measure' => 3, 'hand' => 'R']);
    $id = $slip([])->assertOk()->assertJson(['place' => 'bar 4', 'measure' => 3, 'hand' => 'R'])->json('id');
    $slip(['measure' => 4])->assertJsonPath('errors.measure.0', 'The piece of this task has no such bar.');
    $slip(['kind' => 'sneeze'])->assertJsonValidationErrors('kind');
    $this->deleteJson("/api/slips/{$id}")->assertNoContent();
    expect($this->getJson("/api/lessons/{$this->own->lesson->id}")->json('slips'))->toHaveCount(1);
});

test('a signed-off page comes back for review when its time has come', function (): void {
    Stage::query()->where('learning_id', $this->own->learning->id)->update(['passed_on' => '2031-04-28']);
    $this->own->learning->update(['state' => 'finished', 'finished_on' => '2031-04-28', 'played_on' => '2031-04-28']);
    $week = $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->json();
    $review = collect($week['tasks'])->firstWhere('kind', 'review');
    expect($review)->toMatchArray(['title' => 'Review', 'piece' => 'Blue Gate', 'why' => 'last played 28 Apr', 'tempo' => 100]);
    $lesson = $this->postJson("/api/students/{$this->own->student->id}/lessons", ['heldOn' => '2031-05-12'])->json();
    $this->putJson("/api/lessons/{$lesson['id']}/marks/{$review['id']}", ['mark' => 'pass'])->assertOk();
    expect($this->own->learning->refresh()->review_step)->toBe(1)->and($this->own->learning->played_on?->toDateString())->toBe('2031-05-12');
    $this->putJson("/api/lessons/{$lesson['id']}/marks/{$review['id']}", ['mark' => 'again']);
    expect($this->own->learning->refresh()->review_step)->toBe(0);
});
