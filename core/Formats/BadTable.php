<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

/** A CSV table that cannot be read. */
final class BadTable extends BadInput
{
    public static function tooLarge(): self
    {
        return new self('The table is over 1 MB. A book has fewer pages.');
    }

    public static function notNow(): self
    {
        return new self('The table cannot be read now. Try again.');
    }

    public static function tooManyRows(int $number, int $most): self
    {
        return new self('Row '.$number.': the table has more than '.$most.' rows. A book has fewer pages.');
    }
}
