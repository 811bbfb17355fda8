<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Account\OfStudent;
use App\Http\English;
use App\Student\Learning\Stuck\StuckStages;
use App\Week\Task;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Path\PathStep as Step;
use Nasturtium\Core\Path\Petal;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Score\Hand;

/**
 * A stage of a piece for one student.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $learning_id
 * @property ?int $position null when its path leaves it out
 * @property StageKind $kind
 * @property string $content what it works on
 * @property string $name of an own stage
 * @property string $sentence as it fits the page
 * @property string $pass_mark
 * @property ?Petal $petal
 * @property ?Hand $hand
 * @property int $repetitions
 * @property ?int $tempo beats a minute
 * @property int $half_minutes
 * @property ?int $half_minutes_first on its first day; null where that is no longer
 * @property ?CarbonImmutable $passed_on
 * @property ?int $relieved_after the last task before it was made easier
 * @property ?list<array{columns: array<string, mixed>, state: string, bars: list<array<string, mixed>>}> $before_relief what it was before each relief
 * @property-read Learning $learning
 * @property-read Collection<int, StageBars> $bars
 * @property-read Collection<int, Stage> $waitsFor
 * @property-read Collection<int, Task> $tasks
 * @property-read int $misses_count lessons heard without a pass, where counted
 */
final class Stage extends Model implements OfStudent
{
    protected $guarded = [];

    public function studentId(): int
    {
        return (int) Learning::query()->whereKey($this->learning_id)->value('student_id');
    }

    public function title(): string
    {
        return $this->isOwn() ? $this->name : $this->kind->value;
    }

    public function instruction(): string
    {
        // Pages that were opened before sentences fitted them have the usual one.
        $sentence = $this->sentence !== '' ? $this->sentence : $this->kind->sentence();

        return $this->isOwn() ? $sentence : English::text($sentence);
    }

    public function passMark(): string
    {
        return $this->isOwn() ? $this->pass_mark : $this->kind->passMark();
    }

    /** The petal that it opens. */
    public function opens(): ?Petal
    {
        return $this->isOwn() ? $this->petal : $this->kind->petal();
    }

    /** The hand that plays it alone. */
    public function aloneHand(): ?Hand
    {
        return $this->isOwn() ? $this->hand : $this->kind->hand();
    }

    /** The same as its step's, so that a stage is found again on another path. */
    public function key(): string
    {
        return $this->isOwn() ? "own {$this->name}" : $this->kind->value;
    }

    /** @return array<string, string|null> columns that say what the stage is */
    public static function columnsOf(Step $step): array
    {
        $own = $step->kind === StageKind::Own;

        return [
            'kind' => $step->kind->value,
            'name' => $own ? $step->name : '',
            'sentence' => $own ? $step->sentence : '',
            'pass_mark' => $own ? $step->passMark : '',
            'petal' => $own ? $step->petal?->value : null,
            'hand' => $own ? $step->hand?->value : null,
        ];
    }

    private function isOwn(): bool
    {
        return $this->kind === StageKind::Own;
    }

    /** @return BelongsTo<Learning, $this> */
    public function learning(): BelongsTo
    {
        return $this->belongsTo(Learning::class);
    }

    /** @return HasMany<StageBars, $this> */
    public function bars(): HasMany
    {
        return $this->hasMany(StageBars::class);
    }

    /** @return BelongsToMany<Stage, $this> */
    public function waitsFor(): BelongsToMany
    {
        return $this->belongsToMany(Stage::class, 'stage_waits', 'stage_id', 'waits_for_id');
    }

    /** @return HasMany<Task, $this> */
    public function tasks(): HasMany
    {
        return $this->hasMany(Task::class);
    }

    /** @return HasMany<Task, $this> lessons that heard it and did not pass it */
    public function misses(): HasMany
    {
        $misses = $this->tasks();
        $misses->where(StuckStages::misses(...));

        return $misses;
    }

    /**
     * Of misses: lessons, not the lines of a page that were heard at one.
     *
     * @param  Builder<Task>  $misses
     */
    public static function countLessons(Builder $misses): void
    {
        $misses->select(DB::raw('count(distinct tasks.week_id)'));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => StageKind::class, 'petal' => Petal::class, 'hand' => Hand::class, 'passed_on' => 'immutable_date:Y-m-d', 'before_relief' => 'array'];
    }
}
