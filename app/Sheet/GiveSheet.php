<?php

declare(strict_types=1);

namespace App\Sheet;

use App\Student\Student;

/** Gives a worksheet to a student; one who has it already keeps it as it is. */
final class GiveSheet
{
    /** @param Student $student with the studio */
    public function __invoke(Worksheet $sheet, Student $student): GivenWorksheet
    {
        return GivenWorksheet::query()->createOrFirst(
            ['worksheet_id' => $sheet->id, 'student_id' => $student->id],
            ['studio_id' => $sheet->studio_id, 'given_on' => $student->today()->toDateString()],
        );
    }
}
