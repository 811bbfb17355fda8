<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Student\Learning\Stage;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Nasturtium\Core\Practice\LessonVerdict;

/**
 * How a page was heard at a lesson.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $lesson_id
 * @property int $learning_id
 * @property ?int $stage_id that was heard; null for a review
 * @property LessonVerdict $mark
 * @property-read Collection<int, Stage> $passed stages without a task that passed with it
 */
final class PageMark extends Model
{
    protected $guarded = [];

    /** @return BelongsToMany<Stage, $this> */
    public function passed(): BelongsToMany
    {
        return $this->belongsToMany(Stage::class, 'page_mark_stages');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['mark' => LessonVerdict::class];
    }
}
