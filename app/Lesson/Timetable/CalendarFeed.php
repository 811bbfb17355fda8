<?php

declare(strict_types=1);

namespace App\Lesson\Timetable;

use App\Account\Studio;
use App\Student\Student;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A private address of a calendar; only the hash of its token is kept.
 *
 * @property int $id
 * @property int $studio_id
 * @property ?int $student_id null for all lessons of the studio
 * @property string $token_hash
 * @property ?Carbon $used_at
 * @property-read Studio $studio
 * @property-read ?Student $student
 */
final class CalendarFeed extends Model
{
    protected $guarded = [];

    /** @return BelongsTo<Studio, $this> */
    public function studio(): BelongsTo
    {
        return $this->belongsTo(Studio::class);
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['used_at' => 'datetime'];
    }
}
