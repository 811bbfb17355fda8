<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

/** Where a token stands in the text. */
final readonly class Span
{
    /**
     * @param  int  $line  from 1
     * @param  int  $column  from 1, in characters
     * @param  string  $text  of the token
     * @param  string  $inForce  the length that holds after it, as it is typed: `q`, `h.`
     */
    public function __construct(public int $line, public int $column, public string $text, public string $inForce = 'q') {}

    public function length(): int
    {
        return mb_strlen($this->text);
    }
}
