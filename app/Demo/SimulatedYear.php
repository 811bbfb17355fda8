<?php

declare(strict_types=1);

namespace App\Demo;

use Nasturtium\Core\Path\AskedStages;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Practice\Planning\Filling;
use Nasturtium\Core\Practice\Planning\Plan;
use Nasturtium\Core\Practice\Planning\PlanDay;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\RuleCheck;
use Nasturtium\Core\Practice\Planning\Week;
use Nasturtium\Core\Practice\Planning\WeekBoard;
use Nasturtium\Core\Practice\Planning\WeekPlanner;
use Nasturtium\Core\Practice\ReviewSchedule;
use Nasturtium\Core\Practice\TaskClass;

/**
 * Invented students through a year of lessons, by seeded chance: pages are opened, planned, practised on most days, passed
 * or not, and come back as reviews. What it counts is what a teacher would look for in a year of plans (docs/plan.md).
 *
 * @phpstan-type Page array{name: string, size: int, passed: array<int, bool>, met: array<int, bool>, waited: array<int, int>, weeks: int}
 * @phpstan-type Review array{name: string, size: int, step: int, played: int, late: int}
 */
final class SimulatedYear
{
    private const STAGES = [
        StageKind::LookOver, StageKind::TapAndCount, StageKind::NameNotes, StageKind::FingersInAir, StageKind::RightHand, StageKind::LeftHand,
        StageKind::HandsTogether, StageKind::JoinLines, StageKind::WholeSlow, StageKind::Articulation, StageKind::TempoLadder, StageKind::Finish,
    ];

    /** Of a hundred practice days. */
    private const MISSED = 15;

    /** What would take longer than half a usual day is planned line by line. */
    private const PART_OF_DAY = 3;

    private readonly Chance $chance;

    /** @var list<Page> */
    private array $pages = [];

    /** @var list<Review> */
    private array $reviews = [];

    /** @var list<array{string, int}> remedies of the last lesson: page and half minutes */
    private array $remedies = [];

    private int $opened = 0;

    public YearFigures $figures;

    private function __construct(private readonly int $age, int $seed)
    {
        $this->chance = new Chance($seed);
        $this->figures = new YearFigures();
    }

    /** One student, of an age that the number gives. */
    public static function of(int $seed, int $weeks): YearFigures
    {
        $year = new self(5 + $seed * 7 % 12, $seed);
        for ($week = 0; $week < $weeks; $week++) {
            $year->week($week);
        }

        return $year->figures;
    }

    private function week(int $number): void
    {
        while (count($this->pages) < ($this->age < 12 ? 2 : 3)) {
            $this->pages[] = ['name' => 'p'.++$this->opened, 'size' => $this->chance->between(3, intdiv(array_sum($this->minutes()), self::PART_OF_DAY)), 'passed' => [], 'met' => [], 'waited' => [], 'weeks' => 0];
        }
        $week = $this->asked($number);
        $plan = WeekPlanner::propose($week);
        $this->count($week, $plan);
        $this->lesson($plan, $number);
    }

    /** @return array{int, int} of a day, from and to */
    private function minutes(): array
    {
        return $this->age < 8 ? [8, 12] : ($this->age < 12 ? [12, 20] : [20, 35]);
    }

    private function asked(int $number): Week
    {
        $days = [];
        foreach ([0, 1, 2, 3, 4, 5] as $day) {
            if (! $this->chance->oneIn(6)) {
                $days[] = new PlanDay(sprintf('2031-05-%02d', 5 + $day), 2 * $this->chance->between(...$this->minutes()));
            }
        }
        $tasks = [new PlanTask('warm-up', TaskClass::WarmUp, 4)];
        foreach ($this->pages as $at => $page) {
            array_push($tasks, ...$this->stages($page, $at === 0));
        }
        foreach ($this->remedies as $i => [$page, $size]) {
            $tasks[] = new PlanTask("remedy {$i}", TaskClass::Remedy, $size, page: $page);
        }
        foreach ($this->due($number) as $review) {
            $tasks[] = new PlanTask("review {$review['name']}", TaskClass::Review, $review['size'], idleDays: 7 * ($number - $review['played']));
        }

        return new Week($days, $tasks, WeekPlanner::mostNewAt($this->age), '2031-05-12', WeekPlanner::mostTasksAt($this->age), WeekPlanner::mostMoreAt($this->age));
    }

    /**
     * @param  Page  $page
     * @return list<PlanTask>
     */
    private function stages(array $page, bool $older): array
    {
        $asked = AskedStages::of(array_map(static fn (StageKind $kind, int $at): array => [$kind, $page['passed'][$at] ?? false], self::STAGES, array_keys(self::STAGES)));
        $begun = array_filter(array_keys($page['passed'] + $page['met']), static fn (int $at): bool => ! self::STAGES[$at]->isPreparation()) !== [];
        $tasks = [];
        foreach ($asked as $at) {
            $kind = self::STAGES[$at];
            $waits = match ($kind) {
                StageKind::LookOver => [],
                StageKind::TapAndCount, StageKind::NameNotes, StageKind::FingersInAir => [0],
                StageKind::RightHand, StageKind::LeftHand => [1, 2, 3],
                StageKind::HandsTogether => [4, 5],
                default => [$at - 1],
            };
            $tasks[] = new PlanTask(
                "{$page['name']} {$kind->value}",
                $kind->taskClass(),
                $kind->isGlance() ? 2 : ($kind->isPreparation() ? 2 + intdiv($page['size'], 3) : $page['size']),
                array_map(static fn (int $of): string => "{$page['name']} ".self::STAGES[$of]->value, array_values(array_intersect($waits, $asked))),
                ! isset($page['met'][$at]),
                page: $page['name'],
                begun: $begun,
                older: $older,
                halfMinutesFirst: $kind->isPreparation() ? null : $page['size'] + intdiv($page['size'], 2),
            );
        }

        return $tasks;
    }

    /** @return list<Review> those that rested long enough */
    private function due(int $number): array
    {
        return array_values(array_filter($this->reviews, static fn (array $review): bool => ReviewSchedule::isDue($review['step'], 7 * ($number - $review['played']))));
    }

    private function count(Week $week, Plan $plan): void
    {
        $dates = $plan->dates();
        $figures = $this->figures;
        $figures->weeks++;
        $figures->broken += count(RuleCheck::broken($week, $dates));
        $choice = 0;
        foreach ($week->days as $day) {
            $figures->minutes += $day->halfMinutes;
            $used = array_sum($plan->minutes[$day->date] ?? []);
            foreach ($plan->extra as $extra) {
                $used += $extra->date === $day->date && $extra->id !== Filling::CHOICE ? $extra->halfMinutes : 0;
                $choice += $extra->date === $day->date && $extra->id === Filling::CHOICE ? $extra->halfMinutes : 0;
            }
            $figures->used += $used;
            $figures->overfull += $used > $day->halfMinutes ? 1 : 0;
            $figures->withoutWarmUp += $day->halfMinutes >= 12 && ! in_array('warm-up', $plan->days[$day->date], true) ? 1 : 0;
        }
        $figures->choice += $choice;
        foreach ($this->pages as $at => $page) {
            $this->countPage($week, $at, $page, $dates);
        }
    }

    /**
     * @param  Page  $page
     * @param  array<string, list<string>>  $dates
     */
    private function countPage(Week $week, int $at, array $page, array $dates): void
    {
        $plays = false;
        foreach ($week->tasks as $task) {
            if ($task->page !== $page['name'] || $task->class !== TaskClass::Playing) {
                continue;
            }
            $plays = $plays || isset($dates[$task->id]);
            $stage = (int) array_search(substr($task->id, strlen($page['name']) + 1), array_column(self::STAGES, 'value'), true);
            $waited = isset($dates[$task->id]) ? 0 : ($page['waited'][$stage] ?? 0) + 1;
            $this->pages[$at]['waited'][$stage] = $waited;
            $this->figures->longestWait = max($this->figures->longestWait, $waited);
        }
        if ($page['weeks'] === 0 && WeekBoard::canBegin($week)) {
            $this->figures->opened++;
            $this->figures->openedWithoutPlaying += $plays ? 0 : 1;
        }
        $this->pages[$at]['weeks']++;
    }

    /** What was practised passes or does not; what was missed stays. */
    private function lesson(Plan $plan, int $number): void
    {
        $practised = [];
        foreach ($plan->days as $ids) {
            if (! $this->chance->happens(self::MISSED)) {
                foreach ($ids as $id) {
                    $practised[$id] = ($practised[$id] ?? 0) + 1;
                }
            }
        }
        $this->remedies = [];
        foreach ($this->pages as $at => $page) {
            foreach (self::STAGES as $stage => $kind) {
                $times = $practised["{$page['name']} {$kind->value}"] ?? 0;
                if ($times === 0) {
                    continue;
                }
                $this->pages[$at]['met'][$stage] = true;
                if ($this->chance->happens($kind->isPreparation() ? 95 : min(90, 45 + 20 * $times))) {
                    $this->pages[$at]['passed'][$stage] = true;
                } elseif ($this->chance->oneIn(2)) {
                    $this->remedies[] = [$page['name'], $this->chance->between(2, 5)];
                }
            }
            if (count($this->pages[$at]['passed']) === count(self::STAGES)) {
                // A review is once through.
                $this->reviews[] = ['name' => $page['name'], 'size' => 2 + intdiv($page['size'], 4), 'step' => 0, 'played' => $number + 1, 'late' => 0];
            }
        }
        $this->pages = array_values(array_filter($this->pages, static fn (array $page): bool => count($page['passed']) < count(self::STAGES)));
        $this->reviewed($practised, $number);
    }

    /** @param array<string, int> $practised */
    private function reviewed(array $practised, int $number): void
    {
        $due = $this->due($number);
        foreach ($this->reviews as $at => $review) {
            if (isset($practised["review {$review['name']}"])) {
                $this->reviews[$at] = [...$review, 'step' => min(4, $review['step'] + 1), 'played' => $number + 1, 'late' => 0];
            } elseif (count($due) <= WeekBoard::MOST_REVIEWS && in_array($review, $due, true)) {
                // Where more are due, the others have to wait.
                $this->reviews[$at] = [...$review, 'late' => $review['late'] + 1];
                $this->figures->latestReview = max($this->figures->latestReview, $review['late'] + 1);
            }
        }
    }
}
