<?php

declare(strict_types=1);

use App\Demo\DemoStudio;
use App\Drill\DrillAnswer;
use App\Drill\TrainedNoteResource;
use App\Drill\TrainingOf;
use App\Lesson\Lesson;
use App\Lesson\Slip;
use App\Page\Piece\Piece;
use App\Student\Student;
use App\Week\Practice;
use App\Week\Task;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\Settings;

test('the demo studio has its students, its pieces and four weeks that were lived', function (): void {
    $today = CarbonImmutable::parse('2031-05-07');
    $this->travelTo($today);
    app(DemoStudio::class)->make($today);
    app(DemoStudio::class)->make($today);
    expect(Student::query()->count())->toBe(5)
        ->and(Piece::query()->count())->toBe(19)
        ->and(Week::query()->count())->toBe(20)
        ->and(Lesson::query()->count())->toBe(15)
        ->and(Practice::query()->count())->toBeGreaterThan(80)
        ->and(Slip::query()->count())->toBeGreaterThan(3)
        ->and(Task::query()->where('mark', 'pass')->count())->toBeGreaterThan(20)
        ->and(Practice::query()->where('on_date', '>=', $today)->count())->toBe(0);
    foreach (Piece::query()->whereNotNull('music')->get() as $piece) {
        expect(Breakdown::of($piece->score(), new Settings())->checks)->toBe([], $piece->title);
    }
    $students = Student::query()->with(['weeks' => fn ($weeks) => $weeks->where('ends_on', '>=', $today)])->get();
    expect($students->every(fn (Student $student): bool => $student->weeks->count() >= 1))->toBeTrue();
});

test('a student of the demo has trained for two weeks, and the room shows what came of it', function (): void {
    $today = CarbonImmutable::parse('2031-05-07');
    $this->travelTo($today);
    app(DemoStudio::class)->make($today);
    $lina = Student::query()->with('studio')->where('first_name', 'Lina')->firstOrFail();
    $answers = DrillAnswer::query()->where('student_id', $lina->id);
    expect($answers->count())->toBeGreaterThan(100)->and(DrillAnswer::query()->where('student_id', '!=', $lina->id)->count())->toBe(0)
        ->and(DrillAnswer::query()->where('on_date', '>=', $today)->count())->toBe(0)->and(DrillAnswer::query()->whereNull('note')->count())->toBe(0);
    $training = app(TrainingOf::class)($lina);
    expect(array_filter($training->notes, static fn (TrainedNoteResource $note): bool => $note->note->status === NoteStatus::Secure))->not->toBe([])
        ->and(count($training->sessions))->toBeGreaterThan(5);
});

test('migrations run forward on a database with data and leave it there', function (): void {
    app(DemoStudio::class)->make(CarbonImmutable::parse('2031-05-07'));
    $before = Task::query()->count();
    $this->artisan('migrate', ['--force' => true])->assertSuccessful();
    expect(Task::query()->count())->toBe($before)->toBeGreaterThan(0);
});
