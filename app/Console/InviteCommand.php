<?php

declare(strict_types=1);

namespace App\Console;

use App\Account\BeginStudio;
use App\Account\User;
use Illuminate\Console\Command;

/** Invites somebody to a studio of her own, where registration is not open to everybody. */
final class InviteCommand extends Command
{
    protected $signature = 'nasturtium:invite {email : who may make a studio}';

    protected $description = 'Print a link with which somebody makes a studio of her own';

    public function handle(): int
    {
        $email = $this->argument('email');
        if (! is_string($email) || filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
            $this->error('This is no mail address.');

            return self::INVALID;
        }
        if (User::query()->where('email', $email)->exists()) {
            $this->error("{$email} has an account already: another studio is made under Account, when registration is open.");

            return self::FAILURE;
        }
        $this->line(url('/welcome').'#'.BeginStudio::invitation($email));
        $this->line(sprintf('It opens for %d days, for %s alone.', BeginStudio::DAYS_INVITED, $email));

        return self::SUCCESS;
    }
}
