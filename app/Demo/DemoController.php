<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\User;
use App\Api\Delete;
use App\Api\Get;
use App\Api\Post;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** An invented studio beside one's own, to look around in; each person has one of her own. */
final class DemoController
{
    /** None, or the one that there is. */
    #[Get('/account/demo', DemoResource::class, many: true)]
    public function show(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(Demo::query()->where('user_id', $user->id)->get()->map(DemoResource::of(...)));
    }

    /** Pressed twice, it is made once. */
    #[Post('/account/demo', DemoResource::class)]
    public function store(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(DemoResource::of(Demo::begin($user)));
    }

    /** Stops what is being made; a studio that is there is ended as any other. */
    #[Delete('/account/demo')]
    public function destroy(#[CurrentUser] User $user): Response
    {
        Demo::query()->where('user_id', $user->id)->whereNull('studio_id')->delete();

        return new Response(status: 204);
    }
}
