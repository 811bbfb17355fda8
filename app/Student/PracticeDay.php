<?php

declare(strict_types=1);

namespace App\Student;

use Illuminate\Database\Eloquent\Model;

/**
 * The minutes a student has on a weekday.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property int $weekday 1 Monday to 7 Sunday
 * @property int $minutes
 */
final class PracticeDay extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
