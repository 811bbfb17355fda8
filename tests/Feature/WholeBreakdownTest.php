<?php

declare(strict_types=1);

use App\Lesson\Slip;
use App\Student\Learning\Learning;
use App\Student\Learning\OpenManyAgain;
use App\Student\Learning\OpenPiece;
use App\Student\Learning\Stage;
use App\Week\ProposeWeek;
use App\Week\Task;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\LearningState;
use Tests\Fixtures;

/** The stages of a page that are passed, by their names. */
function passed_stages(Fixtures $own): array
{
    return $own->learning->stages()->whereNotNull('passed_on')->orderBy('position')->get()->map(fn (Stage $stage): string => $stage->title())->all();
}

function pass_all(Fixtures $own): void
{
    $own->learning->stages()->update(['passed_on' => Fixtures::MONDAY]);
}

/** A tune of the fixtures, corrected. */
function corrected(string $from, string $to): array
{
    return ['label' => '', 'shorthand' => str_replace($from, $to, Fixtures::TUNE)];
}

/** @return list<array<string, mixed>> steps as the editor sends them */
function steps(string ...$kinds): array
{
    return array_map(fn (string $kind): array => ['kind' => $kind, 'name' => '', 'sentence' => '', 'passMark' => '', 'petal' => null, 'hand' => null, 'usually' => 'once through', 'chunks' => 'line'], $kinds);
}

const HUM = ['kind' => 'own', 'name' => 'Hum it', 'sentence' => 'Hum the tune.', 'passMark' => '', 'petal' => 'notes', 'hand' => null, 'usually' => 'three in a row', 'chunks' => 'whole'];

test('what a correction does not touch stays passed', function (): void {
    $own = new Fixtures();
    pass_all($own);
    $this->actingAs($own->teacher)->putJson("/api/pieces/{$own->piece->id}", corrected('q5 4 h3', 'q5 3 h3'))->assertOk();
    expect(passed_stages($own))->toBe(['tap and count', 'left hand'])
        ->and($own->learning->stages()->count())->toBe(11);
});

test('a title corrected touches nothing, and a finished page with a touched stage is open again', function (): void {
    $own = new Fixtures();
    pass_all($own);
    $own->learning->update(['state' => 'finished', 'finished_on' => Fixtures::MONDAY]);
    $this->actingAs($own->teacher)->putJson("/api/pieces/{$own->piece->id}", corrected('Blue Gate', 'Green Gate'))->assertOk();
    expect(passed_stages($own))->toHaveCount(11)->and($own->learning->refresh()->state)->toBe(LearningState::Finished);
    $this->putJson("/api/pieces/{$own->piece->id}", corrected('w1', 'w2'))->assertOk();
    expect($own->learning->refresh()->state)->toBe(LearningState::Current)->and(passed_stages($own))->toContain('right hand');
});

test('a correction is there at once for the few who are on the page, and for all others by the queue', function (): void {
    $own = new Fixtures();
    config(['queue.default' => 'database']);
    $own->learning->update(['state' => 'finished', 'finished_on' => Fixtures::MONDAY]);
    $others = array_map(static fn (int $number): Learning => app(OpenPiece::class)($own->student("Child {$number}", 8), $own->piece, CarbonImmutable::parse(Fixtures::MONDAY)), range(1, OpenManyAgain::AT_ONCE + 1));
    // Whoever has no stage in its place has not been broken down again.
    Stage::query()->update(['position' => null]);
    $this->actingAs($own->teacher)->putJson("/api/pieces/{$own->piece->id}", corrected('q5 4 h3', 'q5 3 h3'))->assertOk();
    $isDone = static fn (Learning $learning): bool => $learning->stages()->exists();
    // The newest are the ones at once; the finished one is the last of all.
    expect(array_map($isDone, [...$others, $own->learning]))->toBe([false, true, true, true, true, false])->and(DB::table('jobs')->count())->toBe(1);
    Artisan::call('queue:work', ['connection' => 'database', '--once' => true, '--sleep' => 0]);
    expect(array_map($isDone, [...$others, $own->learning]))->each->toBeTrue()->and(DB::table('jobs')->count())->toBe(0);
});

test('a page goes over to a path of the studio and back, and loses nothing', function (): void {
    $own = new Fixtures();
    pass_all($own);
    $this->actingAs($own->teacher);
    $path = $this->postJson('/api/paths', ['name' => 'Humming', 'steps' => [HUM, ...steps('right hand', 'left hand', 'hands together')]])->assertOk()->json();
    expect($path['steps'][0])->toMatchArray(['name' => 'Hum it', 'passMark' => 'three in a row with no slip, at this tempo', 'usually' => 'three in a row']);
    $learning = $this->putJson("/api/learnings/{$own->learning->id}/path", ['path' => 'beat', 'pathId' => $path['id']])->assertOk()->json();
    expect(array_column($learning['stages'], 'name'))->toBe(['Hum it', 'right hand', 'left hand', 'hands together'])
        ->and(array_column($learning['stages'], 'passedOn'))->toBe([null, Fixtures::MONDAY, Fixtures::MONDAY, Fixtures::MONDAY])
        ->and($learning['stages'][0])->toMatchArray(['petal' => 'notes', 'repetitions' => 3, 'instruction' => 'Hum the tune.']);
    $this->putJson("/api/learnings/{$own->learning->id}/path", ['path' => 'beat', 'pathId' => null])->assertOk();
    expect(passed_stages($own))->toHaveCount(11);
});

test('each path that ships is copied as it is', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    foreach (array_slice($this->getJson('/api/paths')->json(), 0, 3) as $shipped) {
        $copy = $this->postJson('/api/paths', ['name' => "{$shipped['name']} of mine", 'steps' => $shipped['steps']])->assertOk()->json();
        expect($copy['steps'])->toBe($shipped['steps']);
    }
});

test('an edited path is followed by the pages on it, and a path that is given up hands them back', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $id = $this->postJson('/api/paths', ['name' => 'Humming', 'steps' => [HUM, ...steps('right hand')]])->json('id');
    $this->putJson("/api/learnings/{$own->learning->id}/path", ['path' => 'beat', 'pathId' => $id])->assertOk();
    $this->putJson("/api/paths/{$id}", ['name' => 'Humming', 'steps' => steps('left hand', 'right hand')])->assertOk();
    expect($own->learning->stages()->orderBy('position')->pluck('kind')->map->value->all())->toBe(['left hand', 'right hand']);
    $this->deleteJson("/api/paths/{$id}")->assertNoContent();
    expect($own->learning->stages()->count())->toBe(11)->and($own->learning->refresh()->path_id)->toBeNull();
});

test('a path is refused with the reason', function (array $body, string $field, string $says): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher)->postJson('/api/paths', $body)->assertUnprocessable()->assertJsonPath("errors.{$field}.0", $says);
})->with([
    [['name' => 'Quiet start', 'steps' => steps('finish')], 'name', 'There is a path of this name already.'],
    [['name' => 'None', 'steps' => []], 'steps', 'A path needs at least one stage.'],
    [['name' => 'Twice', 'steps' => steps('finish', 'finish')], 'steps', "The stage 'finish' is on this path twice."],
    [['name' => 'Taken', 'steps' => [['name' => 'finish'] + HUM]], 'steps', "'finish' is the name of a stage that is there already; call yours something else."],
]);

test('a path of another studio is no choice', function (): void {
    [$own, $other] = [new Fixtures('north'), new Fixtures('south')];
    $this->actingAs($own->teacher)->putJson("/api/learnings/{$own->learning->id}/path", ['path' => 'beat', 'pathId' => $other->path->id])->assertUnprocessable();
    expect(array_column($this->getJson('/api/paths')->assertOk()->json(), 'name'))->toBe(['Beat first', 'Notes first', 'Sound first', 'Quiet start']);
});

test('her fingers are answered with the page, and taken back', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $music = $own->piece->refresh()->music;
    $first = array_values(array_filter($this->getJson("/api/pieces/{$own->piece->id}/breakdown")->json('report.events'), fn (array $event): bool => $event['hand'] === 'R'))[1];
    expect($first)->toMatchArray(['place' => '1.2', 'fingers' => [2], 'finger_from' => 'page']);
    $this->putJson("/api/pieces/{$own->piece->id}/fingers", ['fingers' => [['hand' => 'R', 'place' => '1.2', 'pitch' => 'D4', 'finger' => 3]]])->assertNoContent();
    $after = $this->getJson("/api/pieces/{$own->piece->id}/breakdown")->json();
    $event = array_values(array_filter($after['report']['events'], fn (array $event): bool => $event['id'] === $first['id']))[0];
    expect($event)->toMatchArray(['fingers' => [3], 'finger_from' => 'teacher'])
        ->and($after['ownFingers'])->toBe([['hand' => 'R', 'place' => '1.2', 'pitch' => 'D4', 'finger' => 3]])
        ->and($own->piece->refresh()->music)->toBe($music);
    $this->putJson("/api/pieces/{$own->piece->id}/fingers", ['fingers' => []])->assertNoContent();
    expect($this->getJson("/api/pieces/{$own->piece->id}/breakdown")->json('ownFingers'))->toBe([]);
});

test('a verdict gives a thorn, takes it away, and is taken back', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $point = fn (): array => $this->getJson("/api/pieces/{$own->piece->id}/breakdown")->json('report.sticking.2');
    $before = $point();
    foreach ([['hard', true], ['easy', false]] as [$verdict, $thorn]) {
        $this->putJson("/api/pieces/{$own->piece->id}/verdict", ['measure' => 3, 'verdict' => $verdict])->assertNoContent();
        expect($point())->toMatchArray(['measure' => 3, 'teacher' => $verdict, 'thorn' => $thorn]);
    }
    $this->putJson("/api/pieces/{$own->piece->id}/verdict", ['measure' => 3, 'verdict' => null])->assertNoContent();
    expect($point())->toBe($before);
});

test('an octave higher, the keys are others and the fingers the same', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $report = fn (): array => $this->getJson("/api/pieces/{$own->piece->id}/breakdown")->json('report');
    $before = $report();
    $this->putJson("/api/pieces/{$own->piece->id}/octave", ['octave' => 1])->assertNoContent();
    $after = $report();
    expect($after['notes'][0]['midi'])->toBe($before['notes'][0]['midi'] + 12)
        ->and($after['positions'][0]['thumb'])->toBe('C5')
        ->and($after['finger_lines'])->toBe($before['finger_lines']);
});

test('a piece in another position', function (): void {
    $own = new Fixtures();
    $moved = $this->actingAs($own->teacher)->getJson("/api/pieces/{$own->piece->id}/position?key=D&direction=1")->assertOk()->json();
    expect($moved['key'])->toBe('D major')->and($moved['accidentals'])->toBe(['F#'])
        ->and($moved['starts'][0])->toMatchArray(['hand' => 'R', 'pitches' => ['D4'], 'fingers' => [1], 'thumb' => 'D4'])
        ->and($moved['music'])->toContain('<fifths>2</fifths>');
    $this->getJson("/api/pieces/{$own->piece->id}/position?key=H")->assertUnprocessable()->assertJsonPath('errors.key.0', "'H' is not a key; write it like G, Bb or E minor");
});

test('a range is heard exact to the beat, and one that is none is refused', function (): void {
    $own = new Fixtures();
    $heard = $this->actingAs($own->teacher)->getJson("/api/pieces/{$own->piece->id}/playback?first=0&last=1&fromBeat=3&toBeat=2")->assertOk()->json();
    // Beats 3 and 4 of bar 1, 1 and 2 of bar 2; counted in on 1 2.
    expect($heard['beats'])->toEqual(4)->and($heard['counts'])->toBe(['1', '2'])->and($heard['enter'])->toBe('3');
    // The student's own last words of the count-in.
    $own->student->update(['count_ready' => 'go']);
    $this->getJson("/api/pieces/{$own->piece->id}/playback?first=0&last=1&fromBeat=3&toBeat=2&student={$own->student->id}")->assertJsonPath('counts', ['1', 'go']);
    $this->getJson("/api/pieces/{$own->piece->id}/playback?first=0&last=0&fromBeat=3&toBeat=2")->assertUnprocessable()->assertJsonPath('errors.fromBeat.0', 'The end of the range lies before its start.');
});

test('notes are new, shaky or secure by what the student has shown', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $other = $this->postJson("/api/pages/{$own->page->id}/pieces", ['label' => 'B', 'shorthand' => "title: After\nR: @c4 q1 2 a r\n"])->json('id');
    $status = fn (): array => array_column($this->getJson("/api/pieces/{$other}/breakdown?student={$own->student->id}")->json('report.notes'), 'status', 'pitch');
    expect($status())->toBe(['A3' => 'new', 'C4' => 'shaky', 'D4' => 'shaky']);
    $own->learning->stages()->where('kind', 'name the notes')->update(['passed_on' => '2031-05-04']);
    expect($status())->toBe(['A3' => 'new', 'C4' => 'secure', 'D4' => 'secure']);
    $this->postJson("/api/lessons/{$own->lesson->id}/slips", ['taskId' => $own->task('Tap and count')->id, 'kind' => 'wrong-note', 'measure' => 0, 'hand' => 'R'])->assertOk();
    expect(Slip::query()->latest('id')->value('note_names'))->toBe('treble:C4,treble:D4,treble:E4')
        ->and($status())->toBe(['A3' => 'new', 'C4' => 'shaky', 'D4' => 'shaky']);
    // Four weeks without anything, and what was secure is shaky.
    $own->lesson->slips()->delete();
    expect($status()['C4'])->toBe('secure');
    CarbonImmutable::setTestNow(CarbonImmutable::parse('2031-06-01 10:00'));
    expect($status()['C4'])->toBe('shaky');
});

test('sentences and words of the studio reach the page, and wrong ones are refused with the word', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $studio = ['name' => 'North', 'words' => 'uk', 'paper' => 'a4', 'timezone' => 'UTC'];
    $this->patchJson("/api/studios/{$own->studio->id}", [...$studio, 'phrases' => ['treble line' => 'Every Goat Bites']])
        ->assertUnprocessable()->assertJsonPath('errors.phrases.0', 'The sentence for the treble lines needs 5 words, one each for E, G, B, D, F, and has 3.');
    $this->patchJson("/api/studios/{$own->studio->id}", [...$studio, 'phrases' => ['treble line' => 'Eels Glide Below Deep Ferns', 'bass line' => ''], 'countWords' => ['half' => 'glide']])
        ->assertOk()->assertJsonPath('phrases.0.words', 'Eels Glide Below Deep Ferns')->assertJsonPath('countWords.2.words', 'glide')->assertJsonPath('countWords.3.label', 'dotted crotchet');
    $own->student->update(['school' => 'phrase', 'counting' => 'own-words']);
    $report = fn (): array => $this->getJson("/api/pieces/{$own->piece->id}/breakdown?student={$own->student->id}")->json('report');
    expect(array_column($report()['notes'], 'route', 'pitch')['G4'])->toContain('Eels Glide')
        ->and($report()['counting'][0]['text'])->toBe('ta ta glide');
    $own->student->update(['counting' => 'note-names']);
    expect($report()['counting'][0]['text'])->toBe('crotchet crotchet minim');
    // What was not sent stays.
    $this->patchJson("/api/studios/{$own->studio->id}", $studio)->assertOk()->assertJsonPath('phrases.0.words', 'Eels Glide Below Deep Ferns');
});

test('a report that is kept is never stale', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $ask = fn (): array => $this->getJson("/api/pieces/{$own->piece->id}/breakdown?student={$own->student->id}")->assertOk()->json('report');
    $first = $ask();
    expect($ask())->toBe($first);
    $own->student->update(['counting' => 'units']);
    expect($ask()['counting'])->not->toBe($first['counting']);
    $own->student->update(['counting' => 'numbers']);
    $this->putJson("/api/pieces/{$own->piece->id}", corrected('q5 4 h3', 'q5 3 h3'))->assertOk();
    expect($ask()['events'])->not->toBe($first['events']);
});

test('the home counts in as the student does', function (): void {
    $own = new Fixtures();
    $own->student->update(['count_ready' => 'ready go']);
    $task = $own->task('Tap and count');
    $this->getJson("/api/home/tasks/{$task->id}", ['Authorization' => "Bearer {$own->token}"])->assertOk()->assertJsonPath('parts.0.playback.counts', ['1', '2', 'ready', 'go']);
});

test('the left hand goes first in the day when its notes are shakier', function (): void {
    $own = new Fixtures();
    $own->learning->stages()->whereNotIn('kind', ['right hand', 'left hand'])->where('position', '<', 6)->update(['passed_on' => '2031-05-04']);
    $order = function () use ($own): array {
        $week = app(ProposeWeek::class)($own->student, CarbonImmutable::parse(Fixtures::MONDAY));

        return $week->tasks()->whereIn('title', ['Right hand', 'Left hand'])->with('days')->get()
            ->sortBy(fn (Task $task): string => $task->days->min('on_date').' '.$task->days->sortBy('on_date')->first()?->position)->pluck('title')->all();
    };
    expect($order())->toBe(['Right hand', 'Left hand']);
    // Both hands are named; then the left one is misread.
    Slip::query()->create(['studio_id' => $own->studio->id, 'lesson_id' => $own->lesson->id, 'task_id' => $own->task('Tap and count')->id, 'kind' => 'wrong-note', 'measure' => 0, 'place' => 'bar 1', 'hand' => 'L', 'note_names' => 'bass:C3']);
    expect($order())->toBe(['Left hand', 'Right hand']);
});
