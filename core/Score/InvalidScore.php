<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A value that no page can hold, such as a time signature of 4/0. */
final class InvalidScore extends \InvalidArgumentException
{
    /** @param string $where as `bar 3` */
    public static function tooMany(string $where, int $count, string $things, int $most): self
    {
        return new self("{$where} has {$count} {$things}; at most {$most} can be read");
    }
}
