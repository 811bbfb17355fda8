<?php

declare(strict_types=1);

use App\Page\Piece\StorePiece;
use App\Student\Learning\OpenPiece;
use App\Student\Learning\SignedOff;
use App\Student\Student;
use App\Week\Practice;
use App\Week\Task;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Practice\LearningState;
use Tests\Fixtures;

const NEW_STUDENT = [
    'firstName' => 'Otto', 'initial' => 'V.', 'age' => 7, 'lessonWeekday' => 3, 'lessonTime' => '16:30', 'lessonMinutes' => 30,
    'path' => 'sound', 'school' => 'phrase', 'landmarkLevel' => 2, 'counting' => 'units', 'countStyle' => 'bar', 'handSpan' => 6,
    'pathId' => null, 'landmarkMiddle' => true, 'longNotes' => 'after', 'compoundBeats' => 'dotted-quarters', 'countReady' => 'ready go',
    'practiceDays' => [['weekday' => 1, 'minutes' => 10], ['weekday' => 2, 'minutes' => 0]],
];

test('a student is added with days and ways, and changed', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $id = $this->postJson('/api/students', NEW_STUDENT)->assertOk()
        ->assertJson(['name' => 'Otto V.', 'age' => 7, 'path' => 'sound', 'heardPasses' => false, 'practiceDays' => [['weekday' => 1, 'minutes' => 10]]])->json('id');
    $this->putJson("/api/students/{$id}", ['age' => 8, 'practiceDays' => []] + NEW_STUDENT)->assertOk()->assertJson(['age' => 8, 'practiceDays' => []]);
    // What is heard passes a stage only where it is said so; a screen that does not know of it changes nothing.
    $this->putJson("/api/students/{$id}", ['heardPasses' => true] + NEW_STUDENT)->assertOk()->assertJson(['heardPasses' => true]);
    $this->putJson("/api/students/{$id}", NEW_STUDENT)->assertOk()->assertJson(['heardPasses' => true]);
});

test('no two lessons of one teacher are at one time, unless she says that they come together', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $add = fn (array $change) => $this->postJson('/api/students', $change + NEW_STUDENT);
    $otto = $add([])->assertOk()->json('id');
    $add(['firstName' => 'Mia', 'lessonTime' => '16:45'])->assertJsonPath('errors.together.0', 'Otto V. has a lesson then: Wednesdays, 16:30 to 17:00. Choose another time, or say that they come together.');
    $mia = $add(['firstName' => 'Mia', 'lessonTime' => '17:00'])->assertOk()->json('id');
    // A second lesson counts as well, and so does what is changed later.
    $second = ['secondWeekday' => 3, 'secondTime' => '16:00', 'secondMinutes' => 45];
    $add(['firstName' => 'Lou', 'lessonWeekday' => 4, ...$second])->assertJsonValidationErrors('together');
    $this->putJson("/api/students/{$mia}", ['lessonTime' => '16:35'] + NEW_STUDENT)->assertJsonValidationErrors('together');
    $this->putJson("/api/students/{$mia}", ['lessonTime' => '16:35', 'together' => true] + NEW_STUDENT)->assertOk();
    // What was said once is not asked again, and whoever left has no lesson.
    $this->putJson("/api/students/{$mia}", ['lessonTime' => '16:35', 'age' => 9] + NEW_STUDENT)->assertOk();
    $this->putJson("/api/students/{$otto}/left", ['left' => true])->assertOk();
    $this->putJson("/api/students/{$mia}", ['lessonTime' => '16:30'] + NEW_STUDENT)->assertOk();
    // Another teacher hears hers when she likes.
    Student::query()->findOrFail($mia)->update(['membership_id' => $own->invited->id]);
    $add(['firstName' => 'Kit'])->assertOk();
});

test('what cannot be is refused by its name', function (string $field, mixed $value): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher)->postJson('/api/students', [$field => $value] + NEW_STUDENT)->assertJsonValidationErrors($field);
})->with([['firstName', ''], ['age', 2], ['lessonWeekday', 8], ['lessonTime', '25:00'], ['path', 'fast'], ['handSpan', 30]]);

test('the page of a student has its flowers, stages and links', function (): void {
    $own = new Fixtures();
    $detail = $this->actingAs($own->teacher)->getJson("/api/students/{$own->student->id}")->assertOk()->json();
    $stages = array_column($detail['learnings'][0]['stages'], 'name');
    expect($stages)->toBe(['look over', 'tap and count', 'name the notes', 'fingers in the air', 'right hand', 'left hand', 'hands together', 'join lines', 'whole, slow', 'tempo ladder', 'finish'])
        ->and($detail['learnings'][0]['petals'][2])->toBe(['name' => 'counts', 'passed' => 0, 'stages' => 1])
        ->and($detail['learnings'][0]['stages'][4]['bars'][0]['label'])->toBe('bars 1–2')
        ->and($detail['links'][0]['url'])->toBeNull();
});

test('a stage is ticked by hand; the last one signs the page off, and can be taken back', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    foreach ($own->learning->stages()->pluck('id') as $id) {
        $this->patchJson("/api/stages/{$id}", ['passed' => true])->assertOk()->assertJsonPath('passedOn', Fixtures::MONDAY);
    }
    expect($own->learning->refresh()->state)->toBe(LearningState::Finished);
    // The student's page has its flower; the stages come when they are wanted.
    $shown = $this->getJson("/api/students/{$own->student->id}")->assertOk()->json('learnings.0');
    $whole = $this->getJson("/api/learnings/{$own->learning->id}")->assertOk()->json();
    expect($shown['stages'])->toBe([])->and($whole['stages'])->toHaveCount(11)
        ->and([...$shown, 'stages' => $whole['stages']])->toBe($whole)
        ->and(array_sum(array_column($shown['petals'], 'stages')))->toBeGreaterThan(5);
    $this->patchJson("/api/stages/{$id}", ['passed' => false])->assertJsonPath('passedOn', null);
    expect($own->learning->refresh()->state)->toBe(LearningState::Current)->and($own->learning->finished_on)->toBeNull();
});

test('after years a student’s page has the newest pages that are signed off, and all of them when they are wanted', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $pages = [];
    for ($at = 1; $at <= SignedOff::SHOWN + 2; $at++) {
        $piece = app(StorePiece::class)->fromShorthand($own->page, str_replace('Blue Gate', "Gate {$at}", Fixtures::TUNE), '');
        $learning = app(OpenPiece::class)($own->student, $piece, CarbonImmutable::parse('2031-01-01')->addDays($at));
        $learning->stages()->update(['passed_on' => '2031-04-01']);
        $learning->update(['state' => LearningState::Finished, 'finished_on' => '2031-04-01']);
        $pages[] = "Gate {$at}";
    }
    $shown = $this->getJson("/api/students/{$own->student->id}")->assertOk()->json();
    $newestFirst = array_reverse($pages);
    expect(array_column($shown['learnings'], 'title'))->toBe(['Blue Gate', ...array_slice($newestFirst, 0, SignedOff::SHOWN)])
        ->and(array_count_values(array_map('json_encode', array_column($shown['opened'], 'signedOff'))))->toBe(['false' => 1, 'true' => SignedOff::SHOWN + 2])
        ->and(array_column($shown['opened'], 'title'))->toBe(['Blue Gate', ...$newestFirst])
        ->and($shown['learnings'][1]['petals'][0]['passed'])->toBe($shown['learnings'][1]['petals'][0]['stages'])->toBeGreaterThan(0);
    $all = $this->getJson("/api/students/{$own->student->id}/signed-off")->assertOk()->json();
    expect(array_column($all, 'title'))->toBe($newestFirst)->and($all[0])->toBe($shown['learnings'][1]);
});

test('a stage of the teacher’s own counts for the petal she gave it, on a page that is signed off too', function (): void {
    $own = new Fixtures();
    $own->learning->stages()->where('kind', 'right hand')->update(['kind' => 'own', 'name' => 'Hum it', 'petal' => 'notes']);
    $own->learning->stages()->update(['passed_on' => Fixtures::MONDAY]);
    $open = $this->actingAs($own->teacher)->getJson("/api/students/{$own->student->id}")->json('learnings.0.petals');
    $own->learning->update(['state' => 'finished', 'finished_on' => Fixtures::MONDAY]);
    expect($this->getJson("/api/students/{$own->student->id}")->json('learnings.0.petals'))->toBe($open);
});

test('opening a page twice opens it once', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    foreach ([1, 2] as $time) {
        $this->postJson("/api/students/{$own->student->id}/learnings", ['pieceId' => $own->piece->id])->assertOk();
    }
    expect($own->student->learnings()->count())->toBe(1)->and($own->learning->stages()->count())->toBe(11);
});

test('a link is told once, works, and closes when it is withdrawn or over', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $url = $this->postJson("/api/students/{$own->student->id}/links", ['label' => 'Grandmother', 'expiresOn' => '2031-05-06'])->assertOk()->json('url');
    $token = basename($url);
    $day = function () use ($token): int {
        app('auth')->forgetGuards();

        return $this->getJson('/api/home/week', ['Authorization' => "Bearer {$token}"])->status();
    };
    expect($day())->toBe(200);
    $this->travelTo('2031-05-07 08:00:00');
    expect($day())->toBe(401);
    $this->travelTo('2031-05-06 08:00:00');
    expect($day())->toBe(200);
    $id = $own->student->familyLinks()->where('label', 'Grandmother')->value('id');
    $this->actingAs($own->teacher)->deleteJson("/api/links/{$id}")->assertNoContent();
    expect($day())->toBe(401);
});

test('erasing a student takes everything of theirs', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher)->deleteJson("/api/students/{$own->student->id}")->assertNoContent();
    expect(Student::query()->count() + Task::withTrashed()->count() + Practice::query()->count())->toBe(0)
        ->and($own->piece->refresh()->exists)->toBeTrue();
});
