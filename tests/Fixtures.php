<?php

declare(strict_types=1);

namespace Tests;

use App\Account\Letters\Mail;
use App\Account\Members\Membership;
use App\Account\Members\Role;
use App\Account\Studio;
use App\Account\User;
use App\Archive\Archive;
use App\Archive\ArchiveKind;
use App\Lead\LedLesson;
use App\Lead\LedStep;
use App\Lesson\Lesson;
use App\Lesson\Slip;
use App\Lesson\Timetable\CalendarFeed;
use App\Page\Book;
use App\Page\Page;
use App\Page\Photo\KeptPhoto;
use App\Page\Photo\PagePhoto;
use App\Page\Photo\PhotoLine;
use App\Page\Photo\PhotoLink;
use App\Page\Photo\PhotoState;
use App\Page\Piece\Piece;
use App\Page\Piece\StorePiece;
use App\Queue\WorkState;
use App\Sheet\Worksheet;
use App\Student\Family\FamilyLink;
use App\Student\Learning\Learning;
use App\Student\Learning\OpenPiece;
use App\Student\Paths\OwnPath;
use App\Student\Performances\Performance;
use App\Student\Student;
use App\Student\Timetable\Holiday;
use App\Week\Patterns\WeekPattern;
use App\Week\ProposeWeek;
use App\Week\Task;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use Nasturtium\Core\Formats\Photo\GreyPicture;
use Nasturtium\Core\Formats\Photo\PageCodec;
use Nasturtium\Core\Formats\Photo\ReadBar;
use Nasturtium\Core\Formats\Photo\ReadHead;
use Nasturtium\Core\Formats\Photo\ReadPage;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Formats\Photo\ReadSign;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Meter;

/** A small studio in the database: one student on one piece, with a week that was sent and a lesson that hears it. */
final class Fixtures
{
    public const TUNE = "title: Blue Gate\ntempo: 100\nR: @c4 q1 2 h3 | q3 4 h5\nL: @5=c3 w5 | w1\nR: q5 4 h3 | q3 2 h1\nL: w5 | w5\n";

    /** A Monday, the day of the lesson. */
    public const MONDAY = '2031-05-05';

    public Studio $studio;

    public User $teacher;

    public Membership $member;

    /** Who has not accepted yet. */
    public Membership $invited;

    public Student $student;

    public Book $book;

    public Page $page;

    public Piece $piece;

    public Learning $learning;

    public Week $week;

    public Lesson $lesson;

    public Slip $slip;

    public FamilyLink $link;

    public OwnPath $path;

    public Holiday $holiday;

    public Performance $performance;

    public Worksheet $worksheet;

    public CalendarFeed $calendar;

    public WeekPattern $pattern;

    public LedLesson $ledLesson;

    public string $token;

    public readonly PagePhoto $photo;

    public readonly KeptPhoto $keptPhoto;

    /** Of a phone that may send a picture. */
    public readonly string $cameraToken;

    public function __construct(string $name = 'north')
    {
        CarbonImmutable::setTestNow(self::MONDAY.' 10:00:00');
        Carbon::setTestNow(self::MONDAY.' 10:00:00');
        $this->studio = Studio::query()->create(['name' => $name, 'words' => 'uk']);
        $this->teacher = User::query()->create(['studio_id' => $this->studio->id, 'name' => 'Teacher', 'email' => "{$name}@studio.example", 'password' => 'secret-word']);
        $this->member = Membership::of($this->studio, $this->teacher, Role::Owner);
        $this->invited = Membership::query()->create(['studio_id' => $this->studio->id, 'role' => Role::Teacher, 'name' => 'Guest', 'email' => "guest-of-{$name}@studio.example"]);
        $this->student = $this->student('Ida', 9);
        $this->book = Book::query()->create(['studio_id' => $this->studio->id, 'title' => 'Made-up Book', 'level' => 'One']);
        $this->page = Page::query()->create(['studio_id' => $this->studio->id, 'book_id' => $this->book->id, 'number' => 3]);
        $this->piece = app(StorePiece::class)->fromShorthand($this->page, self::TUNE, '');
        $this->path = OwnPath::query()->create(['studio_id' => $this->studio->id, 'name' => 'Quiet start']);
        $this->path->steps()->create(['studio_id' => $this->studio->id, 'position' => 0, 'kind' => 'right hand']);
        $this->worksheet = Worksheet::query()->create(['studio_id' => $this->studio->id, 'number' => 1, 'kind' => 'name', 'count' => 1, 'hard' => 1, 'clefs' => 'treble', 'seed' => 7, 'items' => [['ask' => '', 'answer' => 'C', 'music' => null, 'sign' => null, 'options' => [], 'key' => null]]]);
        $this->performance = Performance::query()->create(['studio_id' => $this->studio->id, 'student_id' => $this->student->id, 'title' => 'Summer concert', 'on_date' => '2031-12-06']);
        $this->holiday = Holiday::query()->create(['studio_id' => $this->studio->id, 'label' => 'Winter', 'from_on' => '2031-12-20', 'to_on' => '2032-01-03', 'lessons' => false, 'practice' => true]);
        $this->pattern = WeekPattern::query()->create(['studio_id' => $this->studio->id, 'name' => 'Rainy week', 'tasks' => [['kind' => 'theory', 'title' => 'Draw ten clefs', 'instruction' => '', 'halfMinutes' => 6, 'repetitions' => 1, 'mostDays' => 1]]]);
        $this->calendar = CalendarFeed::query()->create(['studio_id' => $this->studio->id, 'student_id' => $this->student->id, 'token_hash' => FamilyLink::hash("calendar-of-{$name}")]);
        $this->token = "token-of-{$name}";
        $this->link = FamilyLink::query()->create(['studio_id' => $this->studio->id, 'student_id' => $this->student->id, 'label' => 'Home', 'token_hash' => FamilyLink::hash($this->token)]);
        $lastMonday = CarbonImmutable::parse(self::MONDAY)->subWeek();
        $this->learning = app(OpenPiece::class)($this->student, $this->piece, $lastMonday);
        $this->week = app(ProposeWeek::class)($this->student, $lastMonday);
        $this->week->update(['sent_at' => $lastMonday]);
        $this->ledLesson = LedLesson::query()->create(['studio_id' => $this->studio->id, 'student_id' => $this->student->id, 'title' => 'Instead of Monday', 'sent_at' => $lastMonday]);
        LedStep::query()->create(['studio_id' => $this->studio->id, 'student_id' => $this->student->id, 'led_lesson_id' => $this->ledLesson->id, 'position' => 0, 'learning_id' => $this->learning->id, 'stage_id' => $this->task('Right hand')->stage_id, 'first' => 0, 'last' => 1, 'hand' => 'R', 'tempo' => 60, 'words' => 'Play the right hand.', 'half_minutes' => 6]);
        $this->photo = self::readPhoto($this->page);
        $this->cameraToken = "camera-of-{$name}";
        $awaited = PagePhoto::query()->create(['studio_id' => $this->studio->id, 'page_id' => $this->page->id, 'state' => PhotoState::Awaited]);
        PhotoLink::query()->create(['studio_id' => $this->studio->id, 'page_photo_id' => $awaited->id, 'token_hash' => hash('sha256', $this->cameraToken), 'until' => now()->addMinutes(10)]);
        $this->keptPhoto = KeptPhoto::query()->create(['studio_id' => $this->studio->id, 'page_id' => $this->page->id, 'picture' => base64_encode(GreyPicture::jpeg(array_fill(0, 8, str_repeat("\xFF", 8)), 0, 8))]);
        $this->lesson = Lesson::query()->create(['studio_id' => $this->studio->id, 'student_id' => $this->student->id, 'week_id' => $this->week->id, 'held_on' => self::MONDAY]);
        $this->slip = Slip::query()->create(['studio_id' => $this->studio->id, 'lesson_id' => $this->lesson->id, 'task_id' => $this->task('Tap and count')->id, 'kind' => 'cut-short', 'measure' => 1, 'place' => 'bar 2']);
    }

    /** The address of a route about these rows. */
    public function at(string $uri): string
    {
        return '/'.strtr($uri, [
            '{archive}' => str_contains($uri, '{archive}') ? Archive::query()->firstOrCreate(['studio_id' => $this->studio->id], ['kind' => ArchiveKind::Pack, 'state' => WorkState::Done, 'file' => self::packed()])->id : 0,
            '{mail}' => str_contains($uri, '{mail}') ? $this->refusedMail()->id : 0,
            '{studio}' => $this->studio->id, '{member}' => $this->invited->id, '{student}' => $this->student->id, '{link}' => $this->link->id, '{learning}' => $this->learning->id,
            '{stage}' => $this->learning->stages()->firstOrFail()->id, '{book}' => $this->book->id, '{page}' => $this->page->id, '{piece}' => $this->piece->id,
            '{week}' => $this->week->id, '{lesson}' => $this->lesson->id, '{task}' => $this->task('Tap and count')->id, '{slip}' => $this->slip->id,
            '{path}' => $this->path->id, '{ledLesson}' => $this->ledLesson->id, '{ledStep}' => $this->ledLesson->steps()->firstOrFail()->id, '{holiday}' => $this->holiday->id, '{performance}' => $this->performance->id, '{worksheet}' => $this->worksheet->id, '{pattern}' => $this->pattern->id,
            '{calendar}' => $this->calendar->id, '{date}' => self::MONDAY, '{token}' => 'none', '{key}' => '00000000-0000-4000-8000-000000000000', '{photo}' => $this->photo->id, '{line}' => 0, '{keptPhoto}' => $this->keptPhoto->id,
        ]);
    }

    /** A picture of a page with three bars in 4/4, of which the second is a crotchet short and in doubt. */
    public static function readPhoto(Page $page): PagePhoto
    {
        $note = static fn (int $x, int $place, int $ticks): ReadSign => new ReadSign($x, 0, $ticks, 0, [new ReadHead($place)]);
        $bar = static fn (array $upper, array $doubts): ReadBar => (new ReadBar([[], []], false, false, $doubts, 0, [[0, 200], [0, 200]]))
            ->withStaff(0, $upper)->withStaff(1, [new ReadSign(40, 0, 192, 0, [])]);
        $read = new ReadPage([new ReadPhoto([Clef::Treble, Clef::Bass], 0, new Meter(4, 4), [
            $bar([$note(20, -2, 48), $note(60, -1, 48), $note(100, 0, 96)], []),
            $bar([$note(220, 1, 48), $note(260, 2, 48), $note(300, 3, 48)], [[1, 'sum']]),
            $bar([$note(440, 0, 192)], []),
        ])]);
        $photo = PagePhoto::query()->create([
            'studio_id' => $page->studio_id, 'page_id' => $page->id, 'state' => PhotoState::Read, 'revision' => 1, 'corrections' => '[]', 'reading' => PageCodec::written($read),
        ]);
        foreach ([PhotoLine::WHOLE, 0] as $position) {
            PhotoLine::query()->create(['page_photo_id' => $photo->id, 'position' => $position, 'width' => 8, 'height' => 8, 'tops' => '[96,400]', 'picture' => GreyPicture::jpeg(array_fill(0, 8, str_repeat("\xFF", 8)), 0, 8)]);
        }

        return $photo;
    }

    /** @return string an archive on its disk */
    private static function packed(): string
    {
        Storage::disk(Archive::DISK)->put('packed.zip', 'PK');

        return 'packed.zip';
    }

    /** A letter about the student that no mail server takes. */
    private function refusedMail(): Mail
    {
        return Mail::query()->firstOrCreate(['studio_id' => $this->studio->id, 'student_id' => $this->student->id], ['to' => 'family@home.example', 'subject' => 'The week', 'body' => 'Hello', 'trouble' => 'Nobody of that name.']);
    }

    /** Someone who works in the studio too. */
    public function joined(Role $role, string $name): User
    {
        $user = User::query()->create(['studio_id' => $this->studio->id, 'name' => $name, 'email' => mb_strtolower($name).'@studio.example', 'password' => 'secret-word']);
        Membership::of($this->studio, $user, $role);

        return $user;
    }

    public function student(string $name, int $age): Student
    {
        $student = Student::query()->create([
            'studio_id' => $this->studio->id, 'first_name' => $name, 'initial' => 'T', 'birth_year' => 2031 - $age,
            'lesson_weekday' => 1, 'lesson_time' => '15:00', 'path' => 'beat', 'school' => 'landmark', 'counting' => 'numbers', 'count_style' => 'bar',
            'consented_on' => '2031-01-06', 'consent_words' => 'The mother agreed at the first lesson.',
        ])->refresh();
        foreach ([1, 2, 3, 4, 5] as $weekday) {
            $student->practiceDays()->create(['studio_id' => $this->studio->id, 'weekday' => $weekday, 'minutes' => 15]);
        }

        return $student;
    }

    /** A week that was heard long ago. */
    public function weekBefore(int $weeks): Week
    {
        $from = $this->week->starts_on->subWeeks($weeks);

        return Week::query()->create(['studio_id' => $this->studio->id, 'student_id' => $this->student->id, 'starts_on' => $from->toDateString(), 'ends_on' => $from->addWeek()->toDateString()]);
    }

    public function task(string $title): Task
    {
        return Task::query()->where('week_id', $this->week->id)->where('title', $title)->firstOrFail();
    }
}
