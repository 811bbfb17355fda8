<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Api\Delete;
use App\Api\Get;
use App\Api\Put;
use App\Page\Page;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** What is typed as a new piece of a page. */
final class PageDraftController
{
    #[Get('/pages/{page}/draft', DraftResource::class)]
    public function show(Page $page): JsonResponse
    {
        return new JsonResponse(DraftResource::of(Draft::of($page)));
    }

    /** Answers 409 with the draft that stands when another window has kept one since. */
    #[Put('/pages/{page}/draft', DraftResource::class, stands: true)]
    public function update(DraftRequest $request, Page $page, KeepDraft $keep): JsonResponse
    {
        [$draft, $kept] = $keep($page, $request->string('text')->toString(), $request->string('label')->toString(), $request->integer('revision'));

        return new JsonResponse(DraftResource::of($draft), $kept ? 200 : 409);
    }

    #[Delete('/pages/{page}/draft')]
    public function destroy(Page $page): Response
    {
        Draft::of($page)?->delete();

        return new Response(status: 204);
    }
}
