<?php

declare(strict_types=1);

namespace App\Privacy;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Notes that a studio was ended, so that it does not come back with an older copy of the database, and has it erased. */
final class EraseEndedStudio
{
    public function __invoke(int $studio): void
    {
        $archives = DB::table('archives')->where('studio_id', $studio);
        Storage::disk('archives')->delete($archives->pluck('file')->filter()->all());
        $archives->delete();
        Erasures::note($studio, Erasures::WHOLE_STUDIO);
        EraseStudio::dispatch($studio);
    }
}
