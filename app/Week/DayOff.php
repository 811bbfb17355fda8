<?php

declare(strict_types=1);

namespace App\Week;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A day that the teacher took a task off; no plan puts it back there.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $task_id
 * @property CarbonImmutable $on_date
 */
final class DayOff extends Model
{
    public $timestamps = false;

    protected $table = 'days_off';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['on_date' => 'immutable_date:Y-m-d'];
    }
}
