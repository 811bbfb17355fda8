<?php

declare(strict_types=1);

namespace App\Page;

use App\Account\CurrentStudio;
use App\Api\Download;
use App\Api\Post;
use App\Http\FileAnswer;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Book\BookArchive;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** A book with all its pages and pieces, as one file of open formats. */
final class BookArchiveController
{
    #[Download('/books/{book}/archive')]
    public function show(Book $book, PackBook $pack): BinaryFileResponse
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'book');
        $pack($book)->pack($path);

        return FileAnswer::zip($path, $book->title);
    }

    #[Post('/books/archive', BookResource::class)]
    public function store(ArchiveRequest $request, CurrentStudio $studio, UnpackBook $unpack): JsonResponse
    {
        try {
            $book = BookArchive::read($request->uploaded(), static fn (BookArchive $archive): Book => $unpack($studio->get(), $archive));
        } catch (BadInput $reason) {
            throw ValidationException::withMessages(['file' => $reason->getMessage()]);
        }

        return new JsonResponse(BookResource::of($book->load('pages.pieces')));
    }
}
