<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A finger that the teacher has set for one note.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $piece_id
 * @property string $hand
 * @property string $place
 * @property string $pitch
 * @property int $finger
 */
final class OwnFinger extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
