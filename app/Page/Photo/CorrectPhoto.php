<?php

declare(strict_types=1);

namespace App\Page\Photo;

use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\Photo\Correction;

/** Puts corrections to those that were made, or takes the last one back; a window that has not seen what another one changed changes nothing. */
final class CorrectPhoto
{
    private const MOST = 2_000;

    /**
     * @param list<Correction> $more
     * @param int              $seen the revision that this window knows
     *
     * @return bool whether it stands; more than any page needs is refused
     */
    public function __invoke(PagePhoto $photo, array $more, bool $undo, int $seen): bool
    {
        return DB::transaction(static function () use ($photo, $more, $undo, $seen): bool {
            $row = PagePhoto::query()->lockForUpdate()->findOrFail($photo->id);
            if ($row->revision !== $seen || $row->reading === null) {
                return false;
            }
            $all = Corrections::kept($row);
            if ($undo) {
                array_pop($all);
            }
            array_push($all, ...$more);
            if (count($all) > self::MOST) {
                throw ValidationException::withMessages(['more' => 'This page was changed very often. Go on to typing, and change the rest there.']);
            }

            return $row->update(['corrections' => Corrections::written($all), 'revision' => $row->revision + 1]);
        });
    }
}
