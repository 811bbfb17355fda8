<?php

declare(strict_types=1);

/*
 * Studios to put a load on: each with a teacher, five students, each with a week that was sent, a lesson today and a link
 * home. Prints them as JSON for load.mjs. Those that are there are taken as they are.
 *   php tests/Cluster/studios.php COUNT
 */

use App\Account\Members\Membership;
use App\Account\Members\Role;
use App\Account\Studio;
use App\Account\User;
use App\Lesson\Lesson;
use App\Page\Book;
use App\Page\Page;
use App\Page\Piece\Piece;
use App\Page\Piece\StorePiece;
use App\Student\Family\FamilyLink;
use App\Student\Learning\OpenPiece;
use App\Student\Student;
use App\Week\ProposeWeek;
use App\Week\SentPlan;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\TaskKind;
use Tests\Fixtures;

require __DIR__.'/../../vendor/autoload.php';

const LOAD_STUDENTS = 5;

$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$today = CarbonImmutable::today('UTC');
$from = $today->subDays(6);
$password = password_hash('load', PASSWORD_BCRYPT, ['cost' => 4]);

/** A student with a week under way, and today's lesson on it. */
$student = static function (Studio $studio, int $number, Piece $piece) use ($today, $from, $app): void {
    $student = Student::query()->create([
        'studio_id' => $studio->id, 'first_name' => 'Student', 'initial' => chr(64 + $number), 'birth_year' => $today->year - 9,
        'lesson_weekday' => $today->isoWeekday(), 'lesson_time' => sprintf('%02d:00', 13 + $number), 'path' => 'beat', 'school' => 'landmark', 'counting' => 'numbers', 'count_style' => 'bar',
        'consented_on' => $from->toDateString(), 'consent_words' => 'Agreed.',
    ])->refresh();
    foreach ([1, 2, 3, 4, 5, 6, 7] as $weekday) {
        $student->practiceDays()->create(['studio_id' => $studio->id, 'weekday' => $weekday, 'minutes' => 20]);
    }
    $app->make(OpenPiece::class)($student, $piece, $from);
    $week = $app->make(ProposeWeek::class)($student, $from);
    $week->update(['sent_at' => $from->setTime(18, 0)]);
    SentPlan::keep($week);
    FamilyLink::query()->create(['studio_id' => $studio->id, 'student_id' => $student->id, 'label' => 'Home', 'token_hash' => FamilyLink::hash("load-{$studio->name}-{$number}")]);
    Lesson::query()->create(['studio_id' => $studio->id, 'student_id' => $student->id, 'week_id' => $week->id, 'held_on' => $today->toDateString()]);
};

$told = [];
for ($nth = 1; $nth <= (int) ($argv[1] ?? 60); $nth++) {
    $email = "load-{$nth}@longmeadow.example";
    if (! User::query()->where('email', $email)->exists()) {
        DB::transaction(static function () use ($nth, $email, $password, $student, $app): void {
            $studio = Studio::query()->create(['name' => "Load {$nth}", 'words' => 'uk', 'timezone' => 'UTC']);
            $teacher = new User(['studio_id' => $studio->id, 'name' => "Teacher {$nth}", 'email' => $email]);
            $teacher->setRawAttributes([...$teacher->getAttributes(), 'password' => $password])->save();
            Membership::of($studio, $teacher, Role::Owner);
            $book = Book::query()->create(['studio_id' => $studio->id, 'title' => 'Made-up Book', 'level' => 'One']);
            $page = Page::query()->create(['studio_id' => $studio->id, 'book_id' => $book->id, 'number' => 1]);
            $piece = $app->make(StorePiece::class)->fromShorthand($page, Fixtures::TUNE, '');
            for ($number = 1; $number <= LOAD_STUDENTS; $number++) {
                $student($studio, $number, $piece);
            }
        });
    }
    $studio = User::query()->where('email', $email)->firstOrFail()->studio_id;
    $students = [];
    foreach (Student::query()->where('studio_id', $studio)->orderBy('id')->get() as $number => $one) {
        $week = Week::query()->where('student_id', $one->id)->with('tasks.days')->firstOrFail();
        $students[] = [
            'token' => "load-Load {$nth}-".($number + 1), 'week' => $week->id, 'from' => $week->starts_on->toDateString(),
            'lesson' => Lesson::query()->where('week_id', $week->id)->firstOrFail()->id,
            'tasks' => $week->tasks->map(static fn ($task): array => ['id' => $task->id, 'stage' => $task->kind === TaskKind::Stage, 'dates' => $task->days->pluck('on_date')->map(static fn ($date): string => CarbonImmutable::parse($date)->toDateString())->all()])->all(),
        ];
    }
    $told[] = ['email' => $email, 'password' => 'load', 'students' => $students];
}
echo json_encode($told, JSON_THROW_ON_ERROR), "\n";
