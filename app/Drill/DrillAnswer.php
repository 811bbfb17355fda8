<?php

declare(strict_types=1);

namespace App\Drill;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Nasturtium\Core\Drill\DrillKind;

/**
 * An answer in the practice room.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property string $session made by the device
 * @property int $position of the answer in its session
 * @property DrillKind $kind
 * @property string $card
 * @property ?string $note that it tells of, as treble:C4
 * @property bool $is_right
 * @property int $milliseconds
 * @property string $given what was answered
 * @property CarbonImmutable $answered_at
 * @property CarbonImmutable $on_date where the student is
 */
final class DrillAnswer extends Model
{
    /** A note by its clef, as treble:C4. */
    public const NOTE = '(?:treble|bass|alto|tenor|soprano|mezzo-soprano|baritone)(?:-8v[ab])?:[A-G](?:#{1,2}|b{1,2})?\d';

    /** One that can be chosen for a student. */
    public const CHOSEN = '(?:treble|bass):[A-G][#b]?[1-7]';

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => DrillKind::class, 'is_right' => 'boolean', 'answered_at' => 'immutable_datetime', 'on_date' => 'immutable_date:Y-m-d'];
    }
}
