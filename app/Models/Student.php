<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nasturtium\Core\Path\Path;
use Nasturtium\Core\Path\PathKind;

/**
 * A student of a studio.
 *
 * @property int $id
 * @property int $studio_id
 * @property string $first_name
 * @property string $initial
 * @property int $birth_year
 * @property int $lesson_weekday 1 Monday to 7 Sunday
 * @property string $lesson_time
 * @property int $lesson_minutes
 * @property string $path
 * @property ?int $path_id a path of the studio, over `path`
 * @property string $school
 * @property int $landmark_level
 * @property bool $landmark_middle D3 is a landmark too
 * @property string $counting
 * @property string $count_style
 * @property string $long_notes
 * @property string $compound_beats
 * @property string $count_ready last words of the count-in
 * @property int $hand_span white keys
 * @property-read Studio $studio
 * @property-read ?OwnPath $ownPath
 * @property-read Collection<int, PracticeDay> $practiceDays
 * @property-read Collection<int, Learning> $learnings
 * @property-read Collection<int, Week> $weeks
 * @property-read Collection<int, FamilyLink> $familyLinks
 * @property-read Collection<int, Lesson> $lessons
 */
final class Student extends Model
{
    protected $guarded = [];

    /** The path that this student's pages are opened on. */
    public function way(): Path
    {
        return $this->ownPath?->path() ?? Path::shipped(PathKind::from($this->path));
    }

    /** @return BelongsTo<OwnPath, $this> */
    public function ownPath(): BelongsTo
    {
        return $this->belongsTo(OwnPath::class, 'path_id');
    }

    public function age(CarbonImmutable $today): int
    {
        return max(0, $today->year - $this->birth_year);
    }

    /** The lesson day on or after a day. */
    public function lessonOnOrAfter(CarbonImmutable $day): CarbonImmutable
    {
        return $day->addDays(($this->lesson_weekday - $day->dayOfWeekIso + 7) % 7);
    }

    /** @return BelongsTo<Studio, $this> */
    public function studio(): BelongsTo
    {
        return $this->belongsTo(Studio::class);
    }

    /** @return HasMany<PracticeDay, $this> */
    public function practiceDays(): HasMany
    {
        return $this->hasMany(PracticeDay::class);
    }

    /** @return HasMany<Learning, $this> */
    public function learnings(): HasMany
    {
        return $this->hasMany(Learning::class);
    }

    /** @return HasMany<Week, $this> */
    public function weeks(): HasMany
    {
        return $this->hasMany(Week::class);
    }

    /** @return HasMany<FamilyLink, $this> */
    public function familyLinks(): HasMany
    {
        return $this->hasMany(FamilyLink::class);
    }

    /** @return HasMany<Lesson, $this> */
    public function lessons(): HasMany
    {
        return $this->hasMany(Lesson::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['landmark_middle' => 'boolean'];
    }
}
