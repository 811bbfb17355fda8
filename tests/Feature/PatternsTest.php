<?php

declare(strict_types=1);

use App\Student\Learning\OpenPiece;
use App\Week\ProposeWeek;
use App\Week\Task;
use Carbon\CarbonImmutable;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    $this->week = $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->assertOk()->json();
    $this->titles = fn (array $week): array => array_column($week['tasks'], 'title');
});

test('last week again: what did not pass and is not there comes back', function (): void {
    foreach (['Circle every E' => 'again', 'Sing the tune' => 'pass', 'Trace the bass clef' => null] as $title => $mark) {
        Task::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'week_id' => $this->own->week->id, 'kind' => 'theory', 'title' => $title, 'instruction' => '', 'half_minutes' => 4, 'mark' => $mark]);
    }
    $after = $this->postJson("/api/weeks/{$this->week['id']}/last")->assertOk()->json();
    expect(array_values(array_diff(($this->titles)($after), ($this->titles)($this->week))))->toBe(['Circle every E', 'Trace the bass clef'])
        ->and($this->postJson("/api/weeks/{$this->week['id']}/last")->json('tasks'))->toHaveCount(count($after['tasks']));
});

test('a pattern is kept from a week, given to another, and passed on to a colleague', function (): void {
    $kept = $this->postJson('/api/patterns', ['name' => 'Opening', 'weekId' => $this->week['id']])->assertOk()->json();
    expect($kept['tasks'])->toHaveCount(1)->and($kept['tasks'][0])->toMatchArray(['kind' => 'warm-up', 'title' => 'Warm-up', 'halfMinutes' => 4]);
    $this->postJson('/api/patterns', ['name' => 'Opening', 'weekId' => $this->week['id']])->assertJsonPath('errors.name.0', 'There is a template of this name; choose another.');
    $other = new Fixtures('south');
    $this->actingAs($other->teacher);
    $colleagues = $this->postJson('/api/patterns', ['name' => 'Opening', 'tasks' => [...$kept['tasks'], ['kind' => 'theory', 'title' => 'Five notes by ear', 'instruction' => 'Sing, then find.', 'halfMinutes' => 6, 'repetitions' => 2, 'mostDays' => 2]]])->assertOk()->json('id');
    $after = $this->postJson("/api/weeks/{$other->week->id}/patterns/{$colleagues}")->assertOk()->json();
    $new = collect($after['tasks'])->firstWhere('title', 'Five notes by ear');
    expect($new)->toMatchArray(['kind' => 'theory', 'minutes' => 3, 'repetitions' => 2, 'mostDays' => 2])
        ->and(array_count_values(($this->titles)($after))['Warm-up'])->toBe(1);
    $this->deleteJson("/api/patterns/{$colleagues}")->assertNoContent();
    expect(array_column($this->getJson('/api/patterns')->json(), 'name'))->toBe(['Rainy week']);
});

test('a week of pages alone makes no pattern', function (): void {
    Task::query()->where('week_id', $this->week['id'])->whereNull('learning_id')->delete();
    $this->postJson('/api/patterns', ['name' => 'Nothing', 'weekId' => $this->week['id']])->assertJsonPath('errors.weekId.0', fn (string $says): bool => str_contains($says, 'is tied to a page'));
});

test('one assignment goes to several students, each on their own page, and says what came of it', function (): void {
    $monday = CarbonImmutable::parse(Fixtures::MONDAY);
    $on = $this->own->student('Bruno', 10);
    app(OpenPiece::class)($on, $this->own->piece, $monday);
    app(ProposeWeek::class)($on, $monday);
    $without = $this->own->student('Cleo', 8);
    app(ProposeWeek::class)($without, $monday);
    $idle = $this->own->student('Dora', 8);
    $task = fn (?int $learning): Task => Task::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'week_id' => $this->week['id'], 'learning_id' => $learning, 'kind' => 'theory', 'title' => $learning === null ? 'Clap for a friend' : 'Bars 2 and 3, eyes shut', 'instruction' => '', 'half_minutes' => 2]);
    $tasks = [$task(null)->id, $task($this->own->learning->id)->id];
    $give = fn (): array => $this->postJson("/api/weeks/{$this->week['id']}/copies", ['taskIds' => $tasks, 'studentIds' => [$on->id, $without->id, $idle->id]])->assertOk()->json();
    expect(array_column($give(), 'outcome', 'student'))->toBe(['Bruno T.' => '2 added', 'Cleo T.' => '1 added; a page of the others is not open', 'Dora T.' => 'no week is planned yet'])
        ->and(array_column($give(), 'outcome'))->toBe(['there already', 'the page is not open', 'no week is planned yet']);
    $copied = Task::query()->where('student_id', $on->id)->where('title', 'Bars 2 and 3, eyes shut')->with('days', 'learning')->firstOrFail();
    expect($copied->learning?->student_id)->toBe($on->id)->and($copied->days)->not->toBeEmpty();
});

test('a word to the family goes with the week, and stands at home', function (): void {
    $this->putJson("/api/weeks/{$this->week['id']}/sent", ['message' => '  Slow is fine this week. '])->assertOk()->assertJsonPath('message', 'Slow is fine this week.');
    $this->getJson('/api/home/week', ['Authorization' => "Bearer {$this->own->token}"])->assertJsonPath('message', 'Slow is fine this week.');
    app('auth')->forgetGuards();
    $this->actingAs($this->own->teacher, 'web')->putJson("/api/weeks/{$this->week['id']}/sent")->assertJsonPath('message', 'Slow is fine this week.');
});

test('a ladder of the teacher stands for one hand, and goes again', function (): void {
    $at = "/api/learnings/{$this->own->learning->id}/ladders";
    $hands = fn ($answer): array => array_column($answer->assertOk()->json(), null, 'hand');
    expect($hands($this->getJson($at))['']['rungs'][0])->toBe(60);
    $own = $hands($this->putJson($at, ['hand' => 'L', 'start' => 50, 'goal' => 70, 'step' => 10]));
    expect($own['L'])->toMatchArray(['own' => true, 'step' => 10, 'rungs' => [50, 60, 70]])->and($own['R']['rungs'][0])->toBe(60);
    $this->putJson($at, ['hand' => null, 'start' => 80, 'goal' => 70, 'step' => null])->assertJsonPath('errors.goal.0', 'The goal is not slower than the start.');
    expect($hands($this->putJson($at, ['hand' => 'L', 'start' => null, 'step' => null]))['L']['own'])->toBeFalse();
});
