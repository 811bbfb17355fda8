<?php

declare(strict_types=1);

namespace App\Console;

use App\Account\User;
use App\Archive\PackRows;
use Illuminate\Console\Command;

/** Write the backup of a studio to a file. */
final class BackupCommand extends Command
{
    protected $signature = 'nasturtium:backup {email : of the teacher} {file : the archive}';

    protected $description = 'Write the backup of a studio to a file';

    public function handle(PackRows $pack): int
    {
        $studio = User::query()->where('email', $this->text('email'))->with('studio')->first()?->studio;
        if ($studio === null) {
            $this->error('No teacher has this address.');

            return self::FAILURE;
        }
        $file = $this->text('file');
        rename($pack->studio($studio), $file);
        $this->line("The backup of {$studio->name} is in {$file}.");

        return self::SUCCESS;
    }

    private function text(string $argument): string
    {
        $given = $this->argument($argument);

        return is_string($given) ? $given : '';
    }
}
