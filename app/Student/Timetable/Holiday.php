<?php

declare(strict_types=1);

namespace App\Student\Timetable;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * Days without lessons, without practice, or without both; of one student or of all.
 *
 * @property int $id
 * @property int $studio_id
 * @property ?int $student_id null for all students
 * @property string $label
 * @property CarbonImmutable $from_on
 * @property CarbonImmutable $to_on the last day
 * @property bool $lessons there are lessons all the same
 * @property bool $practice there is practice all the same
 */
final class Holiday extends Model
{
    /** Days. */
    public const LONGEST = 800;

    protected $guarded = [];

    /** @return array{string, string} the first and the last date */
    public function dates(): array
    {
        return [$this->from_on->toDateString(), $this->to_on->toDateString()];
    }

    public function has(string $date): bool
    {
        [$from, $to] = $this->dates();

        return $date >= $from && $date <= $to;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['from_on' => 'immutable_date:Y-m-d', 'to_on' => 'immutable_date:Y-m-d', 'lessons' => 'boolean', 'practice' => 'boolean'];
    }
}
