<?php

declare(strict_types=1);

namespace App\Sheet;

use App\Account\Studio;
use App\Student\Student;
use Illuminate\Support\Facades\DB;

/** Keeps a worksheet under the next number of its studio, and gives it to the student it was made for. */
final class KeepSheet
{
    public function __construct(private readonly GiveSheet $give) {}

    /**
     * @param  non-empty-list<SheetItemResource>  $items
     * @param  ?Student  $student  with the studio
     */
    public function __invoke(SheetRequest $wanted, Studio $studio, array $items, ?Student $student): Worksheet
    {
        return DB::transaction(function () use ($wanted, $studio, $items, $student): Worksheet {
            // One after the other, so that no number is given twice.
            DB::table('studios')->where('id', $studio->id)->lockForUpdate()->value('id');
            $sheet = Worksheet::query()->create([
                'studio_id' => $studio->id,
                'number' => 1 + (int) Worksheet::query()->where('studio_id', $studio->id)->max('number'),
                'kind' => $wanted->kind(),
                'count' => count($items),
                'hard' => $wanted->integer('hard'),
                'clefs' => implode(',', array_column($wanted->clefs(), 'value')),
                'seed' => $wanted->integer('seed'),
                'items' => $items,
            ]);
            if ($student !== null) {
                ($this->give)($sheet, $student);
            }

            return $sheet;
        });
    }
}
