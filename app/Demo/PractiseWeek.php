<?php

declare(strict_types=1);

namespace App\Demo;

use App\Student\Learning\Learning;
use App\Week\CountWeeks;
use App\Week\Task;
use App\Week\TaskDay;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A planned week as a child practises it: some days not at all, on the others most of what is set. */
final class PractiseWeek
{
    private const MOST = 90;

    private const FEELINGS = ['easy', 'fine', 'fine', 'hard'];

    private const WITH_WORDS = 4;

    public function __construct(private readonly Chance $chance) {}

    /** @param int $care of a hundred days, those that are practised */
    public function __invoke(Week $week, int $care, CarbonImmutable $today): void
    {
        $rows = [];
        $days = $week->tasks()->with('days')->get()->flatMap(static fn (Task $task) => $task->days->map(static fn (TaskDay $day): array => [$task, $day->on_date]));
        foreach ($days->groupBy(static fn (array $on): string => $on[1]->toDateString())->sortKeys() as $date => $on) {
            if ($date >= $today->toDateString() || ! $this->chance->happens($care)) {
                continue;
            }
            foreach ($on as [$task]) {
                if ($this->chance->happens(self::MOST)) {
                    $rows[] = [
                        'studio_id' => $week->studio_id, 'student_id' => $week->student_id, 'task_id' => $task->id, 'on_date' => $date,
                        'repetitions' => $task->repetitions, 'feeling' => $this->chance->oneOf(self::FEELINGS),
                        'note' => $this->chance->happens(self::WITH_WORDS) ? 'Can we hear this one at the lesson?' : '', 'client_key' => (string) Str::uuid(),
                        'created_at' => $date, 'updated_at' => $date,
                    ];
                }
            }
            Learning::query()->whereIn('id', $on->map(static fn (array $of): ?int => $of[0]->learning_id)->filter()->unique())->update(['played_on' => $date]);
        }
        DB::table('practices')->insert($rows);
        CountWeeks::of([$week->id]);
    }
}
