<?php

declare(strict_types=1);

namespace App\Account;

use App\Api\Patch;
use Illuminate\Http\JsonResponse;

/** The settings of a studio. */
final class StudioController
{
    #[Patch('/studios/{studio}', StudioResource::class)]
    public function update(StudioRequest $request, Studio $studio): JsonResponse
    {
        $studio->update($request->columns());

        return new JsonResponse(StudioResource::of($studio));
    }
}
