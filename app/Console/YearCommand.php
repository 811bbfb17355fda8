<?php

declare(strict_types=1);

namespace App\Console;

use App\Demo\SimulatedYear;
use App\Demo\YearFigures;
use Illuminate\Console\Command;

/** A year of plans for invented students, and what it came to (docs/plan.md). */
final class YearCommand extends Command
{
    protected $signature = 'nasturtium:year {--students=30 : of all ages} {--weeks=40 : with a lesson each}';

    protected $description = 'Plan a year of invented students and count what a teacher would look for';

    public function handle(): int
    {
        $students = max(1, min(200, (int) $this->option('students')));
        $weeks = max(1, min(60, (int) $this->option('weeks')));
        $all = new YearFigures();
        for ($student = 1; $student <= $students; $student++) {
            $all->add(SimulatedYear::of($student, $weeks));
        }
        $this->line("{$students} students, {$all->weeks} weeks");
        foreach ([
            'minutes used' => sprintf('%.1f %% (own choice: %.1f %%)', 100 * $all->share(), 100 * $all->choice / max(1, $all->minutes)),
            'rules broken' => (string) $all->broken,
            'days over their minutes' => (string) $all->overfull,
            'days without a warm-up' => (string) $all->withoutWarmUp,
            'first weeks of a page without playing' => "{$all->openedWithoutPlaying} of {$all->opened}",
            'longest wait of a stage' => "{$all->longestWait} weeks",
            'latest review' => "{$all->latestReview} weeks late",
        ] as $name => $figure) {
            $this->line(sprintf('%-40s %s', $name, $figure));
        }

        return self::SUCCESS;
    }
}
