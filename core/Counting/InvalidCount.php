<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Refusal;

/** Count words that cannot be said. */
final class InvalidCount extends Refusal
{
    /** @param list<string> $lengths */
    public static function noSuchLength(int|string $length, array $lengths): self
    {
        return new self("there is no word for a '{$length}' note; the lengths are ".implode(', ', $lengths));
    }

    public static function wordTooLong(int|string $length, int $most): self
    {
        return new self("the word for a {$length} note is longer than ".$most.' letters');
    }
}
