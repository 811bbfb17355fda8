<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Page\Entry\KeepDraft;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Formats\Photo\Corrected;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\ReadingFigure;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;

/**
 * Takes a piece of a picture on to be typed, where it is kept as what is typed is. The photo goes with its last piece,
 * unless the teacher keeps it; how well it was read stays as a figure. Where something else is being typed on the page, the
 * photo stays until she has said which stands.
 */
final class TypePhoto
{
    public function __construct(private readonly KeepDraft $keepDraft) {}

    /** @return FinishedResource|null null where there is no such piece */
    public function __invoke(PagePhoto $photo, int $index, bool $keep, CarbonImmutable $today): ?FinishedResource
    {
        return DB::transaction(function () use ($photo, $index, $keep, $today): ?FinishedResource {
            $row = PagePhoto::query()->with('page')->lockForUpdate()->findOrFail($photo->id);
            $read = $row->asRead();
            $now = $read === null ? null : Corrected::page($read, Corrections::kept($row));
            if ($read === null || ! isset($now->pieces[$index])) {
                return null;
            }
            $text = ShorthandWriter::write(PhotoPiece::of($now->pieces[$index]))->text;
            [, $isKept] = ($this->keepDraft)($row->page, $text, $now->label($index), 0);
            $typed = array_unique([...$row->typedPieces(), $index]);
            $more = count($typed) < count($now->pieces);
            if ($more || ! $isKept) {
                $row->update(['typed' => implode(',', $typed), 'revision' => $row->revision + 1]);
            } else {
                PhotoFigure::keep($row->studio_id, $today->toDateString(), ReadingFigure::of($read, $now));
                if ($keep) {
                    KeptPhoto::query()->create(['studio_id' => $row->studio_id, 'page_id' => $row->page_id, 'picture' => base64_encode(PhotoLine::jpeg($row, PhotoLine::WHOLE))]);
                }
                $row->erase();
            }

            return new FinishedResource($text, $now->label($index), $more);
        });
    }
}
