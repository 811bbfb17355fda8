<?php

declare(strict_types=1);

/*
 * Copies of a large studio by the thousand rows, each with a teacher of its own, until there are so many studios:
 *   php tests/Scale/copies.php 60x5 100
 * The first is made by `nasturtium:demo --scale=60x5`. A copy keeps the order of the rows: every number is the original's and as
 * many millions more as the copy is the nth.
 */

use App\Account\User;
use App\Demo\Scale\ScaledStudio;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require __DIR__.'/../../vendor/autoload.php';

/** Apart from any other number that a studio may have. */
const BETWEEN_COPIES = 20_000_000;

/** What a studio of years has, in the order of what refers to what. */
const COPIED = ['books', 'pages', 'pieces', 'holidays', 'students', 'practice_days', 'student_books', 'learnings', 'stages', 'stage_waits', 'stage_bars', 'weeks', 'tasks', 'task_bars', 'task_days', 'practices', 'lessons', 'slips'];

$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
[$students, $years] = array_map(intval(...), explode('x', $argv[1] ?? '60x5'));
$wanted = (int) ($argv[2] ?? 10);
$teacher = User::query()->where('email', ScaledStudio::email($students, $years))->firstOrFail();
$studio = $teacher->studio_id;
DB::statement('set session foreign_key_checks = 0, unique_checks = 0');

/** Columns of a table, as they are copied: own numbers and those of copied tables are shifted. */
$select = static function (string $table, int $by, int $to) use ($studio): array {
    $refers = [];
    foreach (DB::select('select column_name as c, referenced_table_name as t from information_schema.key_column_usage where table_schema = database() and table_name = ? and referenced_table_name is not null', [$table]) as $row) {
        $refers[$row->c] = $row->t;
    }
    $columns = array_column(DB::select('select column_name as c from information_schema.columns where table_schema = database() and table_name = ? order by ordinal_position', [$table]), 'c');
    $values = array_map(static fn (string $column): string => match (true) {
        $column === 'studio_id' => (string) $to,
        $column === 'id', in_array($refers[$column] ?? '', COPIED, true) => "o.`{$column}` + {$by}",
        isset($refers[$column]) => 'null',
        default => "o.`{$column}`",
    }, $columns);
    $from = in_array('studio_id', $columns, true) ? "`{$table}` o where o.studio_id = {$studio}" : "`{$table}` o join stages s on s.id = o.stage_id where s.studio_id = {$studio}";

    return ['`'.implode('`, `', $columns).'`', implode(', ', $values), $from];
};

for ($nth = 1; $nth < $wanted; $nth++) {
    $email = "copy-{$nth}-of-".ScaledStudio::email($students, $years);
    if (User::query()->where('email', $email)->exists()) {
        continue;
    }
    $by = BETWEEN_COPIES * $nth;
    $to = DB::table('studios')->insertGetId(array_diff_key((array) DB::table('studios')->find($studio), ['id' => true]));
    foreach (COPIED as $table) {
        [$columns, $values, $from] = $select($table, $by, $to);
        DB::insert("insert into `{$table}` ({$columns}) select {$values} from {$from}");
    }
    // Last, so that a copy that was broken off is not taken for whole.
    $user = DB::table('users')->insertGetId([...array_diff_key((array) DB::table('users')->find($teacher->id), ['id' => true]), 'email' => $email, 'studio_id' => $to]);
    DB::table('memberships')->insert([...array_diff_key((array) DB::table('memberships')->where('user_id', $teacher->id)->first(), ['id' => true]), 'studio_id' => $to, 'user_id' => $user]);
    fwrite(STDERR, "\r".($nth + 1)." of {$wanted} studios");
}
fwrite(STDERR, "\n");
foreach (['practices', 'task_days', 'tasks', 'weeks', 'stages', 'slips', 'lessons', 'learnings'] as $table) {
    printf("%-12s %12s rows\n", $table, number_format((int) DB::table($table)->count()));
}
