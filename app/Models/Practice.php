<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

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
 * @property string $feeling easy, fine or hard
 * @property string $note
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
        return ['on_date' => 'immutable_date:Y-m-d'];
    }
}
