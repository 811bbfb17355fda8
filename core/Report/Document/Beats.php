<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Score\Piece as Score;

/** How long the piece is, in beats of the time signature it begins with. */
final readonly class Beats implements \JsonSerializable
{
    use Fields;

    /**
     * @param  string  $written  every measure once
     * @param  string  $played  in play order
     */
    public function __construct(
        public string $written,
        public string $played,
    ) {}

    /** @param list<int> $playOrder indices of measures */
    public static function of(Score $piece, array $playOrder): self
    {
        return new self((string) PlayOrder::beats($piece, ...array_keys($piece->measures)), (string) PlayOrder::beats($piece, ...$playOrder));
    }
}
