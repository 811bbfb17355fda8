<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Asked;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

/** A step for which the password is asked once more. The policy stands on the route. */
final class PasswordAskedRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['password' => ['required', 'string', 'max:200']];
    }

    /** @throws ValidationException when it is not the password of the account */
    public function holdPassword(User $user): void
    {
        self::hold($user, $this->string('password')->toString(), 'password');
    }

    /** @throws ValidationException */
    public static function hold(User $user, string $password, string $field): void
    {
        if (! Hash::check($password, $user->password)) {
            throw ValidationException::withMessages([$field => 'This is not your password. Try again.']);
        }
    }
}
