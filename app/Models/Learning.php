<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A student on a piece.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property int $piece_id
 * @property string $path
 * @property string $state current, resting or finished
 * @property CarbonImmutable $opened_on
 * @property ?CarbonImmutable $finished_on
 * @property ?CarbonImmutable $played_on
 * @property int $review_step
 * @property-read Student $student
 * @property-read Piece $piece
 * @property-read Collection<int, Stage> $stages
 */
final class Learning extends Model
{
    protected $guarded = [];

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }

    /** @return BelongsTo<Piece, $this> */
    public function piece(): BelongsTo
    {
        return $this->belongsTo(Piece::class);
    }

    /** @return HasMany<Stage, $this> */
    public function stages(): HasMany
    {
        return $this->hasMany(Stage::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['opened_on' => 'immutable_date:Y-m-d', 'finished_on' => 'immutable_date:Y-m-d', 'played_on' => 'immutable_date:Y-m-d'];
    }
}
