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
 */
final class TaskDay extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['on_date' => 'immutable_date:Y-m-d', 'locked' => 'boolean'];
    }
}
