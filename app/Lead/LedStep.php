<?php

declare(strict_types=1);

namespace App\Lead;

use App\Account\OfStudent;
use App\Listening\Take;
use App\Student\Learning\Learning;
use App\Student\Learning\Stage;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nasturtium\Core\Home\TaskSign;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Score\Hand;

/**
 * A step of a make-up lesson: bars of a stage, or the teacher's own words.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property int $led_lesson_id
 * @property int $position
 * @property ?int $stage_id
 * @property ?int $learning_id
 * @property ?int $first index of a measure
 * @property ?int $last
 * @property ?Hand $hand
 * @property ?int $tempo beats a minute
 * @property string $words
 * @property int $half_minutes
 * @property ?string $voice of the teacher, as a data address
 * @property-read bool $has_voice where it was asked for
 * @property-read LedLesson $lesson
 * @property-read ?Stage $stage
 * @property-read ?Learning $learning
 * @property-read Collection<int, Take> $takes
 */
final class LedStep extends Model implements OfStudent
{
    public $timestamps = false;

    protected $guarded = [];

    /** Everything but the voice, which is long. */
    public const WITHOUT_VOICE = ['id', 'studio_id', 'student_id', 'led_lesson_id', 'position', 'stage_id', 'learning_id', 'first', 'last', 'hand', 'tempo', 'words', 'half_minutes'];

    public function studentId(): int
    {
        return $this->student_id;
    }

    public function sign(): TaskSign
    {
        return $this->first === null ? TaskSign::Show : TaskSign::of(TaskKind::Stage, $this->stage?->kind);
    }

    /** @return BelongsTo<LedLesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(LedLesson::class, 'led_lesson_id');
    }

    /** @return BelongsTo<Stage, $this> */
    public function stage(): BelongsTo
    {
        return $this->belongsTo(Stage::class);
    }

    /** @return BelongsTo<Learning, $this> */
    public function learning(): BelongsTo
    {
        return $this->belongsTo(Learning::class);
    }

    /** @return HasMany<Take, $this> */
    public function takes(): HasMany
    {
        return $this->hasMany(Take::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['hand' => Hand::class, 'has_voice' => 'boolean'];
    }
}
