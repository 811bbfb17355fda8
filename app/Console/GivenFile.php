<?php

declare(strict_types=1);

namespace App\Console;

use Nasturtium\Core\Formats\BadInput;

/** A file that a command was called with. */
final class GivenFile
{
    /** @throws BadInput where there is none that can be read */
    public static function contents(mixed $file): string
    {
        $path = is_string($file) ? $file : '';

        return is_file($path) && is_readable($path) ? (string) file_get_contents($path) : throw BadArgument::noFile($path);
    }
}
