<?php

declare(strict_types=1);

namespace App\Lead;

use App\Account\OfStudent;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A lesson that is led at home in the place of one that was missed: the teacher puts it together, and sees what was heard.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property string $title
 * @property ?CarbonImmutable $sent_at
 * @property ?CarbonImmutable $done_at
 * @property-read Student $student
 * @property-read Collection<int, LedStep> $steps
 */
final class LedLesson extends Model implements OfStudent
{
    protected $guarded = [];

    /**
     * With its steps and what was heard in them; the voices, which are long, are left where they are.
     *
     * @return array<int|string, string|\Closure>
     */
    public static function relations(): array
    {
        return [
            'steps' => static fn (HasMany $steps) => $steps->select(LedStep::WITHOUT_VOICE)->selectRaw('voice is not null as has_voice'),
            'steps.stage', 'steps.takes', 'steps.learning.piece',
        ];
    }

    public function studentId(): int
    {
        return $this->student_id;
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }

    /** @return HasMany<LedStep, $this> */
    public function steps(): HasMany
    {
        return $this->hasMany(LedStep::class)->orderBy('position')->orderBy('id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['sent_at' => 'immutable_datetime', 'done_at' => 'immutable_datetime'];
    }
}
