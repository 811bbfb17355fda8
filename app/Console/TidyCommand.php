<?php

declare(strict_types=1);

namespace App\Console;

use App\Privacy\Tidy;
use Illuminate\Console\Command;

/** Erase what has been kept as long as it may be; done every night. */
final class TidyCommand extends Command
{
    protected $signature = 'nasturtium:tidy';

    protected $description = 'Erase drafts, photos, mails and notes of access that have been kept as long as each studio keeps them';

    public function handle(Tidy $tidy): int
    {
        $erased = $tidy();
        $this->line("Erased: {$erased['drafts']} drafts, {$erased['photos']} photos, {$erased['mails']} mails, {$erased['accesses']} notes of access.");

        return self::SUCCESS;
    }
}
