<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\Studio;
use App\Account\User;
use App\Queue\WorkState;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;

/**
 * A person's demo studio, made by the queue; one of hers at a time.
 *
 * @property int $id
 * @property int $user_id
 * @property ?int $studio_id once it is made
 * @property WorkState $state
 * @property int $done students
 * @property int $of
 * @property string $reason why it could not be made
 * @property-read User $user
 */
final class Demo extends Model
{
    protected $guarded = [];

    protected $attributes = ['done' => 0, 'of' => 1, 'reason' => ''];

    /** What is there, or on its way, is not begun again. */
    public static function begin(User $user): self
    {
        return DB::transaction(static function () use ($user): self {
            User::query()->whereKey($user->id)->lockForUpdate()->firstOrFail();
            $before = self::query()->where('user_id', $user->id)->first();
            if ($before?->state->isGoingOn() === true) {
                return $before;
            }
            $studio = Studio::query()->where('is_demo', true)->whereIn('id', $user->memberships()->select('studio_id'))->first();
            $demo = self::query()->updateOrCreate(['user_id' => $user->id], [
                'studio_id' => $studio?->id, 'state' => $studio === null ? WorkState::Waiting : WorkState::Done, 'done' => 0, 'of' => 1, 'reason' => '',
            ]);
            if ($studio === null) {
                MakeDemo::dispatch($demo->id);
            }

            return $demo;
        });
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => WorkState::class];
    }
}
