<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Account\OfStudent;
use App\Page\Piece\Piece;

use App\Student\Paths\OwnPath;
use App\Student\Student;
use App\Week\Task;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Database\Query\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Query\Builder as Query;
use Nasturtium\Core\Formats\Book\PageKind;
use Nasturtium\Core\Path\Path;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\ReviewSchedule;
use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Score\Hand;

/**
 * A student on a piece.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property int $piece_id
 * @property PathKind $path
 * @property ?int $path_id a path of the studio, over `path`
 * @property LearningState $state
 * @property CarbonImmutable $opened_on
 * @property ?CarbonImmutable $finished_on
 * @property ?CarbonImmutable $played_on
 * @property int $review_step
 * @property-read Student $student
 * @property-read Piece $piece
 * @property-read ?OwnPath $ownPath
 * @property-read Collection<int, Stage> $stages on its path
 * @property-read Collection<int, Ladder> $ladders
 */
final class Learning extends Model implements OfStudent
{
    protected $guarded = [];

    public function studentId(): int
    {
        return $this->student_id;
    }

    /** Pieces that are signed off and whose review is due on a day. */
    public static function whereDue(Builder $learnings, CarbonImmutable $on): void
    {
        // A page that was written or listened to does not come back.
        $learnings->where('state', LearningState::Finished)->whereNotExists(self::plain(...))->where(static function (Builder $any) use ($on): void {
            foreach (ReviewSchedule::days() as $step => $days) {
                $any->orWhere(static fn (Builder $one) => $one->where('review_step', $step)->where('played_on', '<=', $on->subDays($days)->toDateString()));
            }
        });
    }

    /** The page of a learning, where it is written or listened to and has no music typed. */
    private static function plain(Query $page): void
    {
        $page->from('pieces')->join('pages', 'pages.id', '=', 'pieces.page_id')->whereColumn('pieces.id', 'learnings.piece_id')->whereNull('pieces.music')->whereIn('pages.kind', PageKind::withoutPieces());
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }

    /** @return BelongsTo<Piece, $this> */
    public function piece(): BelongsTo
    {
        return $this->belongsTo(Piece::class);
    }

    /** The path it is learnt on. */
    public function way(): Path
    {
        return $this->ownPath?->path() ?? Path::shipped($this->path);
    }

    /** @return BelongsTo<OwnPath, $this> */
    public function ownPath(): BelongsTo
    {
        return $this->belongsTo(OwnPath::class, 'path_id');
    }

    /** @return HasMany<Stage, $this> on its path */
    public function stages(): HasMany
    {
        $stages = $this->hasMany(Stage::class);
        $stages->whereNotNull('position');

        return $stages;
    }

    /** The ladder of a hand: the teacher's, or that of the page. */
    public function ladder(?Hand $hand): TempoLadder
    {
        return ($this->ladders->firstWhere('hand', $hand->value ?? '') ?? $this->ladders->firstWhere('hand', ''))?->ladder() ?? ($this->piece->isTyped() ? TempoLadder::for($this->piece->score()) : TempoLadder::usual());
    }

    /** @return HasMany<Task, $this> of every week */
    public function tasks(): HasMany
    {
        return $this->hasMany(Task::class);
    }

    /** @return HasMany<Ladder, $this> */
    public function ladders(): HasMany
    {
        return $this->hasMany(Ladder::class);
    }

    /** @return HasMany<Stage, $this> those too that its path leaves out now */
    public function allStages(): HasMany
    {
        return $this->hasMany(Stage::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['path' => PathKind::class, 'state' => LearningState::class, 'opened_on' => 'immutable_date:Y-m-d', 'finished_on' => 'immutable_date:Y-m-d', 'played_on' => 'immutable_date:Y-m-d'];
    }
}
