<?php

declare(strict_types=1);

namespace App\Week;

use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * The assignment from one lesson to the next.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property CarbonImmutable $starts_on
 * @property CarbonImmutable $ends_on
 * @property ?Carbon $sent_at
 * @property string $message to the family
 * @property int $share percent of the minutes that are planned
 * @property ?CarbonImmutable $planned_on the day from which it was planned last
 * @property-read Student $student
 * @property-read Collection<int, Task> $tasks
 */
final class Week extends Model
{
    protected $guarded = [];

    /** With its tasks and days, as it is shown. */
    public function whole(): self
    {
        return $this->loadMissing(WeekDays::RELATIONS);
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }

    /** @return HasMany<Task, $this> in the order they were set */
    public function tasks(): HasMany
    {
        $tasks = $this->hasMany(Task::class);
        $tasks->orderBy('tasks.id');

        return $tasks;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['starts_on' => 'immutable_date:Y-m-d', 'ends_on' => 'immutable_date:Y-m-d', 'sent_at' => 'datetime', 'planned_on' => 'immutable_date:Y-m-d'];
    }
}
