<?php

declare(strict_types=1);

namespace App\Desk;

use Illuminate\Database\Eloquent\Model;
use Nasturtium\Core\Score\Hand;

/**
 * A finger that the teacher has set for one note.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $piece_id
 * @property Hand $hand
 * @property string $place
 * @property string $pitch
 * @property int $finger
 */
final class OwnFinger extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['hand' => Hand::class];
    }
}
