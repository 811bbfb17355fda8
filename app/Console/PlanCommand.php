<?php

declare(strict_types=1);

namespace App\Console;

use App\Demo\InventedWeeks;
use Illuminate\Console\Command;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\WeekFile;
use Nasturtium\Core\Practice\Planning\WeekPlanner;

/** Reads a week on standard input and prints its plan (docs/plan.md). */
final class PlanCommand extends Command
{
    protected $signature = 'nasturtium:plan
        {file? : a file, where the week does not come on standard input}
        {--json : the week and the plan as JSON, the only form there is}
        {--invent= : print an invented week instead, by a number}';

    protected $description = 'Plan a week of practice: days and tasks in, days of each task and their sum out';

    public function handle(): int
    {
        if ($this->option('invent') !== null) {
            $this->output->write(WeekFile::writeWeek(InventedWeeks::make((int) $this->option('invent')))."\n");

            return self::SUCCESS;
        }
        $file = $this->argument('file');
        try {
            $week = WeekFile::read(is_string($file) ? GivenFile::contents($file) : (string) stream_get_contents(STDIN));
        } catch (BadInput $reason) {
            fwrite(STDERR, $reason->getMessage()."\n");

            return self::FAILURE;
        }
        $this->output->write(WeekFile::writePlan($week, WeekPlanner::propose($week))."\n");

        return self::SUCCESS;
    }
}
