<?php

declare(strict_types=1);

use App\Account\Studio;
use App\Archive\PackRows;
use App\Archive\PracticeTable;
use App\Archive\Tables;
use App\Lesson\Lesson;
use App\Lesson\Timetable\CalendarFeed;
use App\Student\Learning\Stage;
use App\Student\Student;
use App\Week\CountWeeks;
use App\Week\Practice;
use App\Week\Task;
use App\Week\Week;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Fixtures;

/** @return array<string, string> the files of an archive */
function unzipped(string $path): array
{
    $zip = new ZipArchive();
    expect($zip->open($path))->toBeTrue();
    $files = [];
    for ($i = 0; $i < $zip->numFiles; $i++) {
        $files[(string) $zip->getNameIndex($i)] = (string) $zip->getFromIndex($i);
    }
    $zip->close();

    return $files;
}

/** @return array<string, list<array<string, mixed>>> the rows of a studio without their numbers, by table */
function rows_of_studio(int $studio): array
{
    $rows = [];
    foreach (Tables::inOrder() as $table => $refers) {
        // Who belongs to the studio has a test of its own.
        if (Schema::hasColumn($table, 'studio_id') && $table !== 'memberships') {
            $own = array_flip(['id', ...array_keys($refers)]);
            $rows[$table] = DB::table($table)->where('studio_id', $studio)->orderBy('id')->get()->map(fn ($row): array => array_diff_key((array) $row, $own))->all();
        }
    }

    return $rows;
}

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    Practice::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'task_id' => $this->own->task('Tap and count')->id, 'on_date' => '2031-04-29', 'repetitions' => 3, 'tempo' => 63, 'feeling' => 'hard', 'note' => '=1+1, "that"', 'client_key' => (string) Str::uuid()]);
});

test('practice and marks go out as tables, that no spreadsheet takes for formulas', function (): void {
    $this->own->task('Tap and count')->update(['mark' => 'again', 'tempo_reached' => 66]);
    $practice = $this->get('/api/practice.csv')->assertOk()->assertHeader('Content-Type', 'text/csv; charset=utf-8')->streamedContent();
    expect(explode("\r\n", (string) $practice)[1])->toStartWith('Ida T.,2031-04-29,Tap and count,stage,Blue Gate,,3,63,')->toEndWith(',hard,"\'=1+1, ""that"""');
    expect(explode("\r\n", (string) $this->get('/api/marks.csv')->streamedContent())[1])->toBe('Ida T.,2031-05-05,Tap and count,Blue Gate,again,60,66,,cut-short: bar 2');
});

test('everything of one student goes out, nothing of another', function (): void {
    $other = $this->own->student('Otto', 8);
    $files = unzipped($this->get("/api/students/{$this->own->student->id}/export")->assertOk()->baseResponse->getFile()->getPathname());
    $lines = fn (string $table): int => substr_count($files["tables/{$table}.jsonl"] ?? '', "\n");
    expect($lines('students'))->toBe(1)->and($lines('practices'))->toBe(1)->and($lines('slips'))->toBe(1)
        ->and($lines('tasks'))->toBe($this->own->week->tasks()->count())
        ->and($lines('stages'))->toBe($this->own->learning->stages()->count())
        ->and($files['tables/students.jsonl'])->not->toContain('Otto')
        ->and($files['practice.csv'])->toContain('Tap and count')
        ->and($files['marks.csv'])->toStartWith("\u{FEFF}student,lesson,");
    $this->deleteJson("/api/students/{$this->own->student->id}")->assertNoContent();
    foreach (['tasks', 'practices', 'stages', 'slips', 'lessons', 'family_links'] as $table) {
        expect(DB::table($table)->where('studio_id', $this->own->studio->id)->count())->toBe(0, $table);
    }
    expect(Student::query()->whereKey($other->id)->exists())->toBeTrue();
});

test('the tables of many years are read a quarter at a time, in their order and each row once', function (): void {
    $task = $this->own->task('Tap and count');
    foreach (['2029-01-10', '2031-04-28', '2029-04-10', '2029-04-11'] as $i => $day) {
        Practice::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'task_id' => $task->id, 'on_date' => $day, 'repetitions' => 1, 'feeling' => 'hard', 'note' => "row {$i}", 'client_key' => Str::uuid()->toString()]);
    }
    $parts = [...PracticeTable::practice($this->own->studio->id, null)];
    preg_match_all('/row \d/', implode('', $parts), $rows);
    expect($rows[0])->toBe(['row 0', 'row 2', 'row 3', 'row 1'])->and(count($parts))->toBeGreaterThan(9)->and($parts[1])->toContain('row 0', 'row 2')->not->toContain('row 3');
});

test('a studio goes out whole and comes back the same, in another studio with other numbers', function (): void {
    CountWeeks::of([$this->own->week->id]);
    $path = app(PackRows::class)->studio($this->own->studio);
    // What is worked out is worked out anew where it comes back.
    Week::query()->update(['counted' => null, 'tempi' => null]);
    $before = rows_of_studio($this->own->studio->id);
    // The installation it comes back on has rows of its own, so that every number is another one.
    $elsewhere = new Fixtures('elsewhere');
    $this->own->studio->delete();
    $empty = Studio::query()->create(['name' => 'New']);
    $teacher = teacher_of(['studio_id' => $empty->id, 'name' => 'T', 'email' => 'new@studio.example', 'password' => 'x']);
    $this->artisan('nasturtium:restore', ['email' => 'new@studio.example', 'file' => $path])->expectsOutputToContain('rows were restored into north.')->assertSuccessful();
    expect(rows_of_studio($empty->id))->toEqual($before);
    $student = Student::query()->where('studio_id', $empty->id)->firstOrFail();
    $this->actingAs($teacher);
    $lesson = Lesson::query()->where('studio_id', $empty->id)->firstOrFail();
    expect($this->getJson("/api/lessons/{$lesson->id}")->assertOk()->json('cards.1.tasks.0.piece'))->toBe('Blue Gate')
        ->and($this->getJson('/api/home/week', ['Authorization' => "Bearer {$this->own->token}"])->assertOk()->json('studentId'))->toBe($student->id);
    app('auth')->forgetGuards();
    $this->actingAs($teacher, 'web')->postJson("/api/studios/{$empty->id}/restore", ['file' => new UploadedFile($path, 'b.zip', test: true)])->assertJsonPath('state', 'refused')->assertJsonPath('reason', fn (string $says): bool => str_contains($says, 'already'));
    expect(Studio::query()->whereKey($elsewhere->studio->id)->exists())->toBeTrue();
});

test('a relief goes on counting from the same lesson where a studio comes back', function (): void {
    $stage = Stage::query()->where('learning_id', $this->own->learning->id)->firstOrFail();
    $stage->update(['relieved_after' => $this->own->task('Tap and count')->id, 'before_relief' => []]);
    $path = app(PackRows::class)->studio($this->own->studio);
    $elsewhere = new Fixtures('elsewhere');
    $this->own->studio->delete();
    $empty = Studio::query()->create(['name' => 'New']);
    teacher_of(['studio_id' => $empty->id, 'name' => 'T', 'email' => 'new@studio.example', 'password' => 'x']);
    $this->artisan('nasturtium:restore', ['email' => 'new@studio.example', 'file' => $path])->assertSuccessful();
    unlink($path);
    $back = Stage::query()->where('studio_id', $empty->id)->whereNotNull('relieved_after')->sole();
    $task = Task::query()->where('studio_id', $empty->id)->where('title', 'Tap and count')->sole();
    expect($back->relieved_after)->toBe($task->id)->not->toBe($stage->relieved_after)->and($back->before_relief)->toBeNull()
        ->and($elsewhere->student->exists())->toBeTrue();
});

test('what is no backup, or of a newer version, or here already, is refused and changes nothing', function (): void {
    $empty = Studio::query()->create(['name' => 'New']);
    $this->actingAs(teacher_of(['studio_id' => $empty->id, 'name' => 'T', 'email' => 'new@studio.example', 'password' => 'x']));
    $restore = fn (string $bytes) => $this->post("/api/studios/{$empty->id}/restore", ['file' => UploadedFile::fake()->createWithContent('b.zip', $bytes)], ['Accept' => 'application/json']);
    $manifest = ['format' => 'nasturtium-studio', 'version' => '2026', 'studio' => ['name' => 'Again']];
    expect($restore('no zip')->json('reason'))->toStartWith('This is no archive')
        ->and($restore(zipped(['manifest.json' => '{}']))->json('reason'))->toBe('This is not the backup of a studio.')
        ->and($restore(zipped(['manifest.json' => json_encode(['version' => '2999'] + $manifest)]))->json('reason'))->toStartWith('This backup is of a newer version.')
        ->and($restore(zipped(['manifest.json' => json_encode($manifest), 'tables/books.jsonl' => "nothing\n"]))->json('reason'))->toBe('tables/books.jsonl, line 1: this is no row.')
        ->and($restore((string) file_get_contents(app(PackRows::class)->studio($this->own->studio)))->json('reason'))->toContain('on this installation already')
        ->and($empty->refresh()->name)->toBe('New')->and($empty->students()->exists())->toBeFalse();
});

test('the backup command writes a file, or says that nobody has the address', function (): void {
    $file = sys_get_temp_dir().'/'.uniqid().'.zip';
    $this->artisan('nasturtium:backup', ['email' => $this->own->teacher->email, 'file' => $file])->assertSuccessful();
    expect(json_decode(unzipped($file)['manifest.json'], true))->toMatchArray(['format' => 'nasturtium-studio', 'studio' => ['name' => 'north', 'words' => 'uk', 'paper' => 'a4', 'timezone' => 'UTC', 'phrases' => null, 'count_words' => null, 'consent_age' => 16, 'keep_drafts' => 180, 'keep_mails' => 365]]);
    unlink($file);
    $this->artisan('nasturtium:backup', ['email' => 'nobody@studio.example', 'file' => $file])->expectsOutputToContain('No teacher')->assertFailed();
    $this->artisan('nasturtium:restore', ['email' => 'nobody@studio.example', 'file' => $file])->assertFailed();
});

test('a calendar is subscribed to by a private address, until it is withdrawn', function (): void {
    $made = $this->postJson('/api/calendars', ['studentId' => $this->own->student->id])->assertOk()->json();
    $path = (string) parse_url($made['url'], PHP_URL_PATH);
    $calendar = (string) $this->get($path)->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent();
    expect($calendar)->toContain("SUMMARY:Piano lesson\r\n", 'DTSTART:20310512T150000Z', 'UID:practice-')
        ->and(CalendarFeed::query()->find($made['id'])?->used_at)->not->toBeNull();
    $this->postJson("/api/students/{$this->own->student->id}/lesson-changes", ['state' => 'moved', 'slotOn' => '2031-05-12', 'heldOn' => '2031-05-14', 'at' => '17:00'])->assertOk();
    expect((string) $this->get($path)->getContent())->toContain("UID:lesson-{$this->own->student->id}-2031-05-12@nasturtium", 'DTSTART:20310514T170000Z')->not->toContain('DTSTART:20310512T150000Z');
    $this->deleteJson("/api/calendars/{$made['id']}")->assertNoContent();
    $this->get($path)->assertNotFound();
});

test('the teacher’s calendar has every student by name, and no practice', function (): void {
    $this->own->student('Otto', 8);
    $made = $this->postJson('/api/calendars', ['studentId' => null])->json();
    $calendar = (string) $this->get((string) parse_url($made['url'], PHP_URL_PATH))->getContent();
    expect($calendar)->toContain('SUMMARY:Ida T.', 'SUMMARY:Otto T.')->not->toContain('practice-')
        ->and(array_column($this->getJson('/api/calendars')->json(), 'url'))->each->toBeNull();
});
