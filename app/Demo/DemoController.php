<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\Members\EnterStudio;
use App\Account\SessionResource;
use App\Account\Studio;
use App\Account\User;
use App\Api\Post;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** An invented studio beside one's own, to look around in; each person has one of her own. */
final class DemoController
{
    #[Post('/account/demo', SessionResource::class)]
    public function store(#[CurrentUser] User $user, DemoStudio $demo, EnterStudio $enter): JsonResponse
    {
        // Pressed twice, it is made once.
        User::query()->whereKey($user->id)->lockForUpdate()->first();
        $there = Studio::query()->where('is_demo', true)->whereIn('id', $user->memberships()->select('studio_id'))->first();

        return new JsonResponse($enter($user, ($there ?? $demo->for($user, CarbonImmutable::today('UTC')))->id));
    }
}
