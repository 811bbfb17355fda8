<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Book;

use Nasturtium\Core\Formats\BadInput;

/** The archive of a book that cannot be read; `$number` is a row of one of its tables, `$name` one of its files. */
final class BadBook extends BadInput
{
    public static function tooLarge(): self
    {
        return new self('The archive is over 20 MB.');
    }

    public static function inContents(string $error): self
    {
        return new self("contents.csv, {$error}");
    }

    public static function withoutTitle(): self
    {
        return new self('book.csv, row 2: the book has no title.');
    }

    public static function noSuchPage(int $number, string $page): self
    {
        return new self("pieces.csv, row {$number}: the book has no page '".mb_substr($page, 0, 20)."'.");
    }

    public static function noOctave(int $number): self
    {
        return new self("pieces.csv, row {$number}: the octave is a number from -2 to 2.");
    }

    public static function inFile(string $name, \Throwable $reason): self
    {
        return new self("{$name}: {$reason->getMessage()}", previous: $reason);
    }

    public static function emptyTable(): self
    {
        return new self('The table is empty. It has a row for each page: page, title, kind, what it introduces.');
    }

    public static function noFinger(string $name, int $number): self
    {
        return new self("{$name}, row {$number}: this is no finger, as 'R, 5.1, C4, 2'.");
    }

    public static function noVerdict(string $name, int $number): self
    {
        return new self("{$name}, row {$number}: this is no verdict, as '5, hard'.");
    }
}
