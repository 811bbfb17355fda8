<?php

declare(strict_types=1);

namespace App\Account\SecondStep;

use App\Account\User;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

/** The second step of a sign-in: a code of the app, or one of the recovery codes, each of which is taken once. */
final class SecondStep
{
    private const CODES = 10;

    /** @return bool whether the code is taken, which uses it up */
    public static function takes(User $user, string $code): bool
    {
        $code = Str::lower((string) preg_replace('/[^0-9A-Za-z]/', '', $code));
        $step = OneTimeCode::taken($user->second_secret ?? '', $code, now()->getTimestamp(), $user->second_used);
        if ($step !== null) {
            // Two requests with one code: only the one that moves the mark is let in.
            return User::query()->whereKey($user->id)->where(static fn ($mark) => $mark->whereNull('second_used')->orWhere('second_used', '<', $step))->update(['second_used' => $step]) === 1;
        }
        foreach ($user->recovery_codes ?? [] as $at => $hash) {
            if (Hash::check($code, $hash)) {
                $left = $user->recovery_codes ?? [];
                unset($left[$at]);

                // Two requests with one code: only the first finds the list as it was.
                $taken = User::query()->whereKey($user->id)->where('recovery_codes', $user->getRawOriginal('recovery_codes'))->update(['recovery_codes' => json_encode(array_values($left), JSON_THROW_ON_ERROR)]) === 1;
                $user->refresh();

                return $taken;
            }
        }

        return false;
    }

    /** @return list<string> new recovery codes, which are shown once; only their hashes are kept */
    public static function renewCodes(User $user): array
    {
        $codes = [];
        while (count($codes) < self::CODES) {
            $codes[] = Str::lower(Str::random(5)).'-'.Str::lower(Str::random(5));
        }
        $user->update(['recovery_codes' => array_map(static fn (string $code): string => Hash::make(str_replace('-', '', $code), ['rounds' => 6]), $codes)]);

        return $codes;
    }
}
