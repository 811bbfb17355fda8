<?php

declare(strict_types=1);

namespace App\Student\Family;

use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;

/**
 * A private link that opens one student's home side; only the hash of its token is kept.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property string $label
 * @property string $token_hash
 * @property ?CarbonImmutable $expires_on
 * @property ?Carbon $withdrawn_at
 * @property ?Carbon $used_at
 * @property-read Student $student
 * @property-read Collection<int, Student> $siblings whom the teacher has joined to it
 */
final class FamilyLink extends Authenticatable
{
    protected $guarded = [];

    public static function hash(string $token): string
    {
        return hash('sha256', $token);
    }

    public function opens(CarbonImmutable $today): bool
    {
        return $this->withdrawn_at === null && ($this->expires_on === null || $this->expires_on->greaterThanOrEqualTo($today));
    }

    public function opensFor(int $studentId): bool
    {
        return $studentId === $this->student_id || $this->siblings->contains('id', $studentId);
    }

    /** A child whom it opens for, with the studio; not found for any other, and for one who has left. */
    public function child(int $studentId): Student
    {
        abort_unless($this->opensFor($studentId), 404);
        $child = Student::query()->with('studio')->findOrFail($studentId);
        abort_if($child->left_on !== null, 404);

        return $child;
    }

    /** @return BelongsToMany<Student, $this> */
    public function siblings(): BelongsToMany
    {
        return $this->belongsToMany(Student::class, 'link_siblings');
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['expires_on' => 'immutable_date:Y-m-d', 'withdrawn_at' => 'datetime', 'used_at' => 'datetime'];
    }
}
