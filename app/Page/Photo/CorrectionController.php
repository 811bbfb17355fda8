<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Account\CurrentStudio;
use App\Api\Get;
use App\Api\Put;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\Photo\Corrected;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\ReadingFigure;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;

/** What was read of a picture: looked at, corrected, and taken on to be typed. */
final class CorrectionController
{
    #[Get('/photos/{photo}/reading', ReadPageResource::class)]
    public function show(PagePhoto $photo): JsonResponse
    {
        return new JsonResponse(self::reading($photo));
    }

    /** Answers 409 with what stands when another window has corrected since. */
    #[Put('/photos/{photo}/corrections', ReadPageResource::class, stands: true)]
    public function update(CorrectionsRequest $request, PagePhoto $photo): JsonResponse
    {
        $kept = DB::transaction(static function () use ($request, $photo): bool {
            $row = PagePhoto::query()->lockForUpdate()->findOrFail($photo->id);
            if ($row->revision !== $request->integer('revision') || $row->reading === null) {
                return false;
            }
            $all = Corrections::kept($row);
            if ($request->boolean('undo')) {
                array_pop($all);
            }
            array_push($all, ...$request->corrections());
            if (count($all) > Corrections::MOST) {
                throw ValidationException::withMessages(['more' => 'This page was changed very often. Go on to typing, and change the rest there.']);
            }
            $row->update(['corrections' => Corrections::written($all), 'revision' => $row->revision + 1]);

            return true;
        });

        return new JsonResponse(self::reading($photo->refresh()), $kept ? 200 : 409);
    }

    /** The photo goes with its last piece, unless the teacher keeps it; how well it was read stays as a figure. */
    #[Put('/photos/{photo}/typed', FinishedResource::class)]
    public function finish(FinishRequest $request, PagePhoto $photo, CurrentStudio $studio): JsonResponse
    {
        $answer = DB::transaction(static function () use ($request, $photo, $studio): FinishedResource {
            $row = PagePhoto::query()->lockForUpdate()->findOrFail($photo->id);
            $read = $row->asRead();
            $now = Corrected::page($read, Corrections::kept($row));
            $i = $request->integer('piece');
            $piece = $now->pieces[$i] ?? abort(404);
            $typed = array_values(array_unique([...$row->typedPieces(), $i]));
            $more = count($typed) < count($now->pieces);
            if (! $more) {
                PhotoFigure::keep($row->studio_id, $studio->today()->toDateString(), ReadingFigure::of($read, $now));
                if ($request->boolean('keep')) {
                    KeptPhoto::query()->create(['studio_id' => $row->studio_id, 'page_id' => $row->page_id, 'picture' => base64_encode(PhotoLine::jpeg($row, PhotoLine::WHOLE))]);
                }
                $row->delete();
            } else {
                $row->update(['typed' => implode(',', $typed), 'revision' => $row->revision + 1]);
            }

            return new FinishedResource(ShorthandWriter::write(PhotoPiece::of($piece))->text, count($now->pieces) > 1 ? chr(65 + $i) : '', $more);
        });

        return new JsonResponse($answer);
    }

    #[Get('/photo-figures', PhotoFiguresResource::class)]
    public function figures(CurrentStudio $studio): JsonResponse
    {
        return new JsonResponse(PhotoFiguresResource::of(PhotoFigure::sums($studio->get()->id)));
    }

    private static function reading(PagePhoto $photo): ReadPageResource
    {
        $lines = PhotoLine::query()->where('page_photo_id', $photo->id)->where('position', '!=', PhotoLine::WHOLE)->orderBy('position');

        return ReadPageResource::of($photo->load('page.book'), array_values($lines->get(['position', 'width', 'height', 'tops'])->all()));
    }
}
