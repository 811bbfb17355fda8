<?php

declare(strict_types=1);

namespace App\Home\Letters;

use App\Account\CurrentStudio;
use App\Api\Put;
use App\Week\Week;
use App\Week\WeekResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** A plan is sent: home shows it, and the family has a letter of it the first time. */
final class SendWeekController
{
    #[Put('/weeks/{week}/sent', WeekResource::class)]
    public function update(SendRequest $request, Week $week, CurrentStudio $studio): JsonResponse
    {
        DB::transaction(static function () use ($request, $week): void {
            $isFirst = $week->sent_at === null;
            $week->update(['sent_at' => $week->sent_at ?? now(), 'message' => $request->string('message', $week->message)->trim()->toString()]);
            if ($isFirst) {
                WriteToFamily::week($week);
            }
        });

        return new JsonResponse(WeekResource::of($week->whole(), $studio->today()));
    }
}
