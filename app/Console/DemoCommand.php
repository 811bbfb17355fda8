<?php

declare(strict_types=1);

namespace App\Console;

use App\Demo\DemoStudio;
use App\Demo\Scale\ScaledStudio;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;

/** Makes the demo studio where there is none, and says how to get in. */
final class DemoCommand extends Command
{
    protected $signature = 'nasturtium:demo {--scale= : beside it a studio of so many students with so many years each, as 60x5}';

    protected $description = 'Make the demo studio and print its sign-in';

    private const MOST_STUDENTS = 500;

    private const MOST_YEARS = 10;

    public function handle(DemoStudio $demo, ScaledStudio $scaled): int
    {
        $today = CarbonImmutable::today('UTC');
        $scale = $this->scale();
        if ($scale === []) {
            $this->error(sprintf('--scale wants students x years, as 60x5: up to %d students with up to %d years each.', self::MOST_STUDENTS, self::MOST_YEARS));

            return self::INVALID;
        }
        $demo->make($today);
        $this->line('Teacher:  '.DemoStudio::EMAIL);
        $this->line('Password: '.DemoStudio::PASSWORD);
        $this->line('Home:     '.config('app.url').'/home/'.DemoStudio::homeToken());
        if ($scale !== null) {
            [$students, $years] = $scale;
            $scaled->make($students, $years, $today, static function (int $made) use ($students, $years): void {
                fwrite(STDERR, sprintf("\r%d of %d students with %d years%s", $made, $students, $years, $made === $students ? "\n" : ''));
            });
            $this->line(sprintf('A studio of %d students with %d years: %s, the same password', $students, $years, ScaledStudio::email($students, $years)));
        }

        return self::SUCCESS;
    }

    /** @return array{int, int}|array{}|null students and years; nothing in it when they cannot be read */
    private function scale(): ?array
    {
        $scale = $this->option('scale');
        if (! is_string($scale)) {
            return null;
        }
        $isScale = preg_match('/^(\d{1,3})x(\d{1,2})$/', $scale, $of) === 1 && $of[1] >= 1 && $of[1] <= self::MOST_STUDENTS && $of[2] >= 1 && $of[2] <= self::MOST_YEARS;

        return $isScale ? [(int) $of[1], (int) $of[2]] : [];
    }
}
