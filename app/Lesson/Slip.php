<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Account\OfStudent;
use App\Week\Task;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Nasturtium\Core\Practice\HeardSlip;
use Nasturtium\Core\Practice\Slip as SlipKind;
use Nasturtium\Core\Score\Hand;

/**
 * What went wrong at a place, heard at a lesson.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $lesson_id
 * @property int $task_id
 * @property SlipKind $kind
 * @property int $measure index in the piece
 * @property ?int $last_measure index in the piece, of a slip over several bars
 * @property ?int $from_beat 1 is the first; null for whole bars
 * @property ?int $to_beat
 * @property string $place
 * @property ?Hand $hand
 * @property string $note_names clef:pitch of the notes of its place, divided by commas
 * @property ?string $client_key made on the screen of the lesson
 * @property-read Lesson $lesson
 * @property-read Task $task
 */
final class Slip extends Model implements OfStudent
{
    protected $guarded = [];

    public function studentId(): int
    {
        return (int) Lesson::query()->whereKey($this->lesson_id)->value('student_id');
    }

    /** As the core knows it; needs its task. */
    public function heard(): HeardSlip
    {
        return new HeardSlip(
            $this->kind,
            $this->measure,
            $this->last_measure ?? $this->measure,
            $this->from_beat === null ? null : $this->from_beat - 1,
            $this->to_beat === null ? null : $this->to_beat - 1,
            $this->hand,
            $this->task->tempo,
        );
    }

    /** @return BelongsTo<Lesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(Lesson::class);
    }

    /** @return BelongsTo<Task, $this> also one that was removed since */
    public function task(): BelongsTo
    {
        $task = $this->belongsTo(Task::class);
        $task->withoutGlobalScope(SoftDeletingScope::class);

        return $task;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => SlipKind::class, 'hand' => Hand::class];
    }
}
