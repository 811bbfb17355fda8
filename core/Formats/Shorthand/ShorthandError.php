<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

/** A token of the shorthand that cannot stand where it is. */
final readonly class ShorthandError
{
    /**
     * @param  int  $line  from 1
     * @param  int  $column  from 1, in characters
     * @param  int  $length  of the token, in characters
     * @param  string  $text  what is wrong and what would be right
     */
    public function __construct(public int $line, public int $column, public int $length, public string $text) {}
}
