<?php

declare(strict_types=1);

namespace App\Page;

use App\Api\Delete;
use App\Api\Post;
use App\Api\Put;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The pages of a book. */
final class PageController
{
    #[Post('/books/{book}/pages', PageResource::class)]
    public function store(PageRequest $request, Book $book): JsonResponse
    {
        return $this->save(new Page(['book_id' => $book->id, 'studio_id' => $book->studio_id]), $request);
    }

    #[Put('/pages/{page}', PageResource::class)]
    public function update(PageRequest $request, Page $page): JsonResponse
    {
        return $this->save($page, $request);
    }

    #[Delete('/pages/{page}')]
    public function destroy(Page $page): Response
    {
        $page->delete();

        return new Response(status: 204);
    }

    private function save(Page $page, PageRequest $request): JsonResponse
    {
        $page->fill([
            'number' => $request->integer('number'),
            'title' => $request->string('title')->toString(),
            'kind' => $request->string('kind')->toString(),
            'introduces' => $request->string('introduces')->toString(),
        ])->save();

        return new JsonResponse(PageResource::of($page->load('pieces')));
    }
}
