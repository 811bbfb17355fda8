<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What went wrong at a place, heard at a lesson.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $lesson_id
 * @property int $task_id
 * @property string $kind
 * @property int $measure index in the piece
 * @property string $place
 * @property ?string $hand
 * @property string $note_names clef:pitch of the notes of its place, divided by commas
 * @property-read Lesson $lesson
 * @property-read Task $task
 */
final class Slip extends Model
{
    protected $guarded = [];

    /** @return BelongsTo<Lesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(Lesson::class);
    }

    /** @return BelongsTo<Task, $this> */
    public function task(): BelongsTo
    {
        return $this->belongsTo(Task::class);
    }
}
