<?php

declare(strict_types=1);

namespace App\Week;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Nasturtium\Core\Practice\Feeling;

/**
 * A tick from home.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property int $task_id
 * @property CarbonImmutable $on_date
 * @property int $repetitions
 * @property ?int $tempo beats a minute it was played at last
 * @property Feeling $feeling
 * @property string $note
 * @property ?int $seconds from opening to ticking, without pauses; null where that is not known
 * @property string $client_key
 * @property-read Task $task
 */
final class Practice extends Model
{
    protected $guarded = [];

    /** @return BelongsTo<Task, $this> */
    public function task(): BelongsTo
    {
        return $this->belongsTo(Task::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['feeling' => Feeling::class, 'on_date' => 'immutable_date:Y-m-d'];
    }
}
