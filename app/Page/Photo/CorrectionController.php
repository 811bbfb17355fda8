<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Account\CurrentStudio;
use App\Api\Get;
use App\Api\Put;
use Illuminate\Http\JsonResponse;

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
    public function update(CorrectionsRequest $request, PagePhoto $photo, CorrectPhoto $correct): JsonResponse
    {
        $kept = $correct($photo, $request->corrections(), $request->boolean('undo'), $request->integer('revision'));

        return new JsonResponse(self::reading($photo->refresh()), $kept ? 200 : 409);
    }

    #[Put('/photos/{photo}/typed', FinishedResource::class)]
    public function finish(FinishRequest $request, PagePhoto $photo, CurrentStudio $studio, TypePhoto $type): JsonResponse
    {
        return new JsonResponse($type($photo, $request->integer('piece'), $request->boolean('keep'), $studio->today()) ?? abort(404));
    }

    #[Get('/photo-figures', PhotoFiguresResource::class)]
    public function figures(CurrentStudio $studio): JsonResponse
    {
        return new JsonResponse(PhotoFiguresResource::of(PhotoFigure::sums($studio->get()->id)));
    }

    private static function reading(PagePhoto $photo): ReadPageResource
    {
        $lines = PhotoLine::query()->where('page_photo_id', $photo->id)->where('position', '!=', PhotoLine::WHOLE)->orderBy('position');
        $read = $photo->load('page.book')->asRead() ?? abort(404);

        return ReadPageResource::of($photo, $read, array_values($lines->get(['position', 'width', 'height', 'tops'])->all()));
    }
}
