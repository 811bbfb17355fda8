<?php

declare(strict_types=1);

namespace App\Console;

use App\Demo\DemoStudio;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;

/** Makes the demo studio where there is none, and says how to get in. */
final class DemoCommand extends Command
{
    protected $signature = 'nasturtium:demo';

    protected $description = 'Make the demo studio and print its sign-in';

    public function handle(DemoStudio $demo): int
    {
        $demo->make(CarbonImmutable::today('UTC'));
        $this->line('Teacher:  '.DemoStudio::EMAIL);
        $this->line('Password: '.DemoStudio::PASSWORD);
        $this->line('Home:     '.config('app.url').'/home/'.DemoStudio::homeToken());

        return self::SUCCESS;
    }
}
