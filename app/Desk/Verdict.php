<?php

declare(strict_types=1);

namespace App\Desk;

use Illuminate\Database\Eloquent\Model;
use Nasturtium\Core\Pattern\Verdict as BarVerdict;

/**
 * What the teacher says of a bar: easy or hard.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $piece_id
 * @property int $measure its number
 * @property BarVerdict $verdict
 */
final class Verdict extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['verdict' => BarVerdict::class];
    }
}
