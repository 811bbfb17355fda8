<?php

declare(strict_types=1);

namespace App\Page\Piece;

use Nasturtium\Core\Refusal;

/** What cannot be done with a page whose music is not typed. */
final class NoMusic extends Refusal
{
    public static function yet(): self
    {
        return new self('no music is typed for this page yet');
    }
}
