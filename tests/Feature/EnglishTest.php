<?php

declare(strict_types=1);

use App\Http\English;
use App\Week\Task;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Counting\NoteWords;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->own->studio->update(['words' => 'us']);
    $this->actingAs($this->own->teacher->refresh());
});

afterEach(fn () => app()->setLocale('en'));

test('what the product says to a studio with American words has them', function (): void {
    $own = $this->own;
    $task = $own->task('Tap and count');
    $week = $this->getJson("/api/weeks/{$own->week->id}")->assertOk()->json('tasks');
    expect(array_column($week, null, 'id')[$task->id]['bars'][0]['label'])->toStartWith('measures ');
    $report = $this->getJson("/api/pieces/{$own->piece->id}/breakdown")->assertOk()->json('report');
    expect($report['learn']['text'])->toContain(' measures')
        ->and($this->getJson("/api/lessons/{$own->lesson->id}")->assertOk()->json('slips.0.place'))->toBe('measure 2');
    $this->postJson("/api/lessons/{$own->lesson->id}/slips", ['taskId' => $task->id, 'kind' => 'beat-lost', 'measure' => 99, 'hand' => 'R'])
        ->assertJsonPath('errors.measure.0', 'The piece of this task has no such measure.');
    $this->postJson("/api/students/{$own->student->id}/lesson-changes", ['state' => 'moved', 'slotOn' => '2031-05-12', 'heldOn' => '2020-05-14'])
        ->assertJsonPath('errors.heldOn.0', 'Choose a day from May 5, 2030 to May 5, 2032.');
    $this->getJson('/api/home/week', ['Authorization' => "Bearer {$own->token}"])->assertOk()->assertJsonPath('words', 'us');
});

test('what a teacher has typed stays as she typed it, and what is kept is kept in one variety', function (): void {
    $own = $this->own;
    $task = $own->task('Warm-up');
    $task->update(['instruction' => 'Bars of gold, to be practised.']);
    $remedy = $own->task('Tap and count');
    $remedy->update(['instruction' => 'Tap these bars and count aloud.']);
    $said = array_column($this->getJson("/api/weeks/{$own->week->id}")->json('tasks'), 'instruction', 'id');
    expect($said[$task->id])->toBe('Bars of gold, to be practised.')
        ->and($said[$remedy->id])->toBe('Tap these measures and count aloud.')
        ->and($remedy->refresh()->instruction)->toBe('Tap these bars and count aloud.');
    $own->studio->update(['words' => 'uk']);
    expect(array_column($this->getJson("/api/weeks/{$own->week->id}")->json('tasks'), 'instruction', 'id')[$remedy->id])->toBe('Tap these bars and count aloud.');
});

test('days are written as they are there', function (NoteWords $words, array $said): void {
    English::speak($words);
    $day = CarbonImmutable::parse('2031-11-07');
    expect([English::shortDay($day), English::day($day), English::weekday($day), English::date($day), English::times('00:05 to 12:00, or 15:30')])->toBe($said)
        ->and(English::words())->toBe($words);
})->with([
    [NoteWords::British, ['7 Nov', '7 November', 'Friday, 7 November', '7 November 2031', '00:05 to 12:00, or 15:30']],
    [NoteWords::American, ['Nov 7', 'November 7', 'Friday, November 7', 'November 7, 2031', '12:05 am to 12:00 pm, or 3:30 pm']],
]);

test('a plan that is saved as it was told keeps the words it was made with', function (): void {
    $week = $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->assertOk()->json();
    $task = Task::query()->where('week_id', $week['id'])->whereNotNull('stage_id')->firstOrFail();
    $task->update(['instruction' => 'Tap these bars and count aloud.']);
    $tasks = as_sent($this->getJson("/api/weeks/{$week['id']}")->assertOk()->json());
    $at = array_search($task->id, array_column($tasks, 'id'), true);
    expect($tasks[$at]['instruction'])->toBe('Tap these measures and count aloud.');
    $this->putJson("/api/weeks/{$week['id']}", ['tasks' => $tasks])->assertOk();
    expect($task->refresh()->instruction)->toBe('Tap these bars and count aloud.');
    $tasks[$at]['instruction'] = 'Only the first line.';
    $this->putJson("/api/weeks/{$week['id']}", ['tasks' => $tasks])->assertOk();
    expect($task->refresh()->instruction)->toBe('Only the first line.');
});

test('a rule that is broken is told in words, whatever the English', function (string $words): void {
    $this->own->studio->update(['words' => $words]);
    $told = $this->postJson('/api/students', ['firstName' => str_repeat('a', 61)])->assertUnprocessable()->json('errors.firstName.0');
    expect($told)->toBe('First name: use 60 letters or fewer.');
})->with(['us', 'uk']);
