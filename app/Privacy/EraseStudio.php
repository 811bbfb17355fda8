<?php

declare(strict_types=1);

namespace App\Privacy;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Erases the rows of an ended studio, a student at a time, so that nobody else waits for it; done twice it does nothing. */
final class EraseStudio implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    /** Seconds; a student of five years takes one at most. */
    public int $timeout = 60;

    public function __construct(private readonly int $studioId)
    {
        $this->onQueue('night');
    }

    public function handle(): void
    {
        // One that somebody is in is not ended.
        if (DB::table('memberships')->where('studio_id', $this->studioId)->exists()) {
            return;
        }
        $student = DB::table('students')->where('studio_id', $this->studioId)->orderBy('id')->value('id');
        if ($student !== null) {
            DB::table('students')->where('id', $student)->delete();
            self::dispatch($this->studioId);

            return;
        }
        Storage::disk('photos')->delete(DB::table('page_photos')->where('studio_id', $this->studioId)->pluck('upload')->filter()->all());
        DB::table('studios')->where('id', $this->studioId)->delete();
    }
}
