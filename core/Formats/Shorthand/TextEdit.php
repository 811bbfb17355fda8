<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

/** So many characters at a place of the text give way to others. */
final readonly class TextEdit
{
    /**
     * @param  int  $line  from 1
     * @param  int  $column  from 1, in characters
     * @param  int  $length  of what is taken away
     */
    public function __construct(public int $line, public int $column, public int $length, public string $insert) {}

    public static function after(Span $token, string $insert): self
    {
        return new self($token->line, $token->column + $token->length(), 0, $insert);
    }
}
