<?php

declare(strict_types=1);

namespace App\Home\Letters;

use App\Account\CurrentStudio;
use App\Api\Put;
use App\Week\SentPlan;
use App\Week\Week;
use App\Week\WeekResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** A plan is sent: home shows it, and the family has a letter of it, the next time of what has changed. */
final class SendWeekController
{
    #[Put('/weeks/{week}/sent', WeekResource::class)]
    public function update(SendRequest $request, Week $week, CurrentStudio $studio): JsonResponse
    {
        $week = DB::transaction(static function () use ($request, $week): Week {
            // Pressed twice, it is sent once.
            $week = Week::query()->whereKey($week->id)->lockForUpdate()->firstOrFail();
            $week->load(['student.studio', ...SentPlan::RELATIONS]);
            $isFirst = $week->sent_at === null;
            $changes = SentPlan::changes($week);
            $week->update(['sent_at' => $isFirst || $changes !== [] ? now() : $week->sent_at, 'message' => $request->string('message', $week->message)->trim()->toString()]);
            if ($isFirst) {
                WriteToFamily::week($week);
            } elseif ($changes !== []) {
                WriteToFamily::changes($week, $changes);
            }
            if ($isFirst || $changes !== []) {
                SentPlan::keep($week);
            }

            return $week;
        });

        return new JsonResponse(WeekResource::of($week->whole(), $studio->today()));
    }
}
