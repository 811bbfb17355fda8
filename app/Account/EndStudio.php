<?php

declare(strict_types=1);

namespace App\Account;

use App\Privacy\EraseEndedStudio;
use Illuminate\Support\Facades\DB;

/**
 * Ends a studio. From this moment nobody is in it: no teacher, no link of a family, a phone or a calendar opens it, no
 * letter goes out, and no backup of it is packed or put back. Its rows, which may be a million, are erased by the queue.
 */
final class EndStudio
{
    /** What lets somebody in, and what goes on by itself. */
    private const DOORS = ['memberships', 'family_links', 'calendar_feeds', 'photo_links', 'mails'];

    public function __construct(private readonly EraseEndedStudio $erase) {}

    public function __invoke(int $studio): void
    {
        DB::transaction(static function () use ($studio): void {
            DB::table('users')->where('studio_id', $studio)->update(['studio_id' => null]);
            foreach (self::DOORS as $table) {
                DB::table($table)->where('studio_id', $studio)->delete();
            }
        });
        ($this->erase)($studio);
    }
}
