<?php

declare(strict_types=1);

namespace App\Account\SecondStep;

use App\Account\PasswordAskedRequest;
use App\Account\User;
use App\Api\Delete;
use App\Api\Post;
use App\Api\Put;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/** The second step is set up with an app, and put away with the password. */
final class SecondStepController
{
    /** A secret to be taken into an app; it counts once a code of it was right. */
    #[Post('/account/second-step', SecondStepResource::class)]
    public function store(PasswordAskedRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $request->holdPassword($user);
        if ($user->second_since !== null) {
            throw ValidationException::withMessages(['password' => 'There is a second step already. Remove it first to set up another app.']);
        }
        $user->update(['second_secret' => $secret = OneTimeCode::secret(), 'second_used' => null]);

        return new JsonResponse(new SecondStepResource($secret, OneTimeCode::address($secret, $user->email)));
    }

    #[Put('/account/second-step', RecoveryCodesResource::class)]
    public function update(SecondStepRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        if ($user->second_secret === null || $user->second_since !== null || ! SecondStep::takes($user, $request->string('code')->toString())) {
            throw ValidationException::withMessages(['code' => 'This code is not right. Use the newest one of the app; its clock must be right.']);
        }
        $user->update(['second_since' => now()]);

        return new JsonResponse(new RecoveryCodesResource(SecondStep::renewCodes($user)));
    }

    #[Delete('/account/second-step')]
    public function destroy(PasswordAskedRequest $request, #[CurrentUser] User $user): Response
    {
        $request->holdPassword($user);
        $user->update(['second_secret' => null, 'second_since' => null, 'second_used' => null, 'recovery_codes' => null]);

        return new Response(status: 204);
    }
}
