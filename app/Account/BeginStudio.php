<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Members\Membership;
use App\Account\Members\Role;
use App\Http\Asked;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Support\Facades\Crypt;

/** A new studio, led by whoever begins it. */
final class BeginStudio
{
    public const DAYS_INVITED = 14;

    /** @param Asked $asked with the fields of RegistrationRequest::ofStudio() */
    public function __invoke(User $user, Asked $asked): Studio
    {
        $country = new Country($asked->string('country')->toString());
        $studio = Studio::query()->create([
            'name' => $asked->string('studio')->trim()->toString(), 'words' => $country->words(), 'paper' => $country->paper(),
            'timezone' => $country->timezone($asked->filled('timezone') ? $asked->string('timezone')->toString() : null),
        ]);
        Membership::of($studio, $user, Role::Owner);

        return $studio;
    }

    /** Whether a studio can be made: the first, any where the installation allows it, or by an invitation to this address. */
    public static function isOpen(mixed $invitation = null, ?string $email = null): bool
    {
        return config('nasturtium.registration') === true || User::query()->doesntExist() || self::isInvited($invitation, $email);
    }

    /** @return string what the link of an invitation to a studio of one's own says: to whom, and until when */
    public static function invitation(string $email): string
    {
        return Crypt::encryptString(json_encode([mb_strtolower($email), now()->addDays(self::DAYS_INVITED)->getTimestamp()], JSON_THROW_ON_ERROR));
    }

    private static function isInvited(mixed $invitation, ?string $email): bool
    {
        try {
            $says = is_string($invitation) ? json_decode(Crypt::decryptString($invitation), true) : null;
        } catch (DecryptException) {
            return false;
        }

        return is_array($says) && $says[0] === mb_strtolower($email ?? '') && $says[1] >= now()->getTimestamp();
    }
}
