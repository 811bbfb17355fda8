<?php

declare(strict_types=1);

namespace App\Sheet;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nasturtium\Core\Sheet\SheetKind;

/**
 * A worksheet as it was printed.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $number in the studio
 * @property SheetKind $kind
 * @property int $count
 * @property int $hard 1 to 3
 * @property string $clefs with commas
 * @property int $seed
 * @property list<array{ask: string, answer: string, music: ?string, sign: ?string, options: list<string>, key: ?int}> $items
 * @property CarbonImmutable $created_at
 * @property-read Collection<int, GivenWorksheet> $given
 */
final class Worksheet extends Model
{
    protected $guarded = [];

    /** @return HasMany<GivenWorksheet, $this> */
    public function given(): HasMany
    {
        return $this->hasMany(GivenWorksheet::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => SheetKind::class, 'items' => 'array', 'created_at' => 'immutable_datetime'];
    }
}
