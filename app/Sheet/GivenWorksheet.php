<?php

declare(strict_types=1);

namespace App\Sheet;

use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A worksheet that a student has, and how many were right.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $worksheet_id
 * @property int $student_id
 * @property CarbonImmutable $given_on
 * @property ?int $right of the questions; null until it is marked
 * @property ?CarbonImmutable $marked_on
 * @property-read Student $student
 */
final class GivenWorksheet extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['given_on' => 'immutable_date:Y-m-d', 'marked_on' => 'immutable_date:Y-m-d'];
    }
}
