<?php

declare(strict_types=1);

namespace App\Week;

use App\Account\OfStudent;
use App\Http\English;
use App\Lesson\Slip;
use App\Student\Learning\Learning;
use App\Student\Learning\Stage;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\TaskClass;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Score\Hand;

/**
 * What a student does on some days of a week.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property int $week_id
 * @property ?int $stage_id
 * @property ?int $learning_id
 * @property ?int $performance_id that it is practised for, whole or as a run
 * @property ?string $drill_notes clef:pitch of what is drilled in the practice room, divided by commas; null for the notes of its page
 * @property TaskKind $kind
 * @property string $title
 * @property string $instruction
 * @property string $why
 * @property ?Hand $hand
 * @property int $repetitions
 * @property ?int $tempo beats a minute
 * @property int $half_minutes
 * @property ?int $line of a page that is learnt line by line, from 1
 * @property ?int $of_lines that the page has
 * @property ?int $half_minutes_first on its first day; null where that is no longer
 * @property int $pace percent of what is reckoned, that its minutes have
 * @property int $most_days it is wanted on no more
 * @property bool $is_new
 * @property bool $starred
 * @property bool $leads first in its day among its like
 * @property ?string $left_why
 * @property ?LessonVerdict $mark
 * @property ?int $tempo_reached beats a minute, at the lesson
 * @property string $heard_note of the teacher, at the lesson
 * @property-read int $practices_count days it was ticked on, where counted
 * @property-read Week $week
 * @property-read ?Stage $stage
 * @property-read ?Learning $learning
 * @property-read Collection<int, TaskBars> $bars
 * @property-read Collection<int, TaskDay> $days
 * @property-read Collection<int, DayOff> $daysOff
 * @property-read Collection<int, Practice> $practices
 * @property-read Collection<int, Slip> $slips
 */
final class Task extends Model implements OfStudent
{
    use SoftDeletes;

    /** Why a task is there that nobody proposed. */
    public const OWN = 'added by the teacher';

    /** Of `most_days`: as many days as help. */
    public const AS_MANY_AS_HELP = 3;

    protected $guarded = [];

    /** What it is to the plan of the week; the stage was fetched. */
    public function taskClass(): TaskClass
    {
        return $this->kind === TaskKind::Stage && $this->stage !== null ? $this->stage->kind->taskClass() : TaskClass::ofKind($this->kind);
    }

    /** What is to be done, in the studio's English; what the teacher typed stays as she typed it. */
    public function instruction(): string
    {
        return self::said($this->kind, $this->stage_id, $this->instruction);
    }

    /** The same of a row of the table. */
    public static function said(TaskKind $kind, ?int $stage, string $instruction): string
    {
        return $stage !== null || $kind === TaskKind::Remedy ? English::text($instruction) : $instruction;
    }

    /** What is kept where a screen gives back what it was told: not the words it was told in. */
    public function reworded(string $given): string
    {
        return $this->exists && $given === $this->instruction() ? $this->instruction : $given;
    }

    public function studentId(): int
    {
        return $this->student_id;
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

    /** @return BelongsTo<Week, $this> */
    public function week(): BelongsTo
    {
        return $this->belongsTo(Week::class);
    }

    /** @return HasMany<TaskBars, $this> */
    public function bars(): HasMany
    {
        return $this->hasMany(TaskBars::class);
    }

    /** @return HasMany<TaskDay, $this> */
    public function days(): HasMany
    {
        return $this->hasMany(TaskDay::class);
    }

    /** @return HasMany<DayOff, $this> */
    public function daysOff(): HasMany
    {
        return $this->hasMany(DayOff::class);
    }

    /** @return HasMany<Practice, $this> */
    public function practices(): HasMany
    {
        return $this->hasMany(Practice::class);
    }

    /** @return HasMany<Slip, $this> */
    public function slips(): HasMany
    {
        return $this->hasMany(Slip::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => TaskKind::class, 'hand' => Hand::class, 'mark' => LessonVerdict::class, 'is_new' => 'boolean', 'starred' => 'boolean', 'leads' => 'boolean'];
    }
}
