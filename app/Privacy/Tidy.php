<?php

declare(strict_types=1);

namespace App\Privacy;

use App\Account\Studio;
use Illuminate\Support\Facades\DB;

/** Erases what a studio keeps no longer: drafts and mails, by its own terms, and notes of who looked at what. */
final class Tidy
{
    private const KEEP_ACCESSES = 730;

    /** @return array{drafts: int, mails: int, accesses: int} rows that were erased */
    public function __invoke(): array
    {
        $erased = ['drafts' => 0, 'mails' => 0, 'accesses' => 0];
        foreach (Studio::query()->get(['id', 'keep_drafts', 'keep_mails']) as $studio) {
            $erased['drafts'] += DB::table('drafts')->where('studio_id', $studio->id)->where('updated_at', '<', now()->subDays($studio->keep_drafts))->delete();
            $erased['mails'] += DB::table('mails')->where('studio_id', $studio->id)->where('created_at', '<', now()->subDays($studio->keep_mails))->delete();
            $erased['accesses'] += DB::table('accesses')->where('studio_id', $studio->id)->where('on_date', '<', now()->subDays(self::KEEP_ACCESSES)->toDateString())->delete();
        }

        return $erased;
    }
}
