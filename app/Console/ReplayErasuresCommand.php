<?php

declare(strict_types=1);

namespace App\Console;

use App\Account\EndStudio;
use App\Account\Studio;
use App\Privacy\EraseStudent;
use App\Privacy\Erasures;
use App\Student\Student;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/**
 * After a copy of the database was put back: erase again who was erased since it was made, and end the studios that were
 * ended. Their numbers are given to nobody else, or the next time it would be somebody else who is erased.
 */
final class ReplayErasuresCommand extends Command
{
    protected $signature = 'nasturtium:replay-erasures';

    protected $description = 'Erase again the students who were erased, and end the studios that were ended, since a copy of the database was made';

    public function handle(EraseStudent $erase, EndStudio $end): int
    {
        $count = $ended = 0;
        $erasures = Erasures::all();
        foreach ($erasures as [$studio, $id]) {
            if ($id === Erasures::WHOLE_STUDIO) {
                if (Studio::query()->whereKey($studio)->exists()) {
                    $end($studio);
                    $ended++;
                }

                continue;
            }
            $student = Student::query()->where('studio_id', $studio)->find($id);
            if ($student !== null) {
                $erase($student, isReplay: true);
                $count++;
            }
        }
        self::keepFree('studios', array_column($erasures, 0));
        self::keepFree('students', array_column($erasures, 1));
        $this->line("{$count} students were erased again.");
        if ($ended > 0) {
            $this->line("{$ended} studios were ended again; the queue erases what was in them.");
        }

        return self::SUCCESS;
    }

    /** @param list<int> $numbers */
    private static function keepFree(string $table, array $numbers): void
    {
        $free = $numbers === [] ? 0 : max($numbers) + 1;
        $next = DB::table('information_schema.tables')->where('table_schema', DB::getDatabaseName())->where('table_name', $table)->value('auto_increment');
        if ($free > (int) $next) {
            DB::statement("ALTER TABLE {$table} AUTO_INCREMENT = {$free}");
        }
    }
}
