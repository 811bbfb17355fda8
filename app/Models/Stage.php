<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nasturtium\Core\Path\StageKind;

/**
 * A stage of a piece for one student.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $learning_id
 * @property int $position
 * @property string $kind
 * @property int $repetitions
 * @property ?int $tempo beats a minute
 * @property int $half_minutes
 * @property ?CarbonImmutable $passed_on
 * @property-read Learning $learning
 * @property-read Collection<int, StageBars> $bars
 * @property-read Collection<int, Stage> $waitsFor
 * @property-read Collection<int, Task> $tasks
 * @property-read int $misses_count lessons heard without a pass, where counted
 */
final class Stage extends Model
{
    protected $guarded = [];

    public function stageKind(): StageKind
    {
        return StageKind::from($this->kind);
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
        return $this->tasks()->where('mark', 'again');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['passed_on' => 'immutable_date:Y-m-d'];
    }
}
