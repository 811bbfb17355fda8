<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Account\BeginStudio;
use App\Account\SessionResource;
use App\Account\User;
use App\Api\Post;
use App\Api\Put;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;

/** The studios of whoever is signed in: going from one to another, and another one of her own. */
final class PlacesController
{
    #[Put('/session/studio', SessionResource::class)]
    public function update(PlaceRequest $request, #[CurrentUser] User $user, EnterStudio $enter): JsonResponse
    {
        return new JsonResponse($enter($user, $request->integer('studioId')));
    }

    #[Post('/account/studios', SessionResource::class)]
    public function store(OwnStudioRequest $request, #[CurrentUser] User $user, BeginStudio $begin, EnterStudio $enter): JsonResponse
    {
        if (! BeginStudio::isOpen()) {
            throw ValidationException::withMessages(['studio' => 'New studios are made by invitation here. Ask whoever runs this installation.']);
        }

        return new JsonResponse($enter($user, $begin($user, $request)->id));
    }
}
