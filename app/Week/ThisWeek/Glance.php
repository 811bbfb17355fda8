<?php

declare(strict_types=1);

namespace App\Week\ThisWeek;

use App\Account\Studio;
use App\Student\Learning\Learning;
use App\Student\Learning\Stuck\StuckStages;
use App\Week\CountWeeks;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\Calendar\LessonState;
use Nasturtium\Core\Practice\LearningState;

/**
 * What the first screen asks about all students of a studio, counted by the database: as many queries for sixty
 * students with years behind them as for one, and none that reads years.
 *
 * @phpstan-type StudentRow object{id: int, membership_id: ?int, first_name: string, initial: string, birth_year: int, lesson_weekday: int, lesson_time: string, second_weekday: ?int, second_time: ?string}
 * @phpstan-type ChangeRow object{state: string, held_on: string, slot_on: ?string, at: ?string}
 * @phpstan-type HolidayRow object{student_id: ?int, from_on: string, to_on: string, lessons: int, practice: int}
 * @phpstan-type WeekRow object{id: int, student_id: int, starts_on: string, ends_on: string, sent_at: ?string, share: int, counted: string}
 * @phpstan-type PageRow object{id: int, title: string, state: string}
 * @phpstan-type StuckRow object{stage: string, misses: int}
 */
final readonly class Glance
{
    private string $date;

    public function __construct(private Studio $studio, private CarbonImmutable $today)
    {
        $this->date = $today->toDateString();
    }

    /** @return list<StudentRow> */
    public function students(?int $only): array
    {
        /** @var list<StudentRow> */
        return $this->of('students')->whereNull('left_on')->when($only !== null, static fn (Builder $student) => $student->where('membership_id', $only))->get(['id', 'membership_id', 'first_name', 'initial', 'birth_year', 'lesson_weekday', 'lesson_time', 'second_weekday', 'second_time'])->all();
    }

    /** @return array<int, array<int, int>> minutes by student and weekday */
    public function minutes(): array
    {
        $minutes = [];
        foreach ($this->of('practice_days')->get(['student_id', 'weekday', 'minutes']) as $day) {
            $minutes[$day->student_id][$day->weekday] = $day->minutes;
        }

        return $minutes;
    }

    /** @return list<HolidayRow> that are not over, or touch a week that is not */
    public function holidays(): array
    {
        /** @var list<HolidayRow> */
        return $this->of('holidays')->where('to_on', '>=', $this->begun())->get(['student_id', 'from_on', 'to_on', 'lessons', 'practice'])->all();
    }

    /** @return array<int, list<string>> the days on which a parent wrote, since the first week that is not over, by student */
    public function familyWords(): array
    {
        $days = [];
        foreach ($this->of('family_words')->where('on_date', '>=', $this->begun())->get(['student_id', 'on_date']) as $word) {
            $days[$word->student_id][] = $word->on_date;
        }

        return $days;
    }

    /** The first day of the weeks that are not over. */
    private function begun(): Builder
    {
        return $this->of('weeks')->where('ends_on', '>=', $this->date)->selectRaw('coalesce(min(starts_on), ?)', [$this->date]);
    }

    /** @return array<int, list<ChangeRow>> lessons ahead that the timetable does not have, or has on another day, by student */
    public function changes(): array
    {
        $ahead = $this->of('lessons')->where('held_on', '>=', $this->date)->where(static fn (Builder $changed) => $changed->whereNotNull('slot_on')->orWhere('state', LessonState::MakeUp->value));
        $rows = $this->of('lessons')->where('slot_on', '>=', $this->date)->union($ahead->select($columns = ['student_id', 'state', 'held_on', 'slot_on', 'at']))->get($columns);

        /** @var array<int, list<ChangeRow>> */
        return self::by('student_id', $rows);
    }

    /** @return array<int, list<string>> the days from today on whose lesson is finished, by student */
    public function held(): array
    {
        $held = [];
        foreach ($this->of('lessons')->where('held_on', '>=', $this->date)->whereNotNull('finished_at')->get(['student_id', 'held_on']) as $row) {
            $held[$row->student_id][] = $row->held_on;
        }

        return $held;
    }

    /** @return list<WeekRow> that are not over, in order */
    public function weeks(): array
    {
        $weeks = $this->of('weeks')->where('ends_on', '>=', $this->date)->orderBy('starts_on');
        $rows = CountWeeks::with($weeks, ['student_id', 'starts_on', 'ends_on', 'sent_at', 'share', 'counted']);

        /** @var list<WeekRow> */
        return $rows->all();
    }

    /** @return array<int, list<PageRow>> pieces that are learnt, and finished ones whose review is due, by student */
    public function pages(): array
    {
        $columns = ['id', 'student_id', 'piece_id', 'state'];
        $finished = $this->of('learnings')->select($columns);
        Learning::whereDue($finished, $this->today);
        $open = $this->of('learnings')->where('state', LearningState::Current->value)->select($columns)->unionAll($finished);
        $rows = DB::query()->fromSub($open, 'learnings')->join('pieces', 'pieces.id', '=', 'learnings.piece_id')
            ->orderBy('learnings.id')->get(['learnings.id', 'learnings.student_id', 'pieces.title', 'learnings.state']);

        /** @var array<int, list<PageRow>> */
        return self::by('student_id', $rows);
    }

    /** @return array<int, list<StuckRow>> stages heard too often without a pass, by page */
    public function stuck(): array
    {
        $rows = StuckStages::query()->where('learnings.studio_id', $this->studio->id)->get();

        /** @var array<int, list<StuckRow>> */
        return self::by('learning_id', $rows);
    }

    private function of(string $table): Builder
    {
        return DB::table($table)->where("{$table}.studio_id", $this->studio->id);
    }

    /**
     * @param  iterable<object>  $rows
     * @return array<array-key, list<object>>
     */
    private static function by(string $column, iterable $rows): array
    {
        $by = [];
        foreach ($rows as $row) {
            $by[$row->{$column}][] = $row;
        }

        return $by;
    }
}
