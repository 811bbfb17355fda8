<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Api\Get;
use App\Api\Put;
use Illuminate\Http\JsonResponse;

/** Tempo ladders of a student on a piece. */
final class LadderController
{
    #[Get('/learnings/{learning}/ladders', LadderResource::class, many: true)]
    public function index(Learning $learning): JsonResponse
    {
        return new JsonResponse(LadderResource::of($learning->load(['ladders', 'piece'])));
    }

    #[Put('/learnings/{learning}/ladders', LadderResource::class, many: true)]
    public function update(LadderRequest $request, Learning $learning): JsonResponse
    {
        $hand = $request->string('hand')->toString();
        if (! $request->filled('start')) {
            $learning->ladders()->where('hand', $hand)->delete();
        } else {
            $learning->ladders()->updateOrCreate(['hand' => $hand], [
                'studio_id' => $learning->studio_id,
                'start' => $request->integer('start'),
                'goal' => $request->integer('goal'),
                'step' => $request->filled('step') ? $request->integer('step') : null,
            ]);
        }

        return $this->index($learning->unsetRelations());
    }
}
