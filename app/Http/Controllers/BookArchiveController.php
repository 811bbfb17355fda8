<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PackBook;
use App\Actions\UnpackBook;
use App\Api\Download;
use App\Api\Post;
use App\Http\CurrentStudio;
use App\Http\DownloadName;
use App\Http\Requests\ArchiveRequest;
use App\Http\Resources\BookResource;
use App\Models\Book;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Book\BookArchive;

/** A book with all its pages and pieces, as one file of open formats. */
final class BookArchiveController
{
    #[Download('/books/{book}/archive')]
    public function show(Book $book, PackBook $pack): Response
    {
        return new Response($pack($book)->packed(), 200, [
            'Content-Type' => 'application/zip',
            'Content-Disposition' => DownloadName::of($book->title, 'zip'),
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    #[Post('/books/archive', BookResource::class)]
    public function store(ArchiveRequest $request, CurrentStudio $studio, UnpackBook $unpack): JsonResponse
    {
        try {
            $book = $unpack($studio->get(), BookArchive::read($request->bytes()));
        } catch (BadInput $reason) {
            throw ValidationException::withMessages(['file' => $reason->getMessage()]);
        }

        return new JsonResponse(BookResource::of($book->load('pages.pieces')));
    }
}
