<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Account\Studio;
use App\Account\User;
use App\Student\Student;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Nasturtium\Core\Counting\NoteWords;

/**
 * Somebody in a studio, or whoever is invited into it: then nobody stands behind it yet, and its link is answered.
 *
 * @property int $id
 * @property int $studio_id
 * @property ?int $user_id null until the invitation is accepted
 * @property Role $role
 * @property string $name
 * @property string $email
 * @property ?string $token_hash of the invitation
 * @property ?Carbon $invited_until
 * @property-read Studio $studio
 * @property-read ?NoteWords $words of the studio, where somebody goes to work in it
 * @property-read ?int $students_count
 */
final class Membership extends Model
{
    public const DAYS_INVITED = 14;

    protected $guarded = [];

    public static function of(Studio $studio, User $user, Role $role): self
    {
        return self::query()->create(['studio_id' => $studio->id, 'user_id' => $user->id, 'role' => $role, 'name' => $user->name, 'email' => $user->email]);
    }

    /** The invitation that a link opens, while it does. */
    public static function invitedBy(string $token): ?self
    {
        return self::query()->with('studio')->where('token_hash', hash('sha256', $token))->whereNull('user_id')->where('invited_until', '>', now())->first();
    }

    /** @return string the token of the link, which is shown once; a link of before opens nothing any more */
    public function invite(): string
    {
        $token = Str::random(48);
        $this->update(['token_hash' => hash('sha256', $token), 'invited_until' => now()->addDays(self::DAYS_INVITED)]);

        return $token;
    }

    public function accept(User $user): void
    {
        $this->update(['user_id' => $user->id, 'name' => $user->name, 'email' => $user->email, 'token_hash' => null, 'invited_until' => null]);
    }

    /** Whose students stand in her lists: those given to an assistant, or null for all. */
    public function onlyOf(): ?int
    {
        return $this->role->teaches() ? null : $this->id;
    }

    /**
     * @param  Builder<Student>  $students
     * @return Builder<Student>
     */
    public function among(Builder $students): Builder
    {
        return $students->where('studio_id', $this->studio_id)->when($this->onlyOf() !== null, fn (Builder $student): Builder => $student->where('membership_id', $this->id));
    }

    /** @return BelongsTo<Studio, $this> */
    public function studio(): BelongsTo
    {
        return $this->belongsTo(Studio::class);
    }

    /** @return HasMany<Student, $this> */
    public function students(): HasMany
    {
        return $this->hasMany(Student::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['role' => Role::class, 'words' => NoteWords::class, 'invited_until' => 'datetime'];
    }
}
