<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Password;

/** A first account with its studio. The policy stands on the route. */
final class RegistrationRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'string', 'email', 'max:190', Rule::unique('users', 'email')],
            'password' => ['required', 'string', Password::min(10), 'max:200'],
            ...self::ofStudio(),
            'invitation' => ['nullable', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, list<mixed>> */
    public static function ofStudio(): array
    {
        return [
            'studio' => ['required', 'string', 'max:120'],
            'country' => ['required', 'string', static fn (string $field, mixed $code, \Closure $fail) => in_array($code, Country::codes(), true) || $fail('Choose a country of the list.')],
            'timezone' => ['nullable', 'string', 'timezone:all'],
        ];
    }
}
