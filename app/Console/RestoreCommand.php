<?php

declare(strict_types=1);

namespace App\Console;

use App\Account\User;
use App\Archive\RestoreStudio;
use Illuminate\Console\Command;
use Nasturtium\Core\Formats\BadInput;

/** Put the backup of a studio back into the empty studio of a teacher. */
final class RestoreCommand extends Command
{
    protected $signature = 'nasturtium:restore {email : of the teacher} {file : the archive}';

    protected $description = 'Put the backup of a studio back into the empty studio of a teacher';

    public function handle(RestoreStudio $restore): int
    {
        $studio = User::query()->where('email', $this->text('email'))->with('studio')->first()?->studio;
        if ($studio === null) {
            $this->error('No teacher has this address.');

            return self::FAILURE;
        }
        $file = $this->text('file');
        try {
            $rows = $restore($studio, $file);
        } catch (BadInput $reason) {
            $this->error($reason->getMessage());

            return self::FAILURE;
        }
        $this->line("{$rows} rows were restored into {$studio->refresh()->name}.");

        return self::SUCCESS;
    }

    private function text(string $argument): string
    {
        $given = $this->argument($argument);

        return is_string($given) ? $given : '';
    }
}
