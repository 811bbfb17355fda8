<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A clef or a key signature that changes inside a measure. */
final readonly class Change
{
    /**
     * @param  Fraction  $onset  whole notes from the start of the measure; never zero
     * @param  Hand|null  $staff  null for a key, which changes on both
     */
    public function __construct(public Fraction $onset, public ?Hand $staff, public Clef|Key $to) {}
}
