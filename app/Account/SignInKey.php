<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Support\Str;

/** Under which name tries to sign in are counted: the account that the database finds for an address, however it is written. */
final class SignInKey
{
    private const LONGEST = 190;

    public static function of(mixed $email): string
    {
        if (! is_string($email) || $email === '' || strlen($email) > self::LONGEST || ! mb_check_encoding($email, 'UTF-8')) {
            return 'no account';
        }
        // The database takes accents, width and case for the same letters; so what it finds is asked, and not the text.
        $id = User::query()->where('email', $email)->value('id');

        return is_int($id) ? "account {$id}" : 'address '.Str::lower(Str::ascii(trim($email)));
    }
}
