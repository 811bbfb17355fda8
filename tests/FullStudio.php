<?php

declare(strict_types=1);

namespace Tests;

use App\Privacy\CachedReports;
use App\Student\Student;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A studio with at least one row in every table, about one student whose name and address stand wherever they can. */
final class FullStudio
{
    public const NAME = 'Quillamira';

    public const ADDRESS = 'quillamira-family@house.example';

    public readonly Fixtures $own;

    public readonly Student $student;

    /** A brother or sister, of another name, who stays. */
    public readonly Student $sister;

    public function __construct(string $studio = 'north')
    {
        $this->own = $own = new Fixtures($studio);
        $this->student = $own->student;
        $this->student->update(['first_name' => self::NAME, 'family_mail' => self::ADDRESS, 'consent_words' => 'The mother of '.self::NAME.' agreed.', 'lesson_time' => '15:00:00']);
        $this->sister = $own->student('Otto', 8);
        $of = ['studio_id' => $own->studio->id];
        $student = [...$of, 'student_id' => $this->student->id];
        $task = $own->task('Tap and count');
        $task->update(['mark' => 'again', 'heard_note' => self::NAME.' hurried']);
        $own->week->update(['message' => 'Well done, '.self::NAME]);
        $own->lesson->update(['private_note' => self::NAME.' was tired', 'shared_note' => 'Dear '.self::NAME]);
        $own->link->update(['label' => 'Phone of '.self::NAME, 'expires_on' => '2032-01-01']);
        $own->holiday->update(['student_id' => $this->student->id, 'label' => self::NAME.' travels']);
        $stage = $own->learning->stages()->firstOrFail();
        DB::table('verdicts')->insert([...$of, 'piece_id' => $own->piece->id, 'measure' => 0, 'verdict' => 'easy']);
        DB::table('own_fingers')->insert([...$of, 'piece_id' => $own->piece->id, 'hand' => 'R', 'place' => '1.1', 'pitch' => 'C4', 'finger' => 2]);
        DB::table('drafts')->insert([...$of, 'page_id' => $own->page->id, 'text' => 'title: A tune for '.self::NAME, 'label' => 'Z', 'revision' => 1, 'updated_at' => now()]);
        DB::table('mails')->insert([
            [...$of, 'student_id' => $this->student->id, 'to' => self::ADDRESS, 'subject' => 'The week of '.self::NAME, 'body' => 'Hello', 'created_at' => now()],
            [...$of, 'student_id' => null, 'to' => 'other@house.example', 'subject' => 'A week', 'body' => 'For '.self::NAME.', as before', 'created_at' => now()],
        ]);
        DB::table('accesses')->insert([
            [...$student, 'who' => 'Phone of '.self::NAME, 'what' => 'home', 'on_date' => '2031-05-01'],
            [...$of, 'student_id' => $this->sister->id, 'who' => 'Phone of '.self::NAME, 'what' => 'home', 'on_date' => '2031-05-01'],
        ]);
        DB::table('link_siblings')->insert(['family_link_id' => $own->link->id, 'student_id' => $this->sister->id]);
        DB::table('week_patterns')->insert([...$of, 'name' => 'As for '.self::NAME, 'tasks' => '[]']);
        DB::table('skipped_pages')->insert([...$student, 'page_id' => $own->page->id]);
        DB::table('page_marks')->insert(['id' => 77, ...$of, 'lesson_id' => $own->lesson->id, 'learning_id' => $own->learning->id, 'stage_id' => $stage->id, 'mark' => 'again', 'created_at' => now(), 'updated_at' => now()]);
        DB::table('page_mark_stages')->insert(['page_mark_id' => 77, 'stage_id' => $stage->id]);
        DB::table('days_off')->insert([...$of, 'task_id' => $task->id, 'on_date' => '2031-04-30']);
        DB::table('ladders')->insert([...$of, 'learning_id' => $own->learning->id, 'hand' => 'R', 'start' => 60, 'goal' => 100, 'step' => 4]);
        DB::table('performances')->insert(['id' => 88, ...$student, 'title' => 'Concert of '.self::NAME, 'on_date' => '2031-06-01', 'created_at' => now(), 'updated_at' => now()]);
        DB::table('performance_pieces')->insert(['performance_id' => 88, 'learning_id' => $own->learning->id]);
        $task->update(['performance_id' => 88, 'drill_notes' => 'treble:C4,treble:D4']);
        DB::table('drill_answers')->insert([...$student, 'session' => (string) Str::uuid(), 'position' => 0, 'kind' => 'name', 'card' => 'name treble:C4', 'note' => 'treble:C4', 'is_right' => true, 'milliseconds' => 1_800, 'given' => 'C', 'answered_at' => '2031-04-30 15:00:00', 'on_date' => '2031-04-30']);
        DB::table('worksheets')->insert(['id' => 99, ...$of, 'number' => 2, 'kind' => 'name', 'count' => 1, 'hard' => 1, 'clefs' => 'treble', 'seed' => 7, 'items' => json_encode([['ask' => '', 'answer' => 'C', 'music' => null, 'sign' => null, 'options' => [], 'key' => null]]), 'created_at' => now(), 'updated_at' => now()]);
        DB::table('given_worksheets')->insert([...$student, 'worksheet_id' => 99, 'given_on' => '2031-04-30', 'right' => 1, 'marked_on' => '2031-05-02']);
        DB::table('takes')->insert([...$student, 'task_id' => $task->id, 'client_key' => '00000000-0000-4000-8000-000000000009', 'first' => 0, 'last' => 1, 'source' => 'keyboard', 'taken_at' => '2031-04-30 15:00:00', 'on_date' => '2031-04-30', 'notes' => '{"notes":[{"t":1,"off":1.5,"pitch":60}]}']);
        DB::table('led_lessons')->insert(['id' => 66, ...$student, 'title' => 'For '.self::NAME, 'sent_at' => '2031-04-30 12:00:00', 'created_at' => now(), 'updated_at' => now()]);
        DB::table('led_steps')->insert(['id' => 66, ...$student, 'led_lesson_id' => 66, 'position' => 0, 'stage_id' => $stage->id, 'learning_id' => $own->learning->id, 'first' => 0, 'last' => 1, 'hand' => 'R', 'tempo' => 60, 'words' => self::NAME.', play it slowly.', 'half_minutes' => 4, 'voice' => 'data:audio/webm;codecs=opus;base64,GkXfow==']);
        DB::table('takes')->insert([...$student, 'led_step_id' => 66, 'client_key' => '00000000-0000-4000-8000-000000000008', 'first' => 0, 'last' => 1, 'source' => 'microphone', 'taken_at' => '2031-04-30 15:10:00', 'on_date' => '2031-04-30', 'notes' => '{"notes":[{"t":1,"off":1.5,"pitch":60,"p":0.9}]}']);
        DB::table('photo_figures')->insert([...$of, 'notes' => 40, 'right' => 39, 'fingers' => 6, 'known' => 6, 'signs' => 0, 'doubts' => 2, 'needless' => 1, 'read_on' => '2031-04-30']);
        DB::table('sight_lines')->insert([...$student, 'on_date' => '2031-04-30', 'level' => 2, 'text' => "title: A line at sight\nR: @c4 q1 2 h1\n", 'reasons' => 'one hand', 'went' => 'clean']);
        DB::table('family_words')->insert([...$student, 'on_date' => '2031-04-30', 'words' => self::NAME.' is away on Friday']);
        DB::table('practices')->insert([...$student, 'task_id' => $task->id, 'on_date' => '2031-04-29', 'repetitions' => 3, 'tempo' => 63, 'feeling' => 'hard', 'note' => self::NAME.' said ouch', 'client_key' => (string) Str::uuid()]);
        $stage->update(['name' => 'As '.self::NAME.' likes it']);
        DB::table('cache')->insert(['key' => CachedReports::prefix($this->student->id).'x', 'value' => self::NAME, 'expiration' => now()->addDay()->getTimestamp()]);
    }

    /** @return list<string> `table.column` in which a text stands anywhere in the database */
    public static function places(string $text): array
    {
        $found = [];
        $columns = DB::select("select table_name as t, column_name as c from information_schema.columns where table_schema = database() and data_type in ('char', 'varchar', 'tinytext', 'text', 'mediumtext', 'longtext', 'json', 'blob', 'mediumblob', 'longblob')");
        foreach ($columns as $column) {
            if (DB::table($column->t)->where($column->c, 'like', "%{$text}%")->exists()) {
                $found[] = "{$column->t}.{$column->c}";
            }
        }

        return $found;
    }
}
