<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;

/**
 * A teacher who signs in.
 *
 * @property int $id
 * @property int $studio_id
 * @property string $name
 * @property string $email
 * @property ?string $new_email until it is confirmed
 * @property ?string $new_email_hash
 * @property ?Carbon $new_email_until
 * @property string $password
 * @property ?string $second_secret in base 32
 * @property ?Carbon $second_since
 * @property ?int $second_used time step of the last code that was taken
 * @property ?list<string> $recovery_codes hashes
 * @property-read Studio $studio
 */
final class User extends Authenticatable
{
    protected $guarded = [];

    protected $hidden = ['password', 'remember_token', 'second_secret', 'recovery_codes', 'new_email_hash'];

    /** @return BelongsTo<Studio, $this> */
    public function studio(): BelongsTo
    {
        return $this->belongsTo(Studio::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'second_secret' => 'encrypted', 'second_since' => 'datetime', 'recovery_codes' => 'array', 'new_email_until' => 'datetime'];
    }
}
