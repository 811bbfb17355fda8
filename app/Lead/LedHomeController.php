<?php

declare(strict_types=1);

namespace App\Lead;

use App\Api\Get;
use App\Api\Put;
use App\Listening\KeepTake;
use App\Listening\TakeHeardResource;
use App\Listening\TakeRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Make-up lessons at home: only what was sent is seen. */
final class LedHomeController
{
    #[Get('/home/led-lessons/{ledLesson}', LeadResource::class)]
    public function show(LedLesson $ledLesson, LeadLesson $lead): JsonResponse
    {
        abort_if($ledLesson->sent_at === null, 404);

        return new JsonResponse($lead($ledLesson));
    }

    #[Put('/home/led-lessons/{ledLesson}/done')]
    public function done(LedLesson $ledLesson): Response
    {
        abort_if($ledLesson->sent_at === null, 404);
        $ledLesson->update(['done_at' => $ledLesson->done_at ?? now()]);

        return new Response(status: 204);
    }

    #[Get('/home/led-steps/{ledStep}/voice', VoiceResource::class)]
    public function voice(LedStep $ledStep): JsonResponse
    {
        abort_if($ledStep->load('lesson')->lesson->sent_at === null, 404);

        return new JsonResponse(new VoiceResource($ledStep->voice));
    }

    #[Put('/home/led-steps/{ledStep}/takes', TakeHeardResource::class)]
    public function take(TakeRequest $request, LedStep $ledStep, KeepTake $keep): JsonResponse
    {
        $ledStep->load(['lesson.student.studio', 'learning.piece']);
        $piece = $ledStep->learning?->piece;
        if ($ledStep->lesson->sent_at === null || $piece === null || ! $piece->isTyped() || $ledStep->first === null || $ledStep->last === null) {
            abort(404);
        }

        return new JsonResponse($keep($request, $ledStep->lesson->student, $piece, $request->phrase() ?? [$ledStep->first, $ledStep->last], $ledStep->hand, ['led_step_id' => $ledStep->id]));
    }
}
