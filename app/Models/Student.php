<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nasturtium\Core\Counting\CountingSystem;
use Nasturtium\Core\Counting\CountStyle;
use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Report\Settings;

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
 * @property string $school
 * @property int $landmark_level
 * @property string $counting
 * @property string $count_style
 * @property int $hand_span white keys
 * @property-read Studio $studio
 * @property-read Collection<int, PracticeDay> $practiceDays
 * @property-read Collection<int, Learning> $learnings
 * @property-read Collection<int, Week> $weeks
 * @property-read Collection<int, FamilyLink> $familyLinks
 * @property-read Collection<int, Lesson> $lessons
 */
final class Student extends Model
{
    protected $guarded = [];

    /** How this student reads, counts and learns a piece, for the core; notes of pieces opened before are known. */
    public function settingsFor(Piece $piece): Settings
    {
        return new Settings(
            PathKind::from($this->path),
            School::from($this->school),
            new CountWay(CountingSystem::from($this->counting), CountStyle::from($this->count_style)),
            new Landmarks($this->landmark_level),
            KnownNotes::of($this->notesMetBefore($piece)),
        );
    }

    /** @return list<string> clef:pitch of the notes on pieces opened before this one */
    private function notesMetBefore(Piece $piece): array
    {
        $opened = Learning::query()->where('student_id', $this->id)->where('piece_id', $piece->id)->value('opened_on');
        $names = Piece::query()->join('learnings', 'learnings.piece_id', '=', 'pieces.id')->where('learnings.student_id', $this->id)
            ->where('pieces.id', '!=', $piece->id)
            ->when($opened !== null, static fn ($pieces) => $pieces->where('learnings.opened_on', '<', $opened))
            ->pluck('pieces.note_names')->implode(',');

        return array_values(array_unique(array_filter(explode(',', $names), static fn (string $name): bool => $name !== '')));
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
}
