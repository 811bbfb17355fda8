<?php

declare(strict_types=1);

namespace App\Privacy;

use App\Account\Studio;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Erases what a studio keeps no longer: drafts, photos that were not looked through and mails, by its own terms, and notes of who looked at what. */
final class Tidy
{
    private const KEEP_ACCESSES = 730;

    /** Hours that a picture may wait to be read, and a phone's to be sent. */
    private const KEEP_UPLOADS = 24;

    public function __construct(private readonly EraseEndedStudio $erase) {}

    /** @return array{drafts: int, mails: int, accesses: int, photos: int} rows that were erased */
    public function __invoke(): array
    {
        $erased = ['drafts' => 0, 'mails' => 0, 'accesses' => 0, 'photos' => $this->awaited()];
        foreach (Studio::query()->get(['id', 'keep_drafts', 'keep_mails']) as $studio) {
            $erased['drafts'] += DB::table('drafts')->where('studio_id', $studio->id)->where('updated_at', '<', now()->subDays($studio->keep_drafts))->delete();
            $erased['photos'] += DB::table('page_photos')->where('studio_id', $studio->id)->where('updated_at', '<', now()->subDays($studio->keep_drafts))->delete();
            $erased['mails'] += DB::table('mails')->where('studio_id', $studio->id)->where('created_at', '<', now()->subDays($studio->keep_mails))->delete();
            $erased['accesses'] += DB::table('accesses')->where('studio_id', $studio->id)->where('on_date', '<', now()->subDays(self::KEEP_ACCESSES)->toDateString())->delete();
        }

        $this->uploads();
        // What the queue has not come to, or failed at.
        foreach (DB::table('studios')->whereNotIn('id', DB::table('memberships')->select('studio_id'))->pluck('id') as $ended) {
            ($this->erase)((int) $ended);
        }

        return $erased;
    }

    /** Pictures that no phone has sent. */
    private function awaited(): int
    {
        return DB::table('page_photos')->where('state', 'awaited')->where('updated_at', '<', now()->subHours(self::KEEP_UPLOADS))->delete();
    }

    /** Files whose page went before they were read, and archives that are a day old. */
    private function uploads(): void
    {
        DB::table('archives')->where('created_at', '<', now()->subHours(self::KEEP_UPLOADS))->delete();
        foreach (['photos', 'archives'] as $name) {
            $disk = Storage::disk($name);
            foreach ($disk->files() as $file) {
                if ($disk->lastModified($file) < now()->subHours(self::KEEP_UPLOADS)->getTimestamp()) {
                    $disk->delete($file);
                }
            }
        }
    }
}
