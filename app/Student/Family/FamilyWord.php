<?php

declare(strict_types=1);

namespace App\Student\Family;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What a parent writes to the teacher on a day, apart from any task.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property CarbonImmutable $on_date
 * @property string $words
 */
final class FamilyWord extends Model
{
    public const LONGEST = 500;

    protected $guarded = [];

    /** @return list<FamilyWordResource> by day, both days included */
    public static function between(int $studentId, CarbonImmutable $from, CarbonImmutable $to): array
    {
        $words = self::query()->where('student_id', $studentId)->orderBy('on_date');
        $words->whereBetween('on_date', [$from->toDateString(), $to->toDateString()]);

        return array_values(array_map(FamilyWordResource::of(...), $words->get()->all()));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['on_date' => 'immutable_date:Y-m-d'];
    }
}
