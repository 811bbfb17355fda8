<?php

declare(strict_types=1);

use App\Lesson\Lesson;
use App\Page\Book;
use App\Page\Piece\StorePiece;
use App\Student\Learning\Stage;
use App\Student\Learning\StageBars;
use App\Student\Learning\StudentBooks;
use App\Week\Task;
use App\Week\TaskDay;
use Illuminate\Support\Str;
use Nasturtium\Core\Practice\LearningState;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    $this->mark = fn (string $title, ?string $mark) => $this->putJson("/api/lessons/{$this->own->lesson->id}/marks/{$this->own->task($title)->id}", ['mark' => $mark]);
    $this->stages = fn () => Stage::query()->where('learning_id', $this->own->learning->id)->whereNotNull('passed_on')->orderBy('position')->pluck('kind')->map->value->all();
});

test('the lesson hears the week before it, opened once', function (): void {
    foreach ([1, 2] as $time) {
        $lesson = $this->postJson("/api/students/{$this->own->student->id}/lessons", ['heldOn' => Fixtures::MONDAY])->assertOk()->json();
    }
    expect($lesson['id'])->toBe($this->own->lesson->id)->and($lesson['weekId'])->toBe($this->own->week->id)
        ->and($lesson['slipKinds'])->toHaveCount(11)->and($lesson['slips'][0]['words'])->toBe('rest skipped, long note cut short');
});

test('marks pass stages and can be taken back', function (): void {
    ($this->mark)('Look over', 'pass')->assertOk()->assertJsonPath('mark', 'pass');
    expect(($this->stages)())->toBe(['look over']);
    ($this->mark)('Look over', null)->assertJsonPath('mark', null);
    expect(($this->stages)())->toBe([]);
    ($this->mark)('Look over', 'stop');
    expect($this->own->learning->refresh()->state)->toBe(LearningState::Resting);
    ($this->mark)('Look over', 'again');
    expect($this->own->learning->refresh()->state)->toBe(LearningState::Current);
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
        'Hands together' => 'the next stage',
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
    $lesson = $this->postJson("/api/students/{$this->own->student->id}/lessons", ['heldOn' => '2031-05-12'])->assertOk()->json();
    $this->putJson("/api/lessons/{$lesson['id']}/marks/{$review['id']}", ['mark' => 'pass'])->assertOk();
    expect($this->own->learning->refresh()->review_step)->toBe(1)->and($this->own->learning->played_on?->toDateString())->toBe('2031-05-12');
    $this->putJson("/api/lessons/{$lesson['id']}/marks/{$review['id']}", ['mark' => 'again']);
    expect($this->own->learning->refresh()->review_step)->toBe(0);
    // Taken back, it was not played that day either.
    $this->putJson("/api/lessons/{$lesson['id']}/marks/{$review['id']}", ['mark' => null])->assertOk();
    expect($this->own->learning->refresh()->review_step)->toBe(0)->and($this->own->learning->played_on?->toDateString())->toBe('2031-04-28');
});

test('a slip is exact to the beat, counts once however often it is sent, and is taken back by its key', function (): void {
    $at = "/api/lessons/{$this->own->lesson->id}/slips";
    $slip = ['taskId' => $this->own->task('Tap and count')->id, 'kind' => 'wrong-finger', 'measure' => 1, 'last' => 2, 'fromBeat' => 3, 'toBeat' => 1, 'hand' => 'R', 'clientKey' => '3f0c2d52-7f9c-4a55-9d5e-0b1c2d3e4f50'];
    $first = $this->postJson($at, $slip)->assertOk()->assertJson(['place' => 'bar 2, beat 3 to bar 3, beat 1', 'measure' => 1, 'last' => 2])->json('id');
    expect($this->postJson($at, $slip)->json('id'))->toBe($first);
    $this->postJson($at, ['fromBeat' => 5, 'clientKey' => null] + $slip)->assertJsonPath('errors.fromBeat.0', 'Measure 2 has no beat 5.');
    $remedies = $this->getJson("/api/lessons/{$this->own->lesson->id}")->json('remedies');
    expect(array_column($remedies, 'why'))->toBe(['rest skipped, long note cut short in bar 2, at the lesson', 'wrong finger, hand drifted in bars 2–3, right hand, at the lesson'])
        ->and($remedies[1])->toMatchArray(['piece' => 'Blue Gate', 'place' => 'bars 2–3', 'tempo' => 60, 'minutes' => 1.5]);
    $this->deleteJson("{$at}/{$slip['clientKey']}")->assertNoContent();
    expect($this->getJson("/api/lessons/{$this->own->lesson->id}")->json('remedies'))->toHaveCount(1);
});

test('what comes a second time within two weeks is said to', function (): void {
    $earlier = Lesson::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'held_on' => '2031-04-28']);
    $this->own->slip->replicate(['client_key'])->fill(['lesson_id' => $earlier->id])->save();
    expect($this->getJson("/api/lessons/{$this->own->lesson->id}")->json('remedies.0.why'))->toBe('rest skipped, long note cut short in bar 2, twice in two weeks');
    $earlier->update(['held_on' => '2031-04-14']);
    expect($this->getJson("/api/lessons/{$this->own->lesson->id}")->json('remedies.0.why'))->toEndWith('at the lesson');
});

test('the tempo that was reached leads the ladder on, two failures lead it down', function (): void {
    $own = $this->own;
    $stages = Stage::query()->where('learning_id', $own->learning->id)->get()->keyBy('kind');
    Stage::query()->where('learning_id', $own->learning->id)->whereNotIn('kind', ['tempo ladder', 'finish', 'right hand'])->update(['passed_on' => '2031-04-28']);
    $heard = fn (string $kind, array $more): Task => Task::query()->create([...$more, 'studio_id' => $own->studio->id, 'student_id' => $own->student->id, 'week_id' => $own->week->id, 'learning_id' => $own->learning->id, 'stage_id' => $stages[$kind]->id, 'kind' => 'stage', 'title' => 'x', 'instruction' => '', 'half_minutes' => 2, 'mark' => 'again']);
    $heard('tempo ladder', ['tempo' => 60, 'tempo_reached' => 72]);
    $heard('right hand', ['tempo' => 60]);
    $tempi = fn (): array => collect($this->postJson("/api/students/{$own->student->id}/weeks", [])->json('tasks'))->pluck('tempo', 'title')->only(['Tempo ladder', 'Right hand', 'Finish'])->all();
    expect($tempi())->toBe(['Right hand' => 60, 'Tempo ladder' => 76, 'Finish' => 100]);
    $heard('right hand', ['tempo' => 60]);
    expect($tempi()['Right hand'])->toBe(58);
    $own->learning->ladders()->create(['studio_id' => $own->studio->id, 'hand' => '', 'start' => 50, 'goal' => 90, 'step' => 10]);
    expect($tempi())->toBe(['Right hand' => 50, 'Tempo ladder' => 80, 'Finish' => 100]);
});

test('a stage that is stuck has three ways out, and the teacher chooses', function (): void {
    $stage = Stage::query()->where('learning_id', $this->own->learning->id)->where('kind', 'right hand')->with('bars')->firstOrFail();
    foreach ([1, 2, 3] as $lesson) {
        Task::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'week_id' => $this->own->weekBefore($lesson)->id, 'learning_id' => $this->own->learning->id, 'stage_id' => $stage->id, 'kind' => 'stage', 'title' => 'x', 'instruction' => '', 'half_minutes' => 2, 'mark' => 'again']);
    }
    $stuck = $this->getJson("/api/lessons/{$this->own->lesson->id}")->json('stuck');
    expect($stuck)->toHaveCount(1)->and($stuck[0])->toMatchArray(['stageId' => $stage->id, 'piece' => 'Blue Gate', 'stage' => 'right hand', 'lessons' => 3])
        ->and(array_column($stuck[0]['reliefs'], 'words'))->toBe(['smaller pieces', 'a slower tempo', 'a rest from the page']);
    $relief = fn (string $relief) => $this->postJson("/api/stages/{$stage->id}/relief", ['relief' => $relief])->assertOk();
    [$before, $minutes] = [$stage->bars->count(), $stage->half_minutes];
    $barsOf = fn (): array => $stage->bars()->orderBy('position')->get()->map(fn (StageBars $of): array => [$of->position, $of->kind, $of->first, $of->last, $of->from_place, $of->to_place])->all();
    $bars = $barsOf();
    $relief('smaller')->assertJsonCount(0);
    expect($stage->bars()->count())->toBeGreaterThan($before)->and($stage->bars()->max('last'))->toBe(3);
    $relief('slower');
    expect($stage->refresh()->tempo)->toBe(56);
    $relief('rest');
    expect($this->own->learning->refresh()->state)->toBe(LearningState::Resting);
    $this->postJson("/api/stages/{$stage->id}/relief", ['relief' => 'sweets'])->assertJsonValidationErrors('relief');
    // Each is taken back, the last one first; then it is what it was, and as stuck.
    $back = fn (): array => $this->deleteJson("/api/stages/{$stage->id}/relief")->assertOk()->json();
    expect($back())->toBe([])->and($this->own->learning->refresh()->state)->toBe(LearningState::Current)->and($stage->refresh()->tempo)->toBe(56);
    expect($back())->toBe([])->and($stage->refresh()->tempo)->toBe(60)->and($stage->bars()->count())->toBeGreaterThan($before);
    expect($back())->toBe($stuck)
        ->and($barsOf())->toBe($bars)
        ->and($stage->refresh()->half_minutes)->toBe($minutes)
        ->and($back())->toBe($stuck);
});

test('the next page of each book that the student is in is at hand, and pages can be left out', function (): void {
    $page = fn (int $number, string $title) => app(StorePiece::class)->fromShorthand($this->own->book->pages()->create(['studio_id' => $this->own->studio->id, 'number' => $number]), "title: {$title}\nR: @c4 w1\n", '');
    $page(2, 'Before It');
    $snow = $page(5, 'Snow Day');
    $page(6, 'Thaw');
    $other = Book::query()->create(['studio_id' => $this->own->studio->id, 'title' => 'Second Book', 'level' => '']);
    app(StorePiece::class)->fromShorthand($other->pages()->create(['studio_id' => $this->own->studio->id, 'number' => 1]), "title: Far Hill\nR: @c4 w1\n", '');
    $third = Book::query()->create(['studio_id' => $this->own->studio->id, 'title' => 'Third Book', 'level' => '']);
    app(StorePiece::class)->fromShorthand($third->pages()->create(['studio_id' => $this->own->studio->id, 'number' => 1]), "title: Not Hers\nR: @c4 w1\n", '');
    StudentBooks::enter($this->own->student, $other->id);
    $next = fn ($answer): array => array_column($answer->assertOk()->json(), 'title');
    expect(array_column($this->getJson("/api/lessons/{$this->own->lesson->id}")->json('nextPages'), 'title'))->toBe(['Snow Day', 'Far Hill'])
        ->and($next($this->putJson("/api/students/{$this->own->student->id}/skipped/{$snow->page_id}")))->toBe(['Thaw', 'Far Hill'])
        ->and($next($this->deleteJson("/api/students/{$this->own->student->id}/skipped/{$snow->page_id}")))->toBe(['Snow Day', 'Far Hill']);
});

test('a lesson has its length and two notes, one of them for the family', function (): void {
    $at = "/api/lessons/{$this->own->lesson->id}";
    $this->patchJson($at, ['minutes' => 45, 'privateNote' => 'Tired today.', 'sharedNote' => 'The tune sings now!'])->assertOk();
    $this->patchJson($at, ['privateNote' => null])->assertJson(['minutes' => 45, 'privateNote' => '', 'sharedNote' => 'The tune sings now!']);
    $this->patchJson($at, ['minutes' => 3])->assertJsonValidationErrors('minutes');
    ($this->mark)('Look over', 'again')->assertJson(['tempoReached' => null, 'heardNote' => '']);
    $task = $this->own->task('Look over')->id;
    $this->putJson("{$at}/marks/{$task}", ['mark' => 'again', 'tempoReached' => 66, 'note' => ' lovely ends '])->assertJson(['tempoReached' => 66, 'heardNote' => 'lovely ends']);
    $this->putJson("{$at}/marks/{$task}", ['mark' => 'pass'])->assertJson(['tempoReached' => 66, 'heardNote' => 'lovely ends']);
});

test('remedies are kept with the lesson, and found anew when what they follow from is another', function (): void {
    $show = fn (): array => $this->getJson("/api/lessons/{$this->own->lesson->id}")->assertOk()->json('remedies');
    $queries = fn (): int => queries_of($show);
    $first = $show();
    $kept = $queries();
    expect($first)->toHaveCount(1)->and($first[0]['place'])->toBe('bars 2–3')->and($show())->toBe($first);
    // Another slip, the same taken back.
    $this->postJson("/api/lessons/{$this->own->lesson->id}/slips", ['taskId' => $this->own->task('Tap and count')->id, 'kind' => 'beat-lost', 'measure' => 2, 'hand' => 'R', 'clientKey' => $key = (string) Str::uuid()])->assertSuccessful();
    expect($queries())->toBeGreaterThan($kept)->and($show())->toHaveCount(2)->and($queries())->toBe($kept);
    $this->deleteJson("/api/lessons/{$this->own->lesson->id}/slips/{$key}")->assertNoContent();
    expect($show())->toBe($first);
    // The music is corrected, the tempo of the task is another, the piece rests.
    $this->putJson("/api/pieces/{$this->own->piece->id}", ['shorthand' => str_replace('Blue Gate', 'Green Gate', Fixtures::TUNE), 'label' => ''])->assertOk();
    expect($show()[0]['piece'])->toBe('Green Gate');
    $this->own->task('Tap and count')->update(['tempo' => 44]);
    expect($show()[0]['tempo'])->toBe(44);
    $this->own->learning->update(['state' => 'resting']);
    expect($show())->toBe([]);
});

test('a slip of a task that was removed since stays heard', function (): void {
    $this->own->task('Tap and count')->delete();
    $lesson = $this->getJson("/api/lessons/{$this->own->lesson->id}")->assertOk()->json();
    expect($lesson['slips'])->toHaveCount(1)->and($lesson['remedies'])->toHaveCount(1);
});

test('a week takes four reviews at most, what rested longest first; the others stay due', function (): void {
    foreach ([9, 40, 12, 30, 20, 60, 3] as $place => $days) {
        $page = $this->own->book->pages()->create(['studio_id' => $this->own->studio->id, 'number' => 30 + $place]);
        $piece = $this->own->piece->replicate()->fill(['page_id' => $page->id, 'title' => "Rested {$days}"]);
        $piece->save();
        $this->own->student->learnings()->create(['studio_id' => $this->own->studio->id, 'piece_id' => $piece->id, 'path' => 'beat', 'state' => 'finished', 'opened_on' => '2030-01-07', 'finished_on' => '2031-01-06', 'played_on' => now()->subDays($days)->toDateString()]);
    }
    $tasks = collect($this->postJson("/api/students/{$this->own->student->id}/weeks", [])->assertOk()->json('tasks'))->where('kind', 'review');
    expect($tasks->pluck('piece')->all())->toBe(['Rested 60', 'Rested 40', 'Rested 30', 'Rested 20'])
        ->and($this->getJson('/api/this-week')->json('0.reviewsDue'))->toHaveCount(6);
});

/** @return array<string, mixed> the card of the page, as the lesson has it */
function page_card(): array
{
    $lesson = test()->getJson('/api/lessons/'.test()->own->lesson->id)->assertOk()->json();

    return collect($lesson['cards'])->firstOrFail('learningId', test()->own->learning->id);
}

test('a page is one card: its stages in a row, the furthest that was practised is heard', function (): void {
    $card = page_card();
    expect($card)->toMatchArray(['kind' => 'stage', 'title' => 'Blue Gate', 'page' => 'Made-up Book, p. 3', 'isNew' => false, 'folded' => false, 'mark' => null])
        ->and(array_column(array_slice($card['steps'], 0, 5), 'name'))->toBe(['look over', 'tap and count', 'name the notes', 'fingers in the air', 'right hand'])
        ->and($card['steps'][1]['taskId'])->toBe($this->own->task('Tap and count')->id);
    $heard = fn (): string => collect(page_card()['steps'])->firstWhere('stageId', page_card()['heardId'])['name'];
    expect($heard())->toBe('look over');
    $task = $this->own->task('Name the notes');
    $task->practices()->create(['studio_id' => $task->studio_id, 'student_id' => $task->student_id, 'on_date' => '2031-05-06', 'repetitions' => 1, 'feeling' => 'fine', 'client_key' => (string) Str::uuid()]);
    expect($heard())->toBe('name the notes');
});

test('one mark passes a page up to the stage that was heard, and is taken back whole', function (): void {
    $steps = collect(page_card()['steps']);
    $mark = fn (?string $mark, ?string $stage) => $this->putJson("/api/lessons/{$this->own->lesson->id}/pages/{$this->own->learning->id}", ['mark' => $mark, 'stageId' => $stage === null ? null : $steps->firstWhere('name', $stage)['stageId']]);
    // The whole piece has no task yet in this week; it passes with what stands before it all the same.
    $mark('pass', 'whole, slow')->assertOk()->assertJson(['mark' => 'pass', 'heardId' => $steps->firstWhere('name', 'whole, slow')['stageId']]);
    expect(($this->stages)())->toHaveCount($steps->search(fn (array $step): bool => $step['name'] === 'whole, slow') + 1)
        ->and($this->own->task('Tap and count')->refresh()->mark?->value)->toBe('pass');
    $mark('pass', 'tap and count')->assertOk();
    expect(($this->stages)())->toBe(['look over', 'tap and count']);
    $mark('again', 'name the notes')->assertJson(['mark' => 'again']);
    expect(($this->stages)())->toBe([])->and($this->own->task('Name the notes')->refresh()->mark?->value)->toBe('again');
    $mark('stop', 'name the notes');
    expect($this->own->learning->refresh()->state)->toBe(LearningState::Resting);
    $mark(null, null)->assertJson(['mark' => null]);
    expect($this->own->learning->refresh()->state)->toBe(LearningState::Current)->and(($this->stages)())->toBe([])->and($this->own->task('Name the notes')->refresh()->mark)->toBeNull();
    $mark('maybe', null)->assertJsonValidationErrors('mark');
    $this->putJson("/api/lessons/{$this->own->lesson->id}/pages/{$this->own->learning->id}", ['mark' => 'pass', 'stageId' => 999_999])->assertJsonValidationErrors('stageId');
});

test('a page that passes to its end is signed off, and is not any more when the mark is taken back', function (): void {
    $last = collect(page_card()['steps'])->last()['stageId'];
    $at = "/api/lessons/{$this->own->lesson->id}/pages/{$this->own->learning->id}";
    $this->putJson($at, ['mark' => 'pass', 'stageId' => $last])->assertOk();
    expect($this->own->learning->refresh()->state)->toBe(LearningState::Finished);
    $this->putJson($at, ['mark' => null, 'stageId' => null])->assertOk();
    expect($this->own->learning->refresh()->state)->toBe(LearningState::Current)->and($this->own->learning->finished_on)->toBeNull();
});

test('a page that is opened at the lesson is a card there, and what makes ready passes together', function (): void {
    $piece = app(StorePiece::class)->fromShorthand($this->own->page, "title: Sand\nR: @c4 w1 | 2 | 3 | 4\n", 'B');
    $this->postJson("/api/students/{$this->own->student->id}/learnings", ['pieceId' => $piece->id])->assertOk();
    $card = collect($this->getJson("/api/lessons/{$this->own->lesson->id}")->json('cards'))->last();
    $together = collect($card['steps'])->firstWhere('stageId', $card['togetherId']);
    expect($card)->toMatchArray(['title' => 'Sand', 'isNew' => true, 'tasks' => []])->and($together['name'])->toBe('fingers in the air');
    $this->putJson("/api/lessons/{$this->own->lesson->id}/pages/{$card['learningId']}", ['mark' => 'pass', 'stageId' => $card['togetherId']])->assertJson(['togetherId' => $card['togetherId'], 'isNew' => true]);
    $this->putJson("/api/lessons/{$this->own->lesson->id}/finished")->assertOk();
    expect(Task::query()->where('learning_id', $card['learningId'])->orderBy('id')->value('title'))->toBe('Right hand');
});

test('what had no day and was not practised is folded away', function (): void {
    $tasks = Task::query()->where('week_id', $this->own->week->id)->where('learning_id', $this->own->learning->id)->pluck('id');
    TaskDay::query()->whereIn('task_id', $tasks)->delete();
    expect(page_card()['folded'])->toBeTrue();
});

test('who came is noted, and a slip at one place once', function (): void {
    $at = "/api/lessons/{$this->own->lesson->id}";
    $this->patchJson($at, ['attendance' => 'late'])->assertJson(['attendance' => 'late']);
    $this->patchJson($at, ['attendance' => 'asleep'])->assertJsonValidationErrors('attendance');
    $slip = ['taskId' => $this->own->task('Tap and count')->id, 'kind' => 'beat-lost', 'measure' => 3, 'hand' => 'R'];
    $first = $this->postJson("{$at}/slips", $slip + ['clientKey' => (string) Str::uuid()])->json('id');
    expect($this->postJson("{$at}/slips", $slip + ['clientKey' => (string) Str::uuid()])->json('id'))->toBe($first)
        ->and($this->postJson("{$at}/slips", ['hand' => 'L'] + $slip)->json('id'))->not->toBe($first);
});

test('a tempo and a note leave the mark as it is', function (): void {
    ($this->mark)('Tap and count', 'pass');
    $this->putJson("/api/lessons/{$this->own->lesson->id}/marks/{$this->own->task('Tap and count')->id}", ['tempoReached' => 60])->assertJson(['mark' => 'pass', 'tempoReached' => 60]);
});

test('a lesson that was moved before there was a week hears the week that leads to it', function (): void {
    $this->own->lesson->delete();
    $moved = Lesson::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'held_on' => '2031-05-06', 'slot_on' => Fixtures::MONDAY, 'state' => 'moved']);
    $this->postJson("/api/students/{$this->own->student->id}/lessons", ['heldOn' => '2031-05-06'])->assertJson(['id' => $moved->id, 'weekId' => $this->own->week->id]);
});

test('a lesson begins as it was moved, or as the timetable has it on its day', function (): void {
    $time = fn (): string => $this->getJson("/api/lessons/{$this->own->lesson->id}")->json('time');
    expect($time())->toBe('15:00');
    $this->own->student->update(['second_weekday' => 1, 'second_time' => '16:45']);
    expect($time())->toBe('16:45');
    $this->own->student->update(['second_time' => null]);
    expect($time())->toBe('15:00');
    $this->own->lesson->update(['at' => '09:30']);
    expect($time())->toBe('09:30');
});
