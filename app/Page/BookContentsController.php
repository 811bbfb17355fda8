<?php

declare(strict_types=1);

namespace App\Page;

use App\Api\Download;
use App\Api\Post;
use App\Http\DownloadName;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Book\Contents;
use Nasturtium\Core\Formats\Book\ContentsRow;

/** A book's table of contents as CSV. */
final class BookContentsController
{
    #[Download('/books/{book}/contents')]
    public function show(Book $book): Response
    {
        $rows = $book->pages()->orderBy('number')->get()->map(
            static fn (Page $page): ContentsRow => new ContentsRow($page->number, $page->title, $page->kind, $page->introduces),
        );

        return new Response(Contents::write(array_values($rows->all())), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => DownloadName::of("{$book->title}, contents", 'csv'),
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    /** Adds the pages, and brings those that are there up to date; none when a row is wrong. */
    #[Post('/books/{book}/contents', BookResource::class)]
    public function store(ArchiveRequest $request, Book $book): JsonResponse
    {
        try {
            $contents = Contents::read($request->bytes());
        } catch (BadInput $reason) {
            throw ValidationException::withMessages(['file' => $reason->getMessage()]);
        }
        if ($contents->errors !== []) {
            throw ValidationException::withMessages(['file' => $contents->errors]);
        }
        DB::transaction(static function () use ($contents, $book): void {
            foreach ($contents->rows as $row) {
                UnpackBook::page($book, $row);
            }
        });

        return new JsonResponse(BookResource::of($book->load('pages.pieces')));
    }
}
