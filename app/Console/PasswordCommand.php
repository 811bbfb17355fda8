<?php

declare(strict_types=1);

namespace App\Console;

use App\Account\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

/** For the day the password and the mail are lost: a new password is printed, the second step is put away, every device is signed out. */
final class PasswordCommand extends Command
{
    protected $signature = 'nasturtium:password {mail : the address of the account}';

    protected $description = 'Gives an account a new password';

    public function handle(): int
    {
        $mail = $this->argument('mail');
        $user = User::query()->where('email', is_string($mail) ? $mail : '')->first();
        if ($user === null) {
            $this->error('There is no account with this address.');

            return self::FAILURE;
        }
        $password = Str::lower(Str::random(4)).'-'.Str::lower(Str::random(4)).'-'.Str::lower(Str::random(4));
        $user->forceFill(['password' => Hash::make($password), 'remember_token' => Str::random(60), 'second_secret' => null, 'second_since' => null, 'second_used' => null, 'recovery_codes' => null])->save();
        DB::table('sessions')->where('user_id', $user->id)->delete();
        $this->line("New password of {$user->email}: {$password}");

        return self::SUCCESS;
    }
}
