<?php

declare(strict_types=1);

namespace App\Home\Letters;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A mail that the outbox has taken.
 *
 * @property int $id
 * @property int $studio_id
 * @property ?int $student_id about whom it is
 * @property string $to
 * @property string $subject
 * @property string $body
 * @property Carbon $created_at
 */
final class Mail extends Model
{
    protected $guarded = [];
}
