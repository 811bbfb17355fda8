<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\Members\Membership;
use App\Account\Members\Role;
use App\Account\Studio;
use App\Account\User;
use App\Drill\TakeAnswers;
use App\Lesson\Lesson;
use App\Lesson\MarkTask;
use App\Lesson\Slip;
use App\Page\Book;
use App\Page\Page;
use App\Page\Piece\NoteNames;
use App\Page\Piece\Piece;
use App\Page\Piece\StorePiece;
use App\Student\Family\FamilyLink;
use App\Student\KnowNotes;
use App\Student\Learning\Learning;
use App\Student\Learning\OpenPiece;
use App\Student\PracticeDay;
use App\Student\Student;
use App\Week\ProposeWeek;
use App\Week\SentPlan;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\Slip as SlipKind;
use Nasturtium\Core\Practice\TaskClass;

/**
 * An invented studio with four weeks behind it. The weeks are lived through with the same actions that serve the
 * teacher, up to today; chance is seeded, so that the studio is the same whenever it is made on the same weekday.
 */
final class DemoStudio
{
    public const EMAIL = 'teacher@windowsill.example';

    public const PASSWORD = 'nasturtium';

    private const WEEKS = 4;

    /** Of a hundred, how much sooner preparation passes than playing. */
    private const PREPARED = 30;

    private readonly Chance $chance;

    private readonly PractiseWeek $practise;

    public function __construct(
        private readonly StorePiece $store,
        private readonly OpenPiece $open,
        private readonly ProposeWeek $propose,
        private readonly MarkTask $mark,
        private readonly NoteNames $names,
        private readonly KnowNotes $know,
        private readonly TakeAnswers $take,
    ) {
        $this->chance = new Chance(20310505);
        $this->practise = new PractiseWeek($this->chance);
    }

    public static function homeToken(): string
    {
        return substr(hash_hmac('sha256', 'demo home', (string) config('app.key')), 0, 40);
    }

    /** Does nothing when the demo teacher is there already. */
    public function make(CarbonImmutable $today): void
    {
        if (User::query()->where('email', self::EMAIL)->exists()) {
            return;
        }
        DB::transaction(function () use ($today): void {
            $teacher = User::query()->create(['name' => 'Odile Fenn', 'email' => self::EMAIL, 'password' => self::PASSWORD]);
            $studio = $this->studio($teacher, $today, self::homeToken());
            $teacher->update(['studio_id' => $studio->id]);
        });
    }

    /**
     * One of somebody's own, beside her studio.
     *
     * @param Closure(int, int): void $tell of how many students how many are there
     */
    public function for(User $user, CarbonImmutable $today, Closure $tell): Studio
    {
        $studio = DB::transaction(fn (): Studio => $this->studio($user, $today, null, $tell));
        $studio->update(['is_demo' => true]);

        return $studio;
    }

    /** @param ?Closure(int, int): void $tell */
    private function studio(User $teacher, CarbonImmutable $today, ?string $homeToken, ?Closure $tell = null): Studio
    {
        $studio = Studio::query()->create(['name' => 'Windowsill Piano Studio', 'words' => 'uk', 'paper' => 'a4', 'timezone' => 'UTC']);
        $pieces = $this->books($studio);
        $students = $this->file('students.php');
        foreach ($students as $number => $given) {
            $tell?->__invoke($number, count($students));
            $this->student($studio, $given, $pieces, $today, $number === 0 ? $homeToken ?? Str::random(40) : null);
        }
        // Last, for it holds the teacher's row, which whatever she does meanwhile would wait for.
        Membership::of($studio, $teacher, Role::Owner);

        return $studio;
    }

    /** @return array<array-key, mixed> */
    private function file(string $name): array
    {
        return require database_path("demo/{$name}");
    }

    /** @return array<string, Piece> by title */
    private function books(Studio $studio): array
    {
        $pieces = [];
        foreach ($this->file('books.php') as $given) {
            $book = Book::query()->create(['studio_id' => $studio->id, 'title' => $given['title'], 'level' => $given['level']]);
            foreach ($given['pages'] as $number => $on) {
                [$kind, $introduces, $tunes, $title, $teacher] = array_pad($on, 5, null);
                $page = Page::query()->create(['studio_id' => $studio->id, 'book_id' => $book->id, 'number' => $number, 'title' => $title ?? '', 'kind' => $kind, 'introduces' => $introduces]);
                foreach ($tunes as $label => $tune) {
                    $piece = $this->store->fromShorthand($page, $tune, (string) $label);
                    if (is_string($teacher)) {
                        $piece->update(['duet' => $this->store->written($teacher)]);
                    }
                    $pieces[$piece->title] = $piece;
                }
            }
        }

        return $pieces;
    }

    /**
     * @param  array<string, mixed>  $given
     * @param  array<string, Piece>  $pieces
     */
    private function student(Studio $studio, array $given, array $pieces, CarbonImmutable $today, ?string $homeToken): void
    {
        $student = Student::query()->create([
            'studio_id' => $studio->id, 'first_name' => $given['first_name'], 'initial' => $given['initial'],
            'birth_year' => $today->year - $given['age'], 'lesson_weekday' => $given['weekday'], 'lesson_time' => $given['time'],
            'lesson_minutes' => $given['lesson'], 'path' => $given['path'], 'school' => $given['school'],
            'landmark_level' => $given['level'], 'hand_span' => $given['span'],
            ...$given['age'] < 18 ? ['consented_on' => $today->subWeeks(self::WEEKS + 1)->toDateString(), 'consent_words' => 'A parent agreed at the first lesson, by signature.'] : [],
        ]);
        foreach ($given['days'] as $weekday => $minutes) {
            PracticeDay::query()->create(['studio_id' => $studio->id, 'student_id' => $student->id, 'weekday' => $weekday, 'minutes' => $minutes]);
        }
        if ($homeToken !== null) {
            FamilyLink::query()->create(['studio_id' => $studio->id, 'student_id' => $student->id, 'label' => 'Family tablet', 'token_hash' => FamilyLink::hash($homeToken)]);
        }
        $next = $student->lessonOnOrAfter($today);
        $waiting = array_map(static fn (string $title): Piece => $pieces[$title], $given['pieces']);
        for ($ago = self::WEEKS; $ago >= 1; $ago--) {
            $lesson = $next->subWeeks($ago);
            if ($ago < self::WEEKS) {
                $this->hear($student, $lesson, $given['ease']);
            }
            $this->openNext($student, $waiting, $lesson);
            $week = ($this->propose)($student, $lesson);
            // The last student's newest week is left for the teacher to look at and send.
            if ($ago > 1 || $given['first_name'] !== 'Jonas') {
                $week->update(['sent_at' => $lesson->setTime(18, 0)]);
                SentPlan::keep($week);
                ($this->practise)($week, $given['care'], $today);
            }
        }
        if ($given['trains'] ?? false) {
            (new TrainInRoom($this->know, $this->take, new Chance($student->birth_year)))($student, $today);
        }
        (new PlayAtHome(new Chance($student->birth_year + 1)))($student, $today);
    }

    /** @param array<int, Piece> $waiting */
    private function openNext(Student $student, array &$waiting, CarbonImmutable $lesson): void
    {
        $current = Learning::query()->where('student_id', $student->id)->where('state', LearningState::Current)->withCount(['stages as open' => static fn ($stages) => $stages->whereNull('passed_on')])->get();
        $nearlyDone = $current->every(static fn (Learning $learning): bool => (int) $learning->getAttribute('open') <= 6);
        if ($waiting !== [] && $current->count() < 2 && $nearlyDone) {
            $learning = ($this->open)($student, array_shift($waiting), $lesson);
            // The page is looked over, or listened to, together at the lesson.
            $learning->stages()->where('position', 0)->update(['passed_on' => $lesson->toDateString()]);
        }
    }

    private function hear(Student $student, CarbonImmutable $heldOn, int $ease): void
    {
        $week = Week::query()->where('student_id', $student->id)->where('ends_on', $heldOn->toDateString())->with(['tasks.stage', 'tasks.learning', 'tasks.bars', 'tasks.practices'])->firstOrFail();
        $lesson = Lesson::query()->create([
            'studio_id' => $student->studio_id, 'student_id' => $student->id, 'week_id' => $week->id, 'held_on' => $heldOn, 'finished_at' => $heldOn->setTime(18, 0),
        ]);
        foreach ($week->tasks as $task) {
            if ($task->learning_id === null || $task->practices->isEmpty()) {
                continue;
            }
            $ready = $task->stage === null || $task->stage->waitsFor()->whereNull('passed_on')->doesntExist();
            $easier = $task->taskClass() === TaskClass::Preparation ? self::PREPARED : 0;
            $pass = $this->chance->happens(min(95, $ease + $easier + 8 * $task->practices->count())) && $ready;
            if (! $pass && $task->stage?->kind === StageKind::TempoLadder && $task->tempo !== null && $task->learning !== null) {
                $task->update(['tempo_reached' => $task->learning->load(['piece', 'ladders'])->ladder(null)->next($task->tempo, true)]);
            }
            ($this->mark)($task, $pass ? LessonVerdict::Pass : LessonVerdict::Again, $heldOn);
            $bars = $task->bars->first();
            if (! $pass && $bars !== null && $this->chance->happens(35)) {
                $kinds = [SlipKind::WrongNote, SlipKind::CutShort, SlipKind::BeatLost, SlipKind::WrongFinger, SlipKind::LineTurnStall];
                $measure = $this->chance->between($bars->first, $bars->last);
                $bar = $task->learning?->load('piece')->piece->score()->measures[$measure] ?? throw new \LogicException('a task on bars has a piece');
                Slip::query()->create([
                    'studio_id' => $student->studio_id, 'lesson_id' => $lesson->id, 'task_id' => $task->id,
                    'kind' => $this->chance->oneOf($kinds), 'measure' => $measure,
                    'place' => "bar {$bar->number}", 'hand' => $task->hand, 'note_names' => $this->names->of($bar, $task->hand),
                ]);
            }
        }
    }
}
