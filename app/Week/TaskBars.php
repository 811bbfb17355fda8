<?php

declare(strict_types=1);

namespace App\Week;

use Illuminate\Database\Eloquent\Model;

/**
 * Bars that a task is done on.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $task_id
 * @property int $position
 * @property int $first index of a measure
 * @property int $last
 * @property string $from_place
 * @property string $to_place
 */
final class TaskBars extends Model
{
    protected $table = 'task_bars';

    public $timestamps = false;

    protected $guarded = [];
}
