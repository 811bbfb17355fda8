<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A lesson, which hears the week that ends with it.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property ?int $week_id
 * @property CarbonImmutable $held_on
 * @property ?Carbon $finished_at
 * @property-read Student $student
 * @property-read ?Week $week
 * @property-read Collection<int, Slip> $slips
 */
final class Lesson extends Model
{
    protected $guarded = [];

    /** @return BelongsTo<Week, $this> */
    public function week(): BelongsTo
    {
        return $this->belongsTo(Week::class);
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }

    /** @return HasMany<Slip, $this> */
    public function slips(): HasMany
    {
        return $this->hasMany(Slip::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['held_on' => 'immutable_date:Y-m-d', 'finished_at' => 'datetime'];
    }
}
