<?php

declare(strict_types=1);

namespace App\Student\Performances;

use App\Account\OfStudent;
use App\Student\Learning\Learning;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * Pieces that a student plays to others on a day.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property string $title
 * @property CarbonImmutable $on_date
 * @property-read Collection<int, Learning> $pieces in the order they are played
 */
final class Performance extends Model implements OfStudent
{
    protected $guarded = [];

    public function studentId(): int
    {
        return $this->student_id;
    }

    /** @return BelongsToMany<Learning, $this> */
    public function pieces(): BelongsToMany
    {
        return $this->belongsToMany(Learning::class, 'performance_pieces')->orderBy('performance_pieces.id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['on_date' => 'immutable_date:Y-m-d'];
    }
}
