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
        $answer = $this->save(new Page(['book_id' => $book->id, 'studio_id' => $book->studio_id]), $request);
        $this->following($request, $book);

        return $answer;
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

    /** Several pages at once: those that the book does not have yet, of the same kind. */
    private function following(PageRequest $request, Book $book): void
    {
        $first = $request->integer('number');
        $numbers = range($first, $request->filled('last') ? $request->integer('last') : $first);
        $new = array_diff($numbers, Page::query()->where('book_id', $book->id)->whereIn('number', $numbers)->pluck('number')->all());
        Page::query()->insert(array_map(static fn (int $number): array => [
            'book_id' => $book->id, 'studio_id' => $book->studio_id, 'number' => $number, 'title' => '', 'kind' => $request->string('kind')->toString(), 'introduces' => '',
            'created_at' => now(), 'updated_at' => now(),
        ], array_values($new)));
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
