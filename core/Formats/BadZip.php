<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

/** An archive that cannot be unpacked; `$what` says what it should be. */
final class BadZip extends BadInput
{
    public static function cutShort(string $what): self
    {
        return new self("The {$what} is cut short or damaged. Export it again.");
    }

    public static function tooManyFiles(string $what): self
    {
        return new self("The {$what} holds too many files.");
    }

    /** @param int $most bytes */
    public static function tooLarge(string $what, int $most): self
    {
        return new self("The {$what} unpacks to more than ".intdiv($most, 1024 * 1024).' MB. Export less at once.');
    }

    public static function entryMissing(string $missing): self
    {
        return new self($missing);
    }

    public static function entryDamaged(string $name): self
    {
        return new self("'{$name}' in the archive is damaged. Export it again.");
    }
}
