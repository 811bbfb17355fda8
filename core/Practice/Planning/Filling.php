<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskClass;

/**
 * What is done with the time that a plan leaves: more attempts at the day's hardest work, one more review, a line at
 * sight, then what the student likes (trade 11.3). It counts in minutes and in tasks, never in the sum.
 */
final class Filling
{
    /** A task more for so many free half minutes. */
    private const FOR_A_TASK = 10;

    /** What is left for the student to choose, from a minute on. */
    private const OWN_CHOICE = 2;

    public const CHOICE = 'own choice';

    /** @var list<Extra> */
    private array $extra = [];

    private function __construct(private readonly Week $week, private readonly WeekBoard $board) {}

    /** @return list<Extra> in the order of the days */
    public static function of(Week $week, WeekBoard $board): array
    {
        $filling = new self($week, $board);
        for ($day = 0; $day < $board->days; $day++) {
            $filling->day($day);
        }

        return $filling->extra;
    }

    private function day(int $day): void
    {
        $free = $this->board->room[$day];
        $places = $this->board->places[$day] + intdiv(max(0, $free), self::FOR_A_TASK);
        foreach ($this->hardest($day) as $task) {
            $more = min($free, $this->week->mostMore);
            if ($more > 0) {
                $this->add($task, $day, $more);
                $free -= $more;
            }
        }
        foreach ([TaskClass::Review, TaskClass::Sight] as $class) {
            $task = $places > 0 ? $this->another($class, $day, $free) : null;
            if ($task !== null) {
                $this->add($task, $day, $this->board->size[$task]);
                $free -= $this->board->size[$task];
                $places--;
            }
        }
        if ($free >= self::OWN_CHOICE && $places > 0) {
            $this->choice($day, $free);
        }
    }

    /** A task of the week, where there is one for it that may stand there. */
    private function choice(int $day, int $free): void
    {
        $asked = array_keys(array_filter($this->board->tasks, static fn (PlanTask $task): bool => $task->class === TaskClass::Choice));
        foreach ($asked as $task) {
            if (($this->board->open[$task] >> $day & 1) === 1) {
                $this->add($task, $day, $free);

                return;
            }
        }
        if ($asked === []) {
            $this->extra[] = new Extra(self::CHOICE, $this->week->days[$day]->date, $free);
        }
    }

    private function add(int $task, int $day, int $halfMinutes): void
    {
        $this->extra[] = new Extra($this->board->tasks[$task]->id, $this->week->days[$day]->date, $halfMinutes);
    }

    /** @return list<int> work of a day, the hardest first: what is met that day, then what takes longest, then what is worth most */
    private function hardest(int $day): array
    {
        $hard = [];
        foreach ($this->board->on as $task => $days) {
            if (($days >> $day & 1) === 1 && $this->board->tasks[$task]->class->isWork() && ! $this->board->tasks[$task]->isRun()) {
                $hard[$task] = [$this->board->new[$task] && ($days & -$days) === 1 << $day ? 1 : 0, $this->board->size[$task], $this->board->tasks[$task]->value(), -$task];
            }
        }
        uasort($hard, static fn (array $a, array $b): int => $b <=> $a);

        return array_keys($hard);
    }

    /** One that is not on the day, the longest rested first. */
    private function another(TaskClass $class, int $day, int $free): ?int
    {
        $best = null;
        foreach ($this->board->tasks as $task => $of) {
            $isFree = $of->class === $class && ($this->board->on[$task] >> $day & 1) === 0 && ($this->board->open[$task] >> $day & 1) === 1 && $this->board->size[$task] <= $free;
            if ($isFree && ($of->mostDays === null || WeekBoard::count($this->board->on[$task]) + $of->practised < $of->mostDays) && ($best === null || $of->idleDays > $this->board->tasks[$best]->idleDays)) {
                $best = $task;
            }
        }

        return $best;
    }
}
