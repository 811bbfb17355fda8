<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering\Standard;

/** What a standard pattern says of a single note. */
final readonly class StandardFingers
{
    /** What it costs to take the other standard for one note alone. */
    private const OTHER = 6;

    /**
     * @param  string  $name  of the pattern: `A major scale`
     * @param  int  $or  the finger of the other standard; the same where there is one alone
     * @param  int  $weight  what it costs to leave the pattern here
     */
    public function __construct(public string $name, public int $finger, public int $or, public int $weight) {}

    public function cost(int $finger): int
    {
        return match ($finger) {
            $this->finger => 0,
            $this->or => self::OTHER,
            default => $this->weight,
        };
    }
}
