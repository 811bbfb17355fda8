<?php

declare(strict_types=1);

namespace App\Archive;

use App\Account\Members\Role;
use App\Drill\DrillAnswer;
use App\Lead\VoiceRequest;
use App\Privacy\Access;
use App\Student\Family\FamilyWord;
use App\Student\Timetable\Holiday;
use App\Week\ProposeWeek;
use Nasturtium\Core\Counting\CompoundBeats;
use Nasturtium\Core\Counting\CountingSystem;
use Nasturtium\Core\Counting\CountStyle;
use Nasturtium\Core\Counting\LongNotes;
use Nasturtium\Core\Drill\DrillKind;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Book\PageKind;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Path\Petal;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Pattern\Verdict;
use Nasturtium\Core\Performance\Hearing\BadTake;
use Nasturtium\Core\Performance\Hearing\Source;
use Nasturtium\Core\Performance\Hearing\TakeFile;
use Nasturtium\Core\Practice\Attendance;
use Nasturtium\Core\Practice\Calendar\LessonState;
use Nasturtium\Core\Practice\Enough;
use Nasturtium\Core\Practice\Feeling;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Score\Limits;
use Nasturtium\Core\Sheet\MakeSheet;
use Nasturtium\Core\Sheet\SheetKind;
use Nasturtium\Core\Sight\SightWent;

/**
 * The columns that a row of each table has in an archive, each with what it may hold: the same that a request may say.
 * A test holds this list against the database.
 */
final class Columns
{
    private const HANDS = ['R', 'L'];

    private const FOR_PAGES = '2026_11_27_000001_large_studios';

    private const FOR_LESSONS = '2026_11_29_000001_lessons_by_the_page';

    /** Archives from before it do not say in which books a student is. */
    public const FOR_BOOKS = '2026_12_02_000001_books_of_students';

    /** What waited to be sent when an archive was made does not go once more when it comes back. */
    private const FOR_LETTERS = '2026_12_10_000001_letters_by_the_queue';

    private const FOR_MEMBERS = '2026_12_01_000001_memberships';

    private const FOR_SENT = '2026_12_03_000001_sent_plans';

    private const FOR_THORNS = '2026_12_04_000003_thorns_of_pieces';

    private const FOR_PERFORMANCES = '2026_12_04_000002_performances';

    private const FOR_TIMES = '2026_12_04_000001_times_by_day';

    private const FOR_DRILLS = '2026_12_06_000001_practice_room';

    private const FOR_REMEDIES = '2026_12_06_000004_notes_of_tasks';

    private const FOR_LED = '2026_12_08_000001_led_lessons';

    private const FOR_CONSENT = '2026_11_28_000001_consent_and_terms';

    /**
     * @return array<string, array<string, Column>> by table and column
     */
    public static function all(): array
    {
        $own = ['id' => Column::number(), 'studio_id' => Column::number()];
        $times = ['created_at' => Column::moment()->orNull(), 'updated_at' => Column::moment()->orNull()];
        $bars = ['position' => Column::whole(0, 9999), 'first' => Column::whole(0, Limits::MEASURES), 'last' => Column::whole(0, Limits::MEASURES), 'from_place' => Column::place(), 'to_place' => Column::place()];
        $step = ['kind' => Column::oneOf(StageKind::class), 'name' => Column::text(40), 'sentence' => Column::text(240), 'pass_mark' => Column::text(190), 'petal' => Column::oneOf(Petal::class)->orNull(), 'hand' => Column::oneOf(self::HANDS)->orNull()];

        return [
            'books' => [...$own, 'title' => Column::text(120, 1), 'level' => Column::text(60), ...$times],
            'paths' => [...$own, 'name' => Column::text(60, 1), ...$times],
            'path_steps' => [...$own, 'path_id' => Column::number(), 'position' => Column::whole(0, 99), ...$step, 'chunks' => Column::oneOf(ChunkKind::class), 'three_in_a_row' => Column::yes()],
            'pages' => [...$own, 'book_id' => Column::number(), 'number' => Column::whole(1, 999), 'title' => Column::text(120), 'kind' => Column::oneOf(PageKind::class), 'introduces' => Column::text(190), ...$times],
            'pieces' => [
                ...$own, 'page_id' => Column::number(), 'label' => Column::text(4), 'title' => Column::text(120), 'music' => Column::music()->orNull(), 'duet' => Column::music()->orNull(), 'octave' => Column::whole(-2, 2),
                'shorthand' => Column::text(60_000)->orNull(), 'revision' => Column::whole(0, 1_000_000_000), 'measures' => Column::whole(0, Limits::MEASURES), 'note_names' => Column::text(60_000), 'not_read' => Column::text(60_000), 'thorns' => Column::workedOut()->since(self::FOR_THORNS, null), ...$times,
            ],
            'memberships' => [...$own, 'role' => Column::oneOf(Role::class), 'name' => Column::text(120, 1), 'email' => Column::mail(), ...$times],
            'students' => self::student($own, $times),
            'mails' => [...$own, 'student_id' => Column::number()->orNull()->since(self::FOR_CONSENT, null), 'to' => Column::text(190), 'subject' => Column::text(190), 'body' => Column::text(60_000), ...$times, 'waits_since' => Column::workedOut()->since(self::FOR_LETTERS, null), 'sent_at' => Column::moment()->orNull()->since(self::FOR_LETTERS, null), 'trouble' => Column::text(190)->orNull()->since(self::FOR_LETTERS, null)],
            'accesses' => [...$own, 'student_id' => Column::number(), 'who' => Column::text(120), 'what' => Column::oneOf(Access::KINDS), 'on_date' => Column::date()],
            'drill_answers' => [
                ...$own, 'student_id' => Column::number(), 'session' => Column::matching('/^[0-9a-f-]{36}$/Di', 'the mark of a session'), 'position' => Column::whole(0, 999), 'kind' => Column::oneOf(DrillKind::class), 'card' => Column::text(80, 1), 'note' => Column::matching('/^'.DrillAnswer::NOTE.'$/D', 'a note, as treble:C4')->orNull(),
                'is_right' => Column::yes(), 'milliseconds' => Column::whole(0, 600_000), 'given' => Column::text(40), 'answered_at' => Column::moment(), 'on_date' => Column::date(),
            ],
            'takes' => [
                ...$own, 'student_id' => Column::number(), 'task_id' => Column::number()->orNull(), 'led_step_id' => Column::number()->orNull()->since(self::FOR_LED, null), 'client_key' => Column::key(), 'first' => Column::whole(0, Limits::MEASURES), 'last' => Column::whole(0, Limits::MEASURES), 'source' => Column::oneOf(Source::class),
                'taken_at' => Column::moment(), 'on_date' => Column::date(), 'notes' => Column::read(self::take(...)), 'judged' => Column::workedOut()->since(self::FOR_LED, null),
            ],
            'led_lessons' => [...$own, 'student_id' => Column::number(), 'title' => Column::text(80, 1), 'sent_at' => Column::moment()->orNull(), 'done_at' => Column::moment()->orNull(), ...$times],
            'led_steps' => [
                ...$own, 'student_id' => Column::number(), 'led_lesson_id' => Column::number(), 'position' => Column::whole(0, 99), 'stage_id' => Column::number()->orNull(), 'learning_id' => Column::number()->orNull(), 'first' => Column::whole(0, Limits::MEASURES)->orNull(), 'last' => Column::whole(0, Limits::MEASURES)->orNull(),
                'hand' => Column::oneOf(self::HANDS)->orNull(), 'tempo' => Column::whole(1, 999)->orNull(), 'words' => Column::text(300, 1), 'half_minutes' => Column::whole(1, 99), 'voice' => Column::matching(VoiceRequest::FORM, 'a recording')->orNull(),
            ],
            'sight_lines' => [...$own, 'student_id' => Column::number(), 'on_date' => Column::date(), 'level' => Column::whole(1, 10), 'text' => Column::read(self::line(...)), 'reasons' => Column::text(190, 1), 'went' => Column::oneOf(SightWent::class)->orNull()],
            'worksheets' => [...$own, 'number' => Column::whole(1, 1_000_000), 'kind' => Column::oneOf(SheetKind::class), 'count' => Column::whole(1, 99), 'hard' => Column::whole(1, 9), 'clefs' => Column::text(20, 1), 'seed' => Column::whole(1, 4_294_967_295), 'items' => Column::read(self::sheet(...)), ...$times],
            'given_worksheets' => [...$own, 'worksheet_id' => Column::number(), 'student_id' => Column::number(), 'given_on' => Column::date(), 'right' => Column::whole(0, 99)->orNull(), 'marked_on' => Column::date()->orNull()],
            'verdicts' => [...$own, 'piece_id' => Column::number(), 'measure' => Column::whole(0, 9999), 'verdict' => Column::oneOf(Verdict::class)],
            'own_fingers' => [...$own, 'piece_id' => Column::number(), 'hand' => Column::oneOf(self::HANDS), 'place' => Column::place(), 'pitch' => Column::matching('/^[A-G](#{1,2}|b{1,2})?-?\d{1,2}$/D', 'a note, as C4'), 'finger' => Column::whole(1, 5)],
            'weeks' => [
                ...$own, 'student_id' => Column::number(), 'starts_on' => Column::date(), 'ends_on' => Column::date(), 'sent_at' => Column::moment()->orNull(), 'message' => Column::text(500), 'share' => Column::whole(10, 200),
                'planned_on' => Column::date()->orNull(), ...$times, 'counted' => Column::workedOut()->since(self::FOR_PAGES, null), 'tempi' => Column::workedOut()->since(self::FOR_PAGES, null), 'sent_plan' => Column::workedOut()->since(self::FOR_SENT, null),
            ],
            'week_patterns' => [...$own, 'name' => Column::text(60, 1), 'tasks' => Column::read(self::pattern(...)), ...$times],
            'calendar_feeds' => [...$own, 'student_id' => Column::number()->orNull(), 'token_hash' => Column::hash(), 'used_at' => Column::moment()->orNull(), ...$times],
            'drafts' => [...$own, 'page_id' => Column::number()->orNull(), 'piece_id' => Column::number()->orNull(), 'text' => Column::text(60_000), 'label' => Column::text(4), 'revision' => Column::whole(0, 1_000_000_000), ...$times],
            'kept_photos' => [...$own, 'page_id' => Column::number(), 'picture' => Column::picture(), ...$times],
            'photo_figures' => [...$own, 'notes' => Column::whole(0, 65_535), 'right' => Column::whole(0, 65_535), 'fingers' => Column::whole(0, 65_535), 'known' => Column::whole(0, 65_535), 'signs' => Column::whole(0, 999), 'doubts' => Column::whole(0, 65_535), 'needless' => Column::whole(0, 65_535), 'read_on' => Column::date()],
            'family_links' => [...$own, 'student_id' => Column::number(), 'label' => Column::text(60), 'token_hash' => Column::hash(), 'expires_on' => Column::date()->orNull(), 'withdrawn_at' => Column::moment()->orNull(), 'used_at' => Column::moment()->orNull(), ...$times],
            'link_siblings' => ['id' => Column::number(), 'family_link_id' => Column::number(), 'student_id' => Column::number()],
            'holidays' => [...$own, 'student_id' => Column::number()->orNull(), 'label' => Column::text(60), 'from_on' => Column::date(), 'to_on' => Column::date(), 'lessons' => Column::yes(), 'practice' => Column::yes(), ...$times],
            'learnings' => [
                ...$own, 'student_id' => Column::number(), 'piece_id' => Column::number(), 'path' => Column::oneOf(PathKind::class), 'path_id' => Column::number()->orNull(), 'state' => Column::oneOf(LearningState::class),
                'opened_on' => Column::date(), 'finished_on' => Column::date()->orNull(), 'played_on' => Column::date()->orNull(), 'review_step' => Column::whole(0, 99), ...$times,
            ],
            'lessons' => [
                ...$own, 'student_id' => Column::number(), 'week_id' => Column::number()->orNull(), 'held_on' => Column::date(), 'state' => Column::oneOf(LessonState::class), 'attendance' => Column::oneOf(Attendance::class)->since(self::FOR_LESSONS, Attendance::There->value), 'slot_on' => Column::date()->orNull(), 'at' => Column::time()->orNull(),
                'minutes' => Column::whole(0, 240)->orNull(), 'finished_at' => Column::moment()->orNull(), ...$times, 'private_note' => Column::text(4000)->orNull(), 'shared_note' => Column::text(4000)->orNull(), 'remedies' => Column::workedOut()->since(self::FOR_PAGES, null),
            ],
            'practice_days' => [...$own, 'student_id' => Column::number(), 'weekday' => Column::whole(1, 7), 'minutes' => Column::whole(0, 240)],
            'student_books' => [...$own, 'student_id' => Column::number(), 'book_id' => Column::number()],
            'skipped_pages' => [...$own, 'student_id' => Column::number(), 'page_id' => Column::number()],
            'stages' => [
                ...$own, 'learning_id' => Column::number(), 'position' => Column::whole(0, 99)->orNull(), ...$step, 'content' => Column::matching('/^([0-9a-f]{32})?$/D', 'a mark of its content'), 'repetitions' => Column::whole(1, 999),
                'tempo' => Column::whole(1, 999)->orNull(), 'half_minutes' => Column::whole(0, 9999), 'half_minutes_first' => Column::whole(0, 9999)->orNull()->since(self::FOR_TIMES, null), 'passed_on' => Column::date()->orNull(), ...$times, 'relieved_after' => Column::number()->orNull(), 'before_relief' => Column::workedOut()->since(self::FOR_PAGES, null),
            ],
            'stage_bars' => [...$own, 'stage_id' => Column::number(), 'kind' => Column::oneOf(ChunkKind::class), ...$bars],
            'stage_waits' => ['stage_id' => Column::number(), 'waits_for_id' => Column::number()],
            'tasks' => [
                ...$own, 'student_id' => Column::number(), 'week_id' => Column::number(), 'stage_id' => Column::number()->orNull(), 'learning_id' => Column::number()->orNull(), 'performance_id' => Column::number()->orNull()->since(self::FOR_PERFORMANCES, null), 'drill_notes' => self::notes(DrillAnswer::NOTE)->orNull()->since(self::FOR_REMEDIES, null), 'kind' => Column::oneOf(TaskKind::class), 'title' => Column::text(120),
                'instruction' => Column::text(240), 'why' => Column::text(190), 'hand' => Column::oneOf(self::HANDS)->orNull(), 'repetitions' => Column::whole(0, 999), 'tempo' => Column::whole(1, 999)->orNull(), 'half_minutes' => Column::whole(0, 9999),
                'half_minutes_first' => Column::whole(0, 9999)->orNull()->since(self::FOR_TIMES, null), 'pace' => Column::whole(1, 999)->since(self::FOR_TIMES, 100), 'line' => Column::whole(1, 999)->orNull()->since(self::FOR_TIMES, null), 'of_lines' => Column::whole(1, 999)->orNull()->since(self::FOR_TIMES, null), 'most_days' => Column::whole(0, 7), 'is_new' => Column::yes(), 'starred' => Column::yes(), 'leads' => Column::yes(), 'left_why' => Column::text(120)->orNull(), 'mark' => Column::oneOf(LessonVerdict::class)->orNull(),
                'tempo_reached' => Column::whole(1, 999)->orNull(), 'heard_note' => Column::text(240), ...$times, 'deleted_at' => Column::moment()->orNull(),
            ],
            'task_bars' => [...$own, 'task_id' => Column::number(), ...$bars],
            'task_days' => [...$own, 'task_id' => Column::number(), 'on_date' => Column::date(), 'position' => Column::whole(0, 9999), 'locked' => Column::yes(), 'half_minutes' => Column::whole(0, 9999)->orNull()->since(self::FOR_TIMES, null), 'more' => Column::whole(0, 9999)->since(self::FOR_TIMES, 0)],
            'days_off' => [...$own, 'task_id' => Column::number(), 'on_date' => Column::date()],
            'ladders' => [...$own, 'learning_id' => Column::number(), 'hand' => Column::oneOf(['', ...self::HANDS]), 'start' => Column::whole(20, 400), 'goal' => Column::whole(20, 400), 'step' => Column::whole(1, 60)->orNull()],
            'practices' => [
                ...$own, 'student_id' => Column::number(), 'task_id' => Column::number(), 'on_date' => Column::date(), 'repetitions' => Column::whole(0, 999), 'tempo' => Column::whole(1, 999)->orNull(),
                'seconds' => Column::whole(0, 65_535)->orNull()->since(self::FOR_TIMES, null), 'feeling' => Column::oneOf(Feeling::class), 'note' => Column::text(240), 'client_key' => Column::key(), ...$times,
            ],
            'performances' => [...$own, 'student_id' => Column::number(), 'title' => Column::text(60, 1), 'on_date' => Column::date(), ...$times],
            'performance_pieces' => ['id' => Column::number(), 'performance_id' => Column::number(), 'learning_id' => Column::number()],
            'family_words' => [...$own, 'student_id' => Column::number(), 'on_date' => Column::date(), 'words' => Column::text(FamilyWord::LONGEST, 1), ...$times],
            'page_marks' => [
                ...$own, 'lesson_id' => Column::number(), 'learning_id' => Column::number(), 'stage_id' => Column::number()->orNull(), 'mark' => Column::oneOf(LessonVerdict::class), ...$times,
            ],
            'page_mark_stages' => ['id' => Column::number(), 'page_mark_id' => Column::number(), 'stage_id' => Column::number()],
            'slips' => [
                ...$own, 'lesson_id' => Column::number(), 'task_id' => Column::number(), 'kind' => Column::oneOf(Slip::class), 'measure' => Column::whole(0, Limits::MEASURES), 'last_measure' => Column::whole(0, Limits::MEASURES)->orNull(),
                'from_beat' => Column::whole(1, 64)->orNull(), 'to_beat' => Column::whole(1, 64)->orNull(), 'place' => Column::text(48), 'hand' => Column::oneOf(self::HANDS)->orNull(), 'note_names' => Column::text(600), ...$times, 'client_key' => Column::key()->orNull(),
            ],
        ];
    }

    /**
     * What one row says that no column alone can be held to.
     *
     * @param  array<string, mixed>  $row
     *
     * @throws BadInput
     */
    public static function holdRow(string $table, array $row): void
    {
        [$from, $to, $most] = match ($table) {
            'weeks' => [$row['starts_on'], $row['ends_on'], ProposeWeek::LONGEST],
            'holidays' => [$row['from_on'], $row['to_on'], Holiday::LONGEST],
            default => [null, null, 0],
        };
        if (is_string($from) && is_string($to) && ($to < $from || (new \DateTimeImmutable($from))->diff(new \DateTimeImmutable($to))->days > $most)) {
            throw BadBackup::lastsTooLong($from, $to, $most);
        }
        if (isset($row['first'], $row['last']) && $row['last'] < $row['first']) {
            throw BadBackup::barsBackwards();
        }
    }

    /**
     * @param  array<string, Column>  $own
     * @param  array<string, Column>  $times
     * @return array<string, Column>
     */
    private static function student(array $own, array $times): array
    {
        return [
            ...$own, 'membership_id' => Column::number()->orNull()->since(self::FOR_MEMBERS, null), 'first_name' => Column::text(60, 1), 'initial' => Column::text(2), 'birth_year' => Column::whole(1900, 2100), 'lesson_weekday' => Column::whole(1, 7), 'lesson_time' => Column::time(), 'lesson_minutes' => Column::whole(5, 240),
            'second_weekday' => Column::whole(1, 7)->orNull(), 'second_time' => Column::time()->orNull(), 'second_minutes' => Column::whole(5, 240)->orNull(), 'timezone' => Column::timezone()->orNull(), 'family_mail' => Column::mail()->orNull(),
            'path' => Column::oneOf(PathKind::class), 'path_id' => Column::number()->orNull(), 'school' => Column::oneOf(School::class), 'landmark_level' => Column::whole(1, 3), 'landmark_middle' => Column::yes(), 'heard_passes' => Column::yes()->since(self::FOR_LED, false),
            'counting' => Column::oneOf(CountingSystem::class), 'count_style' => Column::oneOf(CountStyle::class), 'long_notes' => Column::oneOf(LongNotes::class), 'compound_beats' => Column::oneOf(CompoundBeats::class), 'count_ready' => Column::text(40),
            'hand_span' => Column::whole(4, 12), 'pace' => Column::whole(1, 999)->orNull()->since(self::FOR_TIMES, null), ...$times,
            'consented_on' => Column::date()->orNull()->since(self::FOR_CONSENT, null), 'drill_kinds' => Column::text(190)->orNull()->since(self::FOR_DRILLS, null), 'drill_notes' => self::notes(DrillAnswer::CHOSEN)->orNull()->since(self::FOR_DRILLS, null), 'drill_minutes' => Column::whole(1, 10)->orNull()->since(self::FOR_DRILLS, null),
            'drill_answers' => Column::whole(3, 40)->since(self::FOR_DRILLS, Enough::ANSWERS), 'drill_right' => Column::whole(50, 100)->since(self::FOR_DRILLS, Enough::RIGHT), 'drill_within' => Column::whole(500, 20_000)->since(self::FOR_DRILLS, Enough::WITHIN),
            'consent_words' => Column::text(500)->since(self::FOR_CONSENT, ''), 'left_on' => Column::date()->orNull()->since(self::FOR_CONSENT, null),
        ];
    }

    /**
     * A line at sight is music in the shorthand.
     *
     * @throws BadInput
     */
    private static function line(string $text): string
    {
        return strlen($text) <= 4_000 && ShorthandReader::read($text)->piece !== null ? $text : throw BadBackup::noLineAtSight();
    }

    /** @throws BadInput */
    private static function take(string $json): string
    {
        return TakeFile::read($json) === [] ? throw BadTake::noNotes() : $json;
    }

    /** As they are chosen for a student, or as the bars of a remedy have them. */
    private static function notes(string $note): Column
    {
        return Column::matching("/^{$note}(?:,{$note}){0,199}\$/D", 'notes, as treble:C4,bass:F3');
    }

    /** @throws BadInput */
    private static function sheet(string $json): string
    {
        $items = json_decode($json, true, 6);
        $columns = ['ask' => Column::text(240), 'answer' => Column::text(1000, 1), 'music' => Column::text(60_000)->orNull(), 'sign' => Column::text(240)->orNull(), 'key' => Column::whole(0, 127)->orNull()];
        if (! is_array($items) || ! array_is_list($items) || count($items) > MakeSheet::MOST) {
            throw BadBackup::noListOfQuestions(MakeSheet::MOST);
        }
        foreach ($items as $item) {
            $options = is_array($item) ? $item['options'] ?? null : null;
            if (! is_array($item) || ! is_array($options) || ! array_is_list($options) || array_diff_key($item, $columns, ['options' => 1]) !== [] || array_diff_key($columns, $item) !== []) {
                throw BadBackup::questionOfOtherColumns([...array_keys($columns), 'options']);
            }
            foreach ($columns as $name => $column) {
                $column->taken($item[$name]);
            }
            array_walk($options, static fn (mixed $option) => Column::text(120)->taken($option));
        }

        return $json;
    }

    /** @throws BadInput */
    private static function pattern(string $json): string
    {
        $tasks = json_decode($json, true, 6);
        $columns = ['kind' => Column::oneOf(TaskKind::class), 'title' => Column::text(120, 1), 'instruction' => Column::text(240), 'halfMinutes' => Column::whole(1, 240), 'repetitions' => Column::whole(1, 99), 'mostDays' => Column::whole(0, 7)];
        if (! is_array($tasks) || ! array_is_list($tasks) || count($tasks) > 60) {
            throw BadBackup::noListOfTasks();
        }
        foreach ($tasks as $task) {
            if (! is_array($task) || array_diff_key($task, $columns) !== [] || array_diff_key($columns, $task) !== []) {
                throw BadBackup::taskOfOtherColumns(array_keys($columns));
            }
            foreach ($columns as $name => $column) {
                $column->taken($task[$name]);
            }
        }

        return $json;
    }
}
