<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Account\CurrentStudio;
use App\Api\Delete;
use App\Api\Download;
use App\Api\Get;
use App\Api\Post;
use App\Api\Put;
use App\Http\JpegAnswer;
use App\Page\Page;
use App\Student\Family\FamilyLink;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\Photo\BadPhoto;
use Nasturtium\Core\Formats\Photo\Corners;

/** Pictures of pages: taken in, read, and stopped. */
final class PhotoController
{
    /** Those that are read or wait to be looked at, oldest first. */
    #[Get('/photos', PhotoResource::class, many: true)]
    public function index(CurrentStudio $studio): JsonResponse
    {
        return new JsonResponse(PagePhoto::query()->where('studio_id', $studio->get()->id)->with('page.book')->orderBy('id')->get(PagePhoto::SHORT)->map(static fn (PagePhoto $photo): PhotoResource => PhotoResource::of($photo)));
    }

    #[Post('/pages/{page}/photos', PhotoResource::class)]
    public function store(PhotoRequest $request, Page $page, AwaitPhoto $await, TakePhoto $take): JsonResponse
    {
        $photo = $await($page);
        try {
            $take($photo, (string) file_get_contents($request->uploaded()), $request->integer('pdfPage', 1));
        } catch (ValidationException $reason) {
            $photo->erase();

            throw $reason;
        }

        return new JsonResponse(PhotoResource::of(self::now($photo)));
    }

    /** A link that a phone opens to take the picture, for ten minutes and one picture. */
    #[Post('/pages/{page}/photo-links', PhotoResource::class)]
    public function link(Page $page, AwaitPhoto $await): JsonResponse
    {
        $photo = $await($page);
        $token = Str::random(40);
        PhotoLink::query()->create(['studio_id' => $page->studio_id, 'page_photo_id' => $photo->id, 'token_hash' => FamilyLink::hash($token), 'until' => now()->addMinutes(PhotoLink::MINUTES)]);

        return new JsonResponse(PhotoResource::of(self::now($photo), url("/camera/{$token}")));
    }

    #[Get('/photos/{photo}', PhotoResource::class)]
    public function show(PagePhoto $photo): JsonResponse
    {
        return new JsonResponse(PhotoResource::of(self::now($photo)));
    }

    /** Reads it again within corners that the teacher has drawn. */
    #[Put('/photos/{photo}/corners', PhotoResource::class)]
    public function corners(CornersRequest $request, PagePhoto $photo): JsonResponse
    {
        $points = $request->points();
        try {
            $points === null ?: Corners::of($points);
        } catch (BadPhoto $reason) {
            throw ValidationException::withMessages(['corners' => $reason->getMessage()]);
        }
        if ($photo->reading === null || ! in_array($photo->state, [PhotoState::Read, PhotoState::Refused], true)) {
            throw ValidationException::withMessages(['corners' => 'This picture is being read. Wait until it is done.']);
        }
        $photo->update(['corners' => $points === null ? null : json_encode($points, JSON_THROW_ON_ERROR), 'state' => PhotoState::Waiting, 'step' => '']);
        ReadPhotoJob::dispatch($photo->id);

        return new JsonResponse(PhotoResource::of(self::now($photo)));
    }

    #[Download('/photos/{photo}/picture')]
    public function picture(PagePhoto $photo): Response
    {
        return JpegAnswer::of(PhotoLine::jpeg($photo, PhotoLine::WHOLE));
    }

    #[Download('/photos/{photo}/lines/{line}')]
    public function line(PagePhoto $photo, string $line): Response
    {
        abort_unless(preg_match('/^\d{1,3}$/D', $line) === 1, 404);

        return JpegAnswer::of(PhotoLine::jpeg($photo, (int) $line));
    }

    #[Delete('/photos/{photo}')]
    public function destroy(PagePhoto $photo): Response
    {
        $photo->erase();

        return new Response(status: 204);
    }

    /** As it stands, without what is long. */
    private static function now(PagePhoto $photo): PagePhoto
    {
        return PagePhoto::query()->with('page.book')->findOrFail($photo->id, PagePhoto::SHORT);
    }
}
