<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Members\Membership;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;

/**
 * A teacher who signs in.
 *
 * @property int $id
 * @property ?int $studio_id where she works; null when she belongs to no studio
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
 * @property-read Collection<int, Membership> $memberships
 */
final class User extends Authenticatable
{
    protected $guarded = [];

    protected $hidden = ['password', 'remember_token', 'second_secret', 'recovery_codes', 'new_email_hash'];

    private ?Membership $membership = null;

    /**
     * Goes to work in a studio, for as long as the request lasts: the one that is asked for, or where she was last, or any
     * of hers.
     */
    public function worksIn(?int $studio): void
    {
        $all = $this->memberships()->join('studios', 'studios.id', '=', 'memberships.studio_id')->orderBy('memberships.id')->get(['memberships.*', 'studios.words']);
        $this->membership = $all->firstWhere('studio_id', $studio) ?? $all->firstWhere('studio_id', $this->studio_id) ?? $all->first();
        $this->studio_id = $this->membership?->studio_id;
        $this->syncOriginalAttribute('studio_id');
    }

    /** What she is in the studio where she works. */
    public function membership(): ?Membership
    {
        if ($this->membership?->studio_id !== $this->studio_id || $this->membership === null) {
            $this->worksIn(null);
        }

        return $this->membership;
    }

    /** Her studios know her by the name and the address that her account has now. */
    public function introduce(): void
    {
        $this->memberships()->update($this->only(['name', 'email']));
    }

    /** @return HasMany<Membership, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

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
