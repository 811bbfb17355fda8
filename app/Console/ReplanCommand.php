<?php

declare(strict_types=1);

namespace App\Console;

use App\Week\Overnight\BehindWeeks;
use App\Week\Overnight\CatchUpStudio;
use Illuminate\Console\Command;

/** Have the weeks of every studio whose night is over planned again after their missed days; asked every hour. */
final class ReplanCommand extends Command
{
    protected $signature = 'nasturtium:replan';

    protected $description = 'Plan weeks again after missed days, by the queue, wherever it is past three in the morning';

    public function handle(): int
    {
        $studios = BehindWeeks::studios();
        foreach ($studios as $studio) {
            CatchUpStudio::dispatch($studio);
        }
        $this->line('Studios whose weeks are planned again: '.count($studios).'.');

        return self::SUCCESS;
    }
}
