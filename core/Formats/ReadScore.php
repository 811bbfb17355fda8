<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Piece;

/** A piece as read, with what the reader met and did not understand. */
final readonly class ReadScore
{
    /**
     * @param  list<Check>  $notRead
     * @param  Piece|null  $duet  what the teacher plays with it
     */
    public function __construct(public Piece $piece, public array $notRead, public ?Piece $duet = null) {}
}
