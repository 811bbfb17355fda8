<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Score\Fraction;

/** What a teacher has said of a file before it is read; null leaves it to the reader. Each format looks at what concerns it. */
final readonly class HowToRead
{
    /**
     * @param  PartChoice|null  $parts  whose part is which
     * @param  Grid|null  $grid  that played notes are laid on
     * @param  Fraction|null  $pickup  in whole notes, what stands before the first bar of played notes; zero for none
     */
    public function __construct(public ?PartChoice $parts = null, public ?Grid $grid = null, public ?Fraction $pickup = null) {}
}
