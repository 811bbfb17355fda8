<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Members\EnterStudio;
use App\Api\Delete;
use App\Api\Patch;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/** The settings of a studio, and its end. */
final class StudioController
{
    #[Patch('/studios/{studio}', StudioResource::class)]
    public function update(StudioRequest $request, Studio $studio): JsonResponse
    {
        $studio->update($request->columns());

        return new JsonResponse(StudioResource::of($studio));
    }

    /** A studio with all that is in it. One to look around in goes at once; any other by the password. */
    #[Delete('/studios/{studio}')]
    public function destroy(DeleteStudioRequest $request, Studio $studio, #[CurrentUser] User $user, EndStudio $end, EnterStudio $enter): Response
    {
        if (! $studio->is_demo) {
            PasswordAskedRequest::hold($user, $request->string('password')->toString(), 'password');
        }
        if ($user->memberships()->count() < 2) {
            throw ValidationException::withMessages(['password' => 'This is your only studio. Make another one first, or be invited into one.']);
        }
        $end($studio->id);
        $enter($user, null);

        return new Response(status: 204);
    }
}
