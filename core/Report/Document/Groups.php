<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Pattern\EqualBars;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece as Score;

/** Bars of one hand that are equal, by measure number; two at least in a group. */
final readonly class Groups implements \JsonSerializable
{
    use Fields;

    /**
     * @param  list<list<int>>  $same  the same music
     * @param  list<list<int>>  $rhythm  the same rhythm
     * @param  list<list<int>>  $shape  the same rhythm and moves, from any note
     */
    public function __construct(
        public array $same,
        public array $rhythm,
        public array $shape,
    ) {}

    public static function of(Score $piece, Hand $hand): self
    {
        return new self(...EqualBars::of($piece, $hand));
    }
}
