<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Pattern\EqualBars;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece as Score;

/** Equal bars. */
final readonly class Equal implements \JsonSerializable
{
    use Fields;

    /**
     * @param  list<list<int>>  $bars  the same in both hands
     * @param  Groups  $right  of the right hand
     * @param  Groups  $left  of the left hand
     */
    public function __construct(
        public array $bars,
        public Groups $right,
        public Groups $left,
    ) {}

    public static function of(Score $piece): self
    {
        return new self(EqualBars::both($piece), Groups::of($piece, Hand::Right), Groups::of($piece, Hand::Left));
    }
}
