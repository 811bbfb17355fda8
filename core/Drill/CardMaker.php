<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

/** Makes the cards of one kind. A new kind of drill is one more class. */
interface CardMaker
{
    /** @return list<Card> in the order they are met; none where there is nothing to make them of */
    public function cards(Material $material): array;
}
