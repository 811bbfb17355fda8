<?php

declare(strict_types=1);

namespace App\Console;

use App\Privacy\EraseStudent;
use App\Privacy\Erasures;
use App\Student\Student;
use Illuminate\Console\Command;

/** After a copy of the database was put back: erase again who was erased since it was made. */
final class ReplayErasuresCommand extends Command
{
    protected $signature = 'nasturtium:replay-erasures';

    protected $description = 'Erase again the students who were erased since a copy of the database was made';

    public function handle(EraseStudent $erase): int
    {
        $count = 0;
        foreach (Erasures::all() as [$studio, $id]) {
            $student = Student::query()->where('studio_id', $studio)->find($id);
            if ($student !== null) {
                $erase($student, isReplay: true);
                $count++;
            }
        }
        $this->line("{$count} students were erased again.");

        return self::SUCCESS;
    }
}
