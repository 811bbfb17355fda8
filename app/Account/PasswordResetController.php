<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Letters\Letter;
use App\Api\Post;
use App\Api\Put;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** A forgotten password: a mail with a link, which is answered with a new one. */
final class PasswordResetController
{
    /** The answer is the same whether the address is known or not. */
    #[Post('/password-resets')]
    public function store(ForgottenRequest $request): Response
    {
        Password::broker()->sendResetLink($request->only('email'), static function (User $user, string $token): string {
            (new Letter($user->studio, null, 'A new password', [
                "Hello {$user->name},",
                '',
                'open this within an hour to choose a new password:',
                url('/new-password?'.http_build_query(['token' => $token, 'email' => $user->email])),
                '',
                'If you did not ask for it, leave it. Your password stays as it is.',
            ]))->post($user->email);

            return Password::RESET_LINK_SENT;
        });

        return new Response(status: 204);
    }

    #[Put('/password-resets')]
    public function update(ResetRequest $request): Response
    {
        $status = Password::broker()->reset($request->only(['email', 'token', 'password']), static function (User $user, string $password): void {
            $user->forceFill(['password' => $password, 'remember_token' => Str::random(60)])->save();
            DB::table('sessions')->where('user_id', $user->id)->delete();
        });
        if ($status !== Password::PASSWORD_RESET) {
            throw ValidationException::withMessages(['token' => 'This link is used or too old. Ask for a new one.']);
        }

        return new Response(status: 204);
    }
}
