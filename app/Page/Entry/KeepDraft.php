<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Page\Page;
use App\Page\Piece\Piece;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;

/** Keeps what is typed as it is typed; a window that has not seen what another one kept overwrites nothing. */
final class KeepDraft
{
    /**
     * @param  int  $seen  the revision that this window knows; 0 when it knows of none
     * @return array{Draft, bool} the draft that stands now, and whether it is this window's
     */
    public function __invoke(Page|Piece $place, string $text, string $label, int $seen): array
    {
        try {
            return DB::transaction(function () use ($place, $text, $label, $seen): array {
                $draft = Draft::query()->where(Draft::column($place), $place->id)->lockForUpdate()->first()
                    ?? new Draft([Draft::column($place) => $place->id, 'studio_id' => $place->studio_id, 'revision' => 0]);
                $same = $draft->exists && $draft->text === $text && $draft->label === $label;
                // A draft that was dropped may be begun anew by a window that still knows it.
                if ($draft->exists && $draft->revision !== $seen && ! $same) {
                    return [$draft, false];
                }
                if (! $same) {
                    $draft->fill(['text' => $text, 'label' => $label, 'revision' => max($draft->revision, $seen) + 1])->save();
                }

                return [$draft, true];
            });
        } catch (UniqueConstraintViolationException) {
            // Two windows began at the same moment.
            return $this($place, $text, $label, $seen);
        }
    }
}
