<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

/** The text lines that make one printed line of the page. */
final class PrintedLine
{
    private const ORDER = ['R1', 'R2', 'R3', 'R4', 'L1', 'L2', 'L3', 'L4'];

    /** @var array<string, array{string, int, int}> text, its line and first column, by voice */
    public array $voices = [];

    /** @var list<array{string, int, string, int, int}> voice, verse, text, its line and first column */
    public array $words = [];

    /** A voice that stands before one that is here already begins the next printed line. */
    public function takes(string $name): bool
    {
        $at = array_search($name, self::ORDER, true);
        foreach (array_keys($this->voices) as $here) {
            if (array_search($here, self::ORDER, true) >= $at) {
                return false;
            }
        }

        return true;
    }
}
