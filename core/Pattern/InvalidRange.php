<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

use Nasturtium\Core\Refusal;

/** Bars that a piece does not have. */
final class InvalidRange extends Refusal
{
    public static function backwards(): self
    {
        return new self('the end of the range lies before its start');
    }

    public static function noMeasure(int $index): self
    {
        return new self("there is no measure at {$index}");
    }

    public static function noBeat(int $measure, int $beat): self
    {
        return new self("measure {$measure} has no beat ".$beat);
    }
}
