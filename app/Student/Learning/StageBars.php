<?php

declare(strict_types=1);

namespace App\Student\Learning;

use Illuminate\Database\Eloquent\Model;

/**
 * Bars that a stage is done on.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $stage_id
 * @property int $position
 * @property string $kind
 * @property int $first index of a measure
 * @property int $last
 * @property string $from_place
 * @property string $to_place
 */
final class StageBars extends Model
{
    protected $table = 'stage_bars';

    public $timestamps = false;

    protected $guarded = [];
}
