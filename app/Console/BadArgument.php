<?php

declare(strict_types=1);

namespace App\Console;

use Nasturtium\Core\Formats\BadInput;

/** What a command was called with and cannot be done. */
final class BadArgument extends BadInput
{
    public static function noFile(string $path): self
    {
        return new self("There is no file '{$path}' that can be read.");
    }

    public static function leftAlone(): self
    {
        return new self('--left names the left hand\'s part alone; name the right hand\'s with --part.');
    }

    /** @param list<string> $choices */
    public static function noChoice(string $option, string $given, array $choices, ?string $last): self
    {
        return new self("--{$option} is '{$given}'; it is ".implode(', ', $choices)." or {$last}.");
    }

    public static function noBars(string $given, int $first, int $last): self
    {
        return new self("--bars is '{$given}'; the piece has bars {$first} to {$last}, as 3-5 or 4.");
    }
}
