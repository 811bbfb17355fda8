<?php

declare(strict_types=1);

namespace App\Page;

use App\Account\CurrentStudio;
use App\Api\Delete;
use App\Api\Get;
use App\Api\Post;
use App\Api\Put;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The books of a studio. */
final class BookController
{
    #[Get('/books', BookResource::class, many: true)]
    public function index(CurrentStudio $studio): JsonResponse
    {
        $books = Book::query()->where('studio_id', $studio->get()->id)
            ->with(['pages.pieces' => static fn ($pieces) => $pieces->select(['id', 'page_id', 'label', 'title', 'measures'])])
            ->orderBy('title')->get();

        return new JsonResponse($books->map(BookResource::of(...)));
    }

    #[Post('/books', BookResource::class)]
    public function store(BookRequest $request, CurrentStudio $studio): JsonResponse
    {
        return $this->save(new Book(['studio_id' => $studio->get()->id]), $request);
    }

    #[Put('/books/{book}', BookResource::class)]
    public function update(BookRequest $request, Book $book): JsonResponse
    {
        return $this->save($book, $request);
    }

    #[Delete('/books/{book}')]
    public function destroy(Book $book): Response
    {
        $book->delete();

        return new Response(status: 204);
    }

    private function save(Book $book, BookRequest $request): JsonResponse
    {
        $book->fill(['title' => $request->string('title')->toString(), 'level' => $request->string('level')->toString()])->save();

        return new JsonResponse(BookResource::of($book->load('pages.pieces')));
    }
}
