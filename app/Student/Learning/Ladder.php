<?php

declare(strict_types=1);

namespace App\Student\Learning;

use Illuminate\Database\Eloquent\Model;
use Nasturtium\Core\Practice\TempoLadder;

/**
 * A tempo ladder that a teacher has set for a student on a piece, for one hand or for both.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $learning_id
 * @property string $hand R, L, or empty for both
 * @property int $start beats a minute
 * @property int $goal
 * @property ?int $step null for the classic marks
 */
final class Ladder extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    public function ladder(): TempoLadder
    {
        return new TempoLadder($this->start, $this->goal, $this->step);
    }
}
