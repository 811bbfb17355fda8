<?php

declare(strict_types=1);

use App\Account\Members\Membership;
use App\Account\Members\Role;
use App\Account\Studio;
use App\Archive\Columns;
use App\Archive\PackRows;
use App\Archive\RestoreStudio;
use App\Archive\Rows;
use App\Archive\Tables;
use App\Student\Student;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Nasturtium\Core\Formats\BadInput;
use Tests\Fixtures;
use Tests\FullStudio;

/** What an archive is changed to, and what is said then. */
function restored_from(array $files, Studio $into): string
{
    $path = (string) tempnam(sys_get_temp_dir(), 'back');
    file_put_contents($path, zipped($files));
    try {
        app(RestoreStudio::class)($into, $path);

        return 'taken';
    } catch (BadInput $reason) {
        return $reason->getMessage();
    } finally {
        unlink($path);
    }
}

/**
 * @param  array<string, string>  $files  of an archive
 * @param  Closure(array<string, mixed>): array<string, mixed>  $change  of the first row of the table
 * @return array<string, string>
 */
function with_first_row(array $files, string $table, Closure $change): array
{
    $lines = explode("\n", $files["tables/{$table}.jsonl"]);
    $lines[0] = (string) json_encode($change(json_decode($lines[0], true)));

    return [...$files, "tables/{$table}.jsonl" => implode("\n", $lines)];
}

beforeEach(function (): void {
    $this->full = new FullStudio();
    $path = app(PackRows::class)->studio($this->full->own->studio);
    $this->files = [];
    $zip = new ZipArchive();
    $zip->open($path);
    for ($i = 0; $i < $zip->numFiles; $i++) {
        $this->files[(string) $zip->getNameIndex($i)] = (string) $zip->getFromIndex($i);
    }
    $zip->close();
    unlink($path);
    $this->full->own->studio->delete();
    $this->into = Studio::query()->create(['name' => 'New']);
});

test('the columns of an archive are those of the database, and each table has a row to try', function (): void {
    $columns = Columns::all();
    foreach (array_keys(Tables::inOrder()) as $table) {
        expect(array_keys($columns[$table] ?? []))->toEqualCanonicalizing(array_values(array_diff(Schema::getColumnListing($table), Rows::NOT_KEPT[$table] ?? [])), $table);
        expect($this->files["tables/{$table}.jsonl"] ?? '')->not->toBe('', $table);
    }
    expect(array_keys($columns))->toEqualCanonicalizing(array_keys(Tables::inOrder()));
});

test('the archive itself is taken, so that what follows is refused for its change alone', function (): void {
    expect(restored_from($this->files, $this->into))->toBe('taken');
});

test('a value that fits no column is refused by table, row and column, and nothing is stored', function (): void {
    $other = new Fixtures('elsewhere');
    $count = fn (): array => array_map(fn (string $table): int => DB::table($table)->count(), array_keys(Tables::inOrder()));
    $before = $count();
    $bad = [['a list'], true, 1.5, -7_000_000_000, "a\0b", str_repeat('x', 70_000)];
    $tried = 0;
    foreach (Columns::all() as $table => $columns) {
        foreach ($columns as $name => $column) {
            if ($name === 'studio_id' || in_array($name, ['counted', 'tempi', 'remedies', 'before_relief', 'sent_plan', 'thorns', 'judged', 'waits_since'], true)) {
                continue;
            }
            foreach ($bad as $value) {
                expect(fn (): mixed => $column->taken($value))->toThrow(BadInput::class);
            }
            // Every fifth goes the whole way, each of another kind.
            if ($tried++ % 5 === 0) {
                $says = restored_from(with_first_row($this->files, $table, fn (array $row): array => [$name => $bad[$tried % count($bad)]] + $row), $this->into);
                expect($says)->toStartWith("tables/{$table}.jsonl, line 1")->toContain($name);
            }
        }
    }
    expect($count())->toBe($before)->and($tried)->toBeGreaterThan(200)->and($other->studio->refresh()->name)->toBe('elsewhere');
});

test('a row with other columns than its table is refused, also where it has as many', function (Closure $change, string $says): void {
    expect(restored_from(with_first_row($this->files, 'books', $change), $this->into))->toBe($says)
        ->and(DB::table('books')->where('studio_id', $this->into->id)->exists())->toBeFalse();
})->with([
    'one is unknown' => [fn (array $row): array => ['owner' => 1] + $row, "tables/books.jsonl, line 1: there is no column 'owner' in books."],
    'one is missing' => [fn (array $row): array => array_diff_key($row, ['level' => 0]), 'tables/books.jsonl, line 1: its level is missing.'],
    'one for another' => [fn (array $row): array => ['name' => 1] + array_diff_key($row, ['level' => 0]), "tables/books.jsonl, line 1: there is no column 'name' in books."],
    'a list' => [fn (array $row): array => array_values($row), "tables/books.jsonl, line 1: there is no column '0' in books."],
]);

test('the order of the columns is the own order of each row', function (): void {
    $files = $this->files;
    $files['tables/books.jsonl'] .= json_encode(array_reverse(['id' => 999_999, 'title' => 'Turned'] + json_decode(explode("\n", $files['tables/books.jsonl'])[0], true), true))."\n";
    expect(restored_from($files, $this->into))->toBe('taken')
        ->and(DB::table('books')->where('studio_id', $this->into->id)->orderBy('id')->pluck('title')->all())->toBe(['Made-up Book', 'Turned']);
});

test('a row belongs to the studio it is put back into, whatever it says', function (): void {
    $other = new Fixtures('elsewhere');
    $files = $this->files;
    foreach (array_keys(Columns::all()) as $table) {
        $files = with_first_row($files, $table, fn (array $row): array => isset($row['studio_id']) ? ['studio_id' => $other->studio->id] + $row : $row);
    }
    $before = rows_of_studio($other->studio->id);
    expect(restored_from($files, $this->into))->toBe('taken')->and(rows_of_studio($other->studio->id))->toEqual($before);
    // What it refers to is of its own archive.
    $says = restored_from(with_first_row($this->files, 'pages', fn (array $row): array => ['book_id' => $other->book->id] + $row), Studio::query()->create(['name' => 'Third']));
    expect($says)->toBe('tables/pages.jsonl, line 1: its book_id is not in this backup.');
});

test('what would lock the teacher out is refused', function (string $table, string $column, mixed $value, string $says): void {
    expect(restored_from(with_first_row($this->files, $table, fn (array $row): array => [$column => $value] + $row), $this->into))->toStartWith($says);
})->with([
    'a zone' => ['students', 'timezone', 'No/Where', 'tables/students.jsonl, line 1, timezone: it is not a time zone, as Europe/Vienna.'],
    'a far day' => ['weeks', 'ends_on', '9999-12-31', 'tables/weeks.jsonl, line 1, ends_on: it is not a date, as 2031-05-06.'],
    'a week without an end' => ['weeks', 'ends_on', '2099-12-31', 'tables/weeks.jsonl, line 1: it lasts from 2031-04-28 to 2099-12-31; at most 200 days can be kept.'],
    'a week that ends before it starts' => ['weeks', 'ends_on', '2031-04-01', 'tables/weeks.jsonl, line 1: it lasts from 2031-04-28 to 2031-04-01; at most 200 days can be kept.'],
    'a number below those that are there' => ['books', 'id', -5, 'tables/books.jsonl, line 1, id: it is not a whole number from 1 to 1000000000000.'],
    'a number that leaves none' => ['books', 'id', PHP_INT_MAX, 'tables/books.jsonl, line 1, id: it is not a whole number from 1 to 1000000000000.'],
    'music that is none' => ['pieces', 'music', '<svg onload="x"/>', 'tables/pieces.jsonl, line 1, music: '],
]);

test('the settings of the studio are held to what a request may say', function (array $change, string $says): void {
    $manifest = json_decode($this->files['manifest.json'], true);
    $files = ['manifest.json' => (string) json_encode(array_replace_recursive($manifest, $change))] + $this->files;
    expect(restored_from($files, $this->into))->toStartWith($says)->and($this->into->refresh()->name)->toBe('New');
})->with([
    'a zone' => [['studio' => ['timezone' => 'No/Where']], 'manifest.json: '],
    'a word' => [['studio' => ['words' => 'none']], 'manifest.json: '],
    'a setting' => [['studio' => ['id' => 1]], "manifest.json: a studio has no setting 'id'."],
    'no version' => [['version' => null], 'manifest.json: it has no version'],
    'a list of versions' => [['version' => ['a' => 1]], 'manifest.json: it has no version'],
    'a name' => [['studio' => ['name' => ['x' => 1]]], 'manifest.json: '],
]);

test('music goes through reader and writer, so that only what they know is kept', function (): void {
    $files = with_first_row($this->files, 'pieces', fn (array $row): array => ['music' => str_replace('<measure ', '<measure onload="x" ', str_replace('</part-list>', '</part-list><!-- secret -->', $row['music'])), 'measures' => 77, 'note_names' => 'X9'] + $row);
    expect(restored_from($files, $this->into))->toBe('taken');
    $piece = DB::table('pieces')->where('studio_id', $this->into->id)->first();
    expect($piece->music)->not->toContain('onload')->not->toContain('secret')->toContain('<measure ')
        ->and((int) $piece->measures)->toBe(4)->and($piece->note_names)->not->toContain('X9');
});

test('what the practice room and the worksheets would stumble over is refused', function (string $table, string $column, mixed $value, string $says): void {
    expect(restored_from(with_first_row($this->files, $table, fn (array $row): array => [$column => $value] + $row), $this->into))->toStartWith("tables/{$table}.jsonl, line 1")->toContain($says);
})->with([
    'a note of no staff' => ['drill_answers', 'note', 'kazoo:C4', 'a note, as treble:C4'],
    'a note of no name' => ['drill_answers', 'note', 'treble:H4', 'a note, as treble:C4'],
    'a drill of no notes' => ['tasks', 'drill_notes', 'treble:C4,', 'notes, as treble:C4,bass:F3'],
    'a take that is none' => ['takes', 'notes', '{"notes":[{"t":-1,"pitch":60}]}', "no 't' that is seconds"],
    'another kind of drill' => ['drill_answers', 'kind', 'dance', 'one of name, find'],
    'notes that are none' => ['students', 'drill_notes', 'treble:C4,drums:C4', 'notes, as treble:C4,bass:F3'],
    'a line that is no music' => ['sight_lines', 'text', 'R: @c4 zzz', 'no music in the shorthand'],
    'a line without end' => ['sight_lines', 'text', 'R: @c4 '.str_repeat('q1 ', 3_000), 'no music in the shorthand'],
    'a level that is none' => ['sight_lines', 'level', 11, 'a whole number from 1 to 10'],
    'questions that are no list' => ['worksheets', 'items', '{"ask":"x"}', 'a list of at most 24 questions'],
    'a question without an answer' => ['worksheets', 'items', '[{"ask":"x","music":null,"sign":null,"key":null,"options":[]}]', 'a question of it is not described by ask, answer'],
    'options that are no texts' => ['worksheets', 'items', '[{"ask":"x","answer":"C","music":null,"sign":null,"key":null,"options":[7]}]', 'a text of 0 to 120 letters'],
]);

test('a studio that was restored has its practice room, its lines and its sheets again', function (): void {
    expect(restored_from($this->files, $this->into))->toBe('taken');
    $keeper = new Fixtures('keeper');
    Membership::of($this->into, $keeper->teacher, Role::Owner);
    $keeper->teacher->update(['studio_id' => $this->into->id]);
    $student = Student::query()->where('studio_id', $this->into->id)->where('first_name', FullStudio::NAME)->firstOrFail();
    $this->actingAs($keeper->teacher->refresh());
    expect($this->getJson("/api/students/{$student->id}/training")->assertOk()->json('sessions.0.kind'))->toBe('name')
        ->and($this->getJson("/api/students/{$student->id}/room")->assertOk()->json('decks'))->not->toBe([])
        ->and(array_column($this->getJson('/api/worksheets')->assertOk()->json(), 'questions', 'number'))->toBe([2 => 1, 1 => 1]);
});
