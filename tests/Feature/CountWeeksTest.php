<?php

declare(strict_types=1);

use App\Demo\Chance;
use App\Week\CountWeeks;
use App\Week\Practice;
use App\Week\Task;
use App\Week\TaskDay;
use App\Week\Week;
use Illuminate\Support\Str;
use Nasturtium\Core\Practice\Planning\WeekPlanner;
use Nasturtium\Core\Practice\TaskKind;
use Tests\Fixtures;

/*
 * What is counted of a week when it changes is what one finds by looking at its rows, whatever was done to it.
 */

/** @return array<string, mixed> the same as CountWeeks keeps, found row by row */
function counted_by_hand(Week $week): array
{
    $counted = ['days' => [], 'words' => 0, 'left' => [], 'proposed' => 0, 'added' => 0, 'removed' => 0, 'kept' => 0];
    foreach (Task::withTrashed()->where('week_id', $week->id)->orderBy('id')->get() as $task) {
        $gone = $task->trashed();
        $counted['proposed'] += $task->why === Task::OWN ? 0 : 1;
        $counted['added'] += $task->why === Task::OWN && ! $gone ? 1 : 0;
        $counted['removed'] += $gone ? 1 : 0;
        $took = [];
        foreach (TaskDay::query()->where('task_id', $task->id)->get() as $day) {
            $took[$day->on_date->toDateString()] = ($day->half_minutes ?? $task->half_minutes) + $day->more;
            $counted['days'][$day->on_date->toDateString()] ??= [0, 0];
            $counted['days'][$day->on_date->toDateString()][0] += $gone || $task->kind === TaskKind::Choice ? 0 : $took[$day->on_date->toDateString()];
            $counted['kept'] += $day->locked ? 1 : 0;
        }
        foreach (Practice::query()->where('task_id', $task->id)->get() as $practice) {
            $counted['days'][$practice->on_date->toDateString()] ??= [0, 0];
            $counted['days'][$practice->on_date->toDateString()][1] += $took[$practice->on_date->toDateString()] ?? $task->half_minutes;
            $counted['words'] += $practice->note === '' ? 0 : 1;
        }
        // What lies further on is not left out.
        if (! $gone && $task->left_why !== null && $task->left_why !== WeekPlanner::NEXT) {
            $counted['left'][] = "{$task->title}: {$task->left_why}";
        }
    }

    return $counted;
}

/** Nothing of the week is waiting to be counted, and nothing is counted wrong. */
function expect_counted(Week $week, string $after): void
{
    $kept = json_decode((string) Week::query()->findOrFail($week->id)->getAttribute('counted'), true);
    $byHand = counted_by_hand($week);
    ksort($kept['days']);
    ksort($byHand['days']);
    expect($kept)->toEqual($byHand, $after);
}

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->family = ['Authorization' => "Bearer {$this->own->token}"];
});

test('a week is counted with every change, however they follow each other', function (): void {
    $this->actingAs($this->own->teacher);
    $chance = new Chance(7);
    $week = Week::query()->findOrFail($this->postJson("/api/students/{$this->own->student->id}/weeks", [])->assertOk()->json('id'));
    expect_counted($week, 'proposed');
    $this->travelTo('2031-05-07 10:00:00');
    $this->putJson("/api/weeks/{$week->id}/sent")->assertOk();
    $done = [];
    for ($step = 1; $step <= 40; $step++) {
        $shown = $this->getJson("/api/weeks/{$week->id}")->assertOk()->json();
        $tasks = as_sent($shown);
        $at = $chance->between(0, count($tasks) - 1);
        $what = $chance->oneOf(['tick', 'tick', 'untick', 'remove', 'add', 'minutes', 'lock', 'holiday', 'mark', 'just so']);
        $date = sprintf('2031-05-%02d', $chance->between(5, 7));
        if ($what === 'tick' || $what === 'untick') {
            app('auth')->forgetGuards();
            $at = $shown['tasks'][$at]['id'];
            $what === 'tick'
                ? $this->putJson("/api/home/tasks/{$at}/practice", ['date' => $date, 'clientKey' => (string) Str::uuid(), 'repetitions' => 2, 'feeling' => 'fine', 'note' => $chance->oneIn(3) ? 'Listen' : ''], $this->family)->assertSuccessful()
                : $this->deleteJson("/api/home/tasks/{$at}/practice/{$date}", [], $this->family)->assertSuccessful();
            app('auth')->forgetGuards();
            $this->actingAs($this->own->teacher, 'web');
        } elseif ($what === 'holiday') {
            $this->postJson('/api/holidays', ['label' => 'Trip', 'studentId' => $this->own->student->id, 'from' => '2031-05-08', 'to' => '2031-05-08', 'lessons' => true, 'practice' => false])->assertSuccessful();
        } elseif ($what === 'mark') {
            $lesson = $this->postJson("/api/students/{$this->own->student->id}/lessons", ['heldOn' => '2031-05-12'])->assertOk()->json('id');
            $this->putJson("/api/lessons/{$lesson}/marks/{$shown['tasks'][$at]['id']}", ['mark' => 'again', 'tempoReached' => $chance->between(50, 90)])->assertOk();
        } else {
            match ($what) {
                'remove' => count($tasks) > 4 ? array_splice($tasks, $at, 1) : null,
                'add' => $tasks[] = own_task(['title' => "Own {$step}", 'locked' => [], 'minutes' => $chance->between(1, 12)]),
                'minutes' => $tasks[$at]['minutes'] = $chance->between(1, 15),
                'lock' => $tasks[$at]['locked'] = $chance->oneIn(2) ? ['2031-05-09'] : [],
                'just so' => $tasks[$at]['repetitions'] = $chance->between(1, 5),
            };
            // A week that breaks a rule is refused; what is counted stays with what stays.
            $this->putJson("/api/weeks/{$week->id}", ['tasks' => $tasks, 'justSo' => $what === 'just so', 'sure' => true]);
        }
        $done[] = $what;
        expect_counted($week, "{$what}, step {$step}");
    }
    expect(array_unique($done))->toHaveCount(9)
        ->and(counted_by_hand($week)['removed'])->toBeGreaterThan(0)
        ->and(array_sum(array_column(counted_by_hand($week)['days'], 1)))->toBeGreaterThan(0);
});

test('a week of which nothing is counted yet is counted when it is looked at', function (): void {
    $this->actingAs($this->own->teacher);
    $shown = fn (): array => $this->getJson('/api/this-week')->assertOk()->json('0.leaf');
    $leaf = $shown();
    Week::query()->update(['counted' => null, 'tempi' => null]);
    expect($shown())->toBe($leaf)->and(Week::query()->whereNull('counted')->exists())->toBeFalse();
    expect_counted($this->own->week, 'looked at');
});

test('what was played is kept as the fastest of a piece and day, and what was reached at the lesson', function (): void {
    $tap = $this->own->task('Tap and count');
    foreach (['2031-04-29' => 60, '2031-04-30' => 66] as $date => $tempo) {
        $this->putJson("/api/home/tasks/{$tap->id}/practice", ['date' => $date, 'clientKey' => (string) Str::uuid(), 'repetitions' => 2, 'feeling' => 'fine', 'note' => '', 'tempo' => $tempo], $this->family)->assertSuccessful();
    }
    app('auth')->forgetGuards();
    $this->actingAs($this->own->teacher, 'web')->putJson("/api/lessons/{$this->own->lesson->id}/marks/{$tap->id}", ['mark' => 'again', 'tempoReached' => 72])->assertOk();
    expect(json_decode((string) Week::query()->findOrFail($this->own->week->id)->getAttribute('tempi'), true))
        ->toBe([[$this->own->piece->id, '2031-04-29', 60, 0], [$this->own->piece->id, '2031-04-30', 66, 0], [$this->own->piece->id, '2031-05-05', 72, 1]]);
});

test('no week is no work', function (): void {
    expect(queries_of(fn () => CountWeeks::of([])))->toBe(0);
});
