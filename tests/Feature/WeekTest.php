<?php

declare(strict_types=1);

use App\Drill\TakeAnswers;
use App\Week\ProposeWeek;
use App\Week\Task;
use Carbon\CarbonImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Nasturtium\Core\Drill\DrillKind;
use Tests\Fixtures;

function own_task(array $change = []): array
{
    return [...[
        'id' => null, 'kind' => 'theory', 'title' => 'Circle every E', 'instruction' => '', 'learningId' => null, 'hand' => null,
        'repetitions' => 1, 'tempo' => null, 'minutes' => 3, 'starred' => false, 'mostDays' => 1, 'dates' => [], 'locked' => ['2031-05-08'],
    ], ...$change];
}

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    $this->week = $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->assertOk()->json();
    $this->save = fn (array $tasks, array $more = []) => $this->putJson("/api/weeks/{$this->week['id']}", ['tasks' => $tasks, ...$more]);
    $this->card = fn (array $week, string $title): array => collect($week['tasks'])->firstWhere('title', $title);
});

test('a week is proposed by the rules: within the minutes, prerequisites earlier, warm-up first', function (): void {
    $days = array_column($this->week['days'], null, 'date');
    $titles = array_column($this->week['tasks'], 'title', 'id');
    $dates = array_column($this->week['tasks'], 'dates', 'title');
    foreach ($days as $day) {
        expect($day['planned'])->toBeLessThanOrEqual($day['minutes']);
    }
    expect($this->week)->toMatchArray(['startsOn' => '2031-05-05', 'endsOn' => '2031-05-12', 'sentAt' => null, 'mostNew' => 2])
        ->and($days['2031-05-10']['minutes'])->toBe(0)
        ->and($titles[$days['2031-05-05']['taskIds'][0]])->toBe('Warm-up')
        ->and($dates['Look over'][0])->toBeLessThanOrEqual($dates['Tap and count'][0])
        ->and($dates['Name the notes'][0])->toBeLessThanOrEqual($dates['Fingers in the air'][0])
        // Playing in the first week of a page, hands apart before together.
        ->and($dates['Right hand'][0])->toBeLessThan($dates['Hands together'][0])
        ->and($dates['Left hand'][0])->toBeLessThan($dates['Hands together'][0]);
});

test('a slip of the lesson becomes a task on its bars, with the reason', function (): void {
    $remedy = collect($this->week['tasks'])->firstWhere('kind', 'remedy');
    expect($remedy)->toMatchArray(['title' => 'Count it out', 'instruction' => 'Tap these bars and count aloud.', 'why' => 'rest skipped, long note cut short in bar 2, at the lesson', 'tempo' => 60, 'repetitions' => 3])
        ->and($remedy['bars'][0])->toMatchArray(['first' => 1, 'last' => 2, 'label' => 'bars 2–3']);
});

test('a wrong note is a remedy whose notes are drilled; of another slip none are', function (): void {
    $drilled = function (array $slip): ?string {
        $this->own->slip->update($slip);

        return app(ProposeWeek::class)($this->own->student, CarbonImmutable::parse(Fixtures::MONDAY))->tasks()->where('kind', 'remedy')->firstOrFail()->drill_notes;
    };
    expect($drilled(['kind' => 'wrong-note', 'hand' => 'R']))->toBe('treble:E4,treble:F4,treble:G4')->and($drilled(['kind' => 'wrong-note', 'hand' => 'L']))->toBe('bass:G3,bass:C3')->and($drilled(['kind' => 'cut-short', 'hand' => 'R']))->toBeNull();
});

test('a line at sight is planned where notes enough are known', function (): void {
    $sight = fn (): array => app(ProposeWeek::class)($this->own->student, CarbonImmutable::parse(Fixtures::MONDAY))->tasks()->where('kind', 'sight')->get()->map(static fn (Task $task): array => [$task->title, $task->half_minutes])->all();
    expect($sight())->toBe([]);
    foreach (['C4', 'D4', 'E4'] as $note) {
        app(TakeAnswers::class)($this->own->student->load('studio'), (string) Str::uuid(), DrillKind::Name, array_fill(0, 10, ['card' => "name treble:{$note}", 'right' => true, 'milliseconds' => 900, 'given' => '', 'at' => Fixtures::MONDAY.'T09:00:00Z']));
    }
    expect($sight())->toBe([['A line at sight', 3]]);
});

test('a task is moved, changed, added and removed, and all of it undone', function (): void {
    $before = as_sent($this->week);
    $tap = array_search('Tap and count', array_column($before, 'title'), true);
    $changed = $before;
    $changed[$tap]['repetitions'] = 6;
    $changed[$tap]['minutes'] = null;
    $changed[$tap]['starred'] = true;
    $remedy = array_search('remedy', array_column($before, 'kind'), true);
    unset($changed[$remedy]);
    $after = ($this->save)([...array_values($changed), own_task()])->assertOk()->json();
    $tasks = collect($after['tasks']);
    // 6 × (16 beats + 4 counted in at 60 = 20 s, + 4 s) = 144 s: two and a half minutes.
    expect($tasks->firstWhere('title', 'Tap and count'))->toMatchArray(['repetitions' => 6, 'minutes' => 2.5, 'starred' => true])
        ->and($tasks->firstWhere('title', 'Circle every E')['dates'])->toBe(['2031-05-08'])
        ->and($tasks->where('kind', 'remedy'))->toHaveCount(0);
    $undone = ($this->save)($before, ['justSo' => true])->assertOk()->json();
    expect(collect(as_sent($undone))->sortBy('id')->values()->all())->toBe(collect($before)->sortBy('id')->values()->all());
});

test('a change that breaks a rule is refused with day and reason, and nothing changes', function (array $task, string $says): void {
    $stored = fn () => $this->getJson("/api/weeks/{$this->week['id']}")->json();
    $before = $stored();
    ($this->save)([...as_sent($this->week), own_task($task)])->assertUnprocessable()
        ->assertJsonPath('errors', fn (array $errors): bool => str_contains(implode(' ', array_merge(...array_values($errors))), $says));
    expect($stored())->toBe($before);
})->with([
    'too much for the day' => [['minutes' => 20], 'Thursday, Circle every E: The day has 15 min'],
    'no practice day' => [['locked' => ['2031-05-10']], 'Saturday is no practice day'],
    'another week' => [['locked' => ['2031-05-13']], 'not a day of this week'],
    'no such kind' => [['kind' => 'party'], 'kind'],
    'no title' => [['title' => ''], 'title'],
]);

test('a day that has become too short for what is locked there does not stand in the way of another change', function (): void {
    $tasks = as_sent(($this->save)([...as_sent($this->week), own_task(['minutes' => 12])])->assertOk()->json());
    $this->own->student->practiceDays()->update(['minutes' => 10]);
    $tap = array_search('Tap and count', array_column($tasks, 'title'), true);
    $tasks[$tap]['starred'] = true;
    expect(collect(($this->save)($tasks)->assertOk()->json('tasks'))->firstWhere('title', 'Circle every E')['dates'])->toBe(['2031-05-08']);
    // What she makes longer now is refused.
    $own = array_search('Circle every E', array_column($tasks, 'title'), true);
    $tasks[$own]['minutes'] = 20;
    ($this->save)($tasks)->assertUnprocessable();
});

test('a stage cannot be moved before what it waits for', function (): void {
    $tasks = as_sent($this->week);
    $together = array_search('Hands together', array_column($tasks, 'title'), true);
    $tasks[$together]['locked'] = ['2031-05-05'];
    ($this->save)($tasks)->assertJsonPath('errors.tasks', fn (array $errors): bool => str_contains(implode(' ', $errors), 'Monday, Hands together: It waits for another stage'));
});

test('a card that is moved stays where it was put, does not come back where it was, and the rest gives way', function (): void {
    $tasks = as_sent($this->week);
    $warm = array_search('Warm-up', array_column($tasks, 'title'), true);
    [$from, $to] = ['2031-05-05', '2031-05-09'];
    $tasks[$warm] = ['off' => [$from], 'locked' => [$to], 'dates' => array_values(array_diff($tasks[$warm]['dates'], [$from]))] + $tasks[$warm];
    $after = ($this->save)($tasks)->assertOk()->json();
    expect(($this->card)($after, 'Warm-up'))->toMatchArray(['locked' => [$to], 'off' => [$from]])
        ->and(($this->card)($after, 'Warm-up')['dates'])->toContain($to)->not->toContain($from);
    foreach ($after['days'] as $day) {
        expect($day['planned'])->toBeLessThanOrEqual($day['minutes']);
    }
    // Saved once more without a change, nothing moves.
    expect(($this->save)(as_sent($after))->json('days'))->toBe($after['days']);
});

test('days that are over stay as they were, whatever is sent', function (): void {
    $before = ($this->card)($this->week, 'Warm-up')['dates'];
    CarbonImmutable::setTestNow('2031-05-07 09:00:00');
    Carbon::setTestNow('2031-05-07 09:00:00');
    $tasks = as_sent($this->week);
    $warm = array_search('Warm-up', array_column($tasks, 'title'), true);
    $tasks[$warm] = ['dates' => [], 'locked' => ['2031-05-09']] + $tasks[$warm];
    $after = ($this->card)(($this->save)($tasks)->assertOk()->json(), 'Warm-up')['dates'];
    expect(array_slice($after, 0, 2))->toBe(['2031-05-05', '2031-05-06'])->and(array_slice($before, 0, 2))->toBe(['2031-05-05', '2031-05-06']);
});

test('a tempo that jumps more than two rungs is asked back', function (): void {
    $tasks = as_sent($this->week);
    $tap = array_search('Tap and count', array_column($tasks, 'title'), true);
    $tasks[$tap]['tempo'] = 72;
    ($this->save)($tasks)->assertJsonPath('errors.tempo.0', 'From 60 to 72 is 4 rungs at once; two are enough. The next are 63 and 66.');
    expect(($this->card)(($this->save)($tasks, ['sure' => true])->assertOk()->json(), 'Tap and count')['tempo'])->toBe(72);
});

test('a light week has half the minutes on each day', function (): void {
    $light = ($this->save)(as_sent($this->week), ['share' => 50])->assertOk()->json();
    expect($light['share'])->toBe(50)->and($light['days'][0]['minutes'])->toBe(7)
        ->and(max(array_column($light['days'], 'planned')))->toBeLessThanOrEqual(7);
    $whole = ($this->save)(as_sent($light), ['share' => 100])->json();
    expect($whole['days'][0]['minutes'])->toBe(15)->and(array_sum(array_column($whole['days'], 'planned')))->toBeGreaterThan(array_sum(array_column($light['days'], 'planned')));
});

test('bars of a piece can be given, and must be there', function (): void {
    $on = ['kind' => 'stage', 'learningId' => $this->own->learning->id, 'first' => 1, 'last' => 2, 'tempo' => 60, 'minutes' => null, 'title' => 'The turn'];
    $after = ($this->save)([...as_sent($this->week), own_task($on)])->assertOk()->json();
    expect(collect($after['tasks'])->firstWhere('title', 'The turn')['bars'][0])->toMatchArray(['from' => '2.1', 'to' => '3.4', 'label' => 'bars 2–3']);
    ($this->save)([...as_sent($this->week), own_task(['last' => 9] + $on)])->assertJsonPath('errors.tasks.0', "'The turn': the piece has no such bars; it has 4.");
});

test('a week that was sent stays as it is when it is proposed again', function (): void {
    $this->putJson("/api/weeks/{$this->week['id']}/sent")->assertOk();
    $ids = Task::query()->where('week_id', $this->week['id'])->orderBy('id')->pluck('id')->all();
    $again = $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->json();
    expect(array_column($again['tasks'], 'id'))->toBe($ids);
});

test('a plan that was changed is sent again with what has changed, and asks for it until then', function (): void {
    $this->own->student->update(['family_mail' => 'family@home.example']);
    $send = fn (): array => $this->putJson("/api/weeks/{$this->week['id']}/sent")->assertOk()->json();
    $shown = fn (): array => $this->getJson("/api/weeks/{$this->week['id']}")->assertOk()->json();
    expect($shown()['changes'])->toBe([])->and($send()['changes'])->toBe([]);
    $tasks = as_sent($shown());
    $this->own->student->practiceDays()->update(['minutes' => 60]);
    $this->putJson("/api/weeks/{$this->week['id']}", ['tasks' => [...$tasks, own_task(['title' => 'Clap it', 'dates' => ['2031-05-07'], 'locked' => ['2031-05-07']])], 'justSo' => true])->assertOk();
    expect($shown()['changes'])->toBe(['New: Clap it (Wed 7).']);
    $this->travelTo('2031-05-06 09:00:00');
    expect($send())->toMatchArray(['changes' => [], 'sentAt' => '2031-05-06T09:00:00+00:00']);
    $mails = $this->getJson('/api/mails')->assertOk()->json();
    expect($mails)->toHaveCount(2)
        ->and(array_column($mails, 'subject'))->toContain('What has changed in Ida’s plan')
        ->and(implode(array_column($mails, 'body')))->toContain("New: Clap it (Wed 7).\n");
});

test('what a missed day moves is nothing to send', function (): void {
    $this->putJson("/api/weeks/{$this->week['id']}/sent")->assertOk();
    $before = $this->getJson("/api/weeks/{$this->week['id']}")->json('tasks');
    $this->travelTo('2031-05-08 09:00:00');
    $after = $this->getJson("/api/weeks/{$this->week['id']}")->assertOk()->json();
    expect(array_column($after['tasks'], 'dates'))->not->toBe(array_column($before, 'dates'))->and($after['changes'])->toBe([]);
    // What the teacher has changed before is still hers to send.
    $tasks = as_sent($after);
    $this->putJson("/api/weeks/{$this->week['id']}", ['tasks' => [...$tasks, own_task(['title' => 'Clap it', 'dates' => ['2031-05-09'], 'locked' => ['2031-05-09']])], 'justSo' => true])->assertOk();
    $this->travelTo('2031-05-09 09:00:00');
    expect($this->getJson("/api/weeks/{$this->week['id']}")->json('changes'))->toContain('New: Clap it (Fri 9).');
});

test('the first screen shows the leaf, what is stuck and what waits', function (): void {
    $this->putJson("/api/lessons/{$this->own->lesson->id}/marks/{$this->own->task('Tap and count')->id}", ['mark' => 'again']);
    $stage = $this->own->task('Tap and count')->stage_id;
    foreach ([1, 2] as $earlier) {
        Task::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'week_id' => $this->own->weekBefore($earlier)->id, 'stage_id' => $stage, 'kind' => 'stage', 'title' => 'x', 'instruction' => '', 'half_minutes' => 2, 'mark' => 'again']);
    }
    $row = $this->getJson('/api/this-week')->assertOk()->json(0);
    expect($row['stuck'])->toBe(['Blue Gate: tap and count, 3 lessons'])
        ->and($row['waiting'])->toContain('the plan is not sent yet')
        ->and($row['leaf'])->toHaveCount(7)
        ->and($row['pieces'])->toBe(['Blue Gate']);
});

test('a plan goes to the links that are open on the student’s day, not on the server’s', function (): void {
    $this->own->studio->update(['timezone' => 'America/New_York']);
    $receivers = fn (): array => $this->getJson("/api/weeks/{$this->own->week->id}")->assertOk()->json('receivers');
    $this->own->link->update(['expires_on' => '2031-05-05']);
    $this->travelTo('2031-05-06 02:00:00');
    expect($receivers())->toBe(['Home']);
    $this->travelTo('2031-05-06 05:00:00');
    expect($receivers())->toBe([]);
    $this->own->link->update(['expires_on' => null]);
    expect($receivers())->toBe(['Home']);
    $this->own->link->update(['withdrawn_at' => now()]);
    expect($receivers())->toBe([]);
});
