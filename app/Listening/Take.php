<?php

declare(strict_types=1);

namespace App\Listening;

use App\Account\OfStudent;
use App\Week\Task;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Nasturtium\Core\Performance\Hearing\Source;

/**
 * What was played for a task, as notes.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property ?int $task_id of a week; null for a step of a make-up lesson
 * @property ?int $led_step_id
 * @property string $client_key
 * @property int $first index of a measure
 * @property int $last
 * @property Source $source
 * @property CarbonImmutable $taken_at
 * @property CarbonImmutable $on_date
 * @property string $notes in JSON
 * @property ?string $judged in JSON, for a revision of the page
 * @property-read ?Task $task
 */
final class Take extends Model implements OfStudent
{
    public $timestamps = false;

    protected $guarded = [];

    public function studentId(): int
    {
        return $this->student_id;
    }

    /** @return BelongsTo<Task, $this> */
    public function task(): BelongsTo
    {
        return $this->belongsTo(Task::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['source' => Source::class, 'taken_at' => 'immutable_datetime', 'on_date' => 'immutable_date:Y-m-d'];
    }
}
