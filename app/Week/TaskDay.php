<?php

declare(strict_types=1);

namespace App\Week;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A day a task stands on, with its place in the day.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $task_id
 * @property CarbonImmutable $on_date
 * @property int $position
 * @property bool $locked the teacher has put it there
 * @property ?int $half_minutes what it takes on that day, 0 where filling put it there; null as its task says
 * @property int $more half minutes that filling added
 */
final class TaskDay extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** Filling has put it there, and puts it elsewhere when the week is planned again. */
    public function isFilled(): bool
    {
        return $this->half_minutes === 0;
    }

    /** @param int $of half minutes of its task */
    public function halfMinutesOf(int $of): int
    {
        return ($this->half_minutes ?? $of) + $this->more;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['on_date' => 'immutable_date:Y-m-d', 'locked' => 'boolean'];
    }
}
