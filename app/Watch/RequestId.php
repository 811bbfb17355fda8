<?php

declare(strict_types=1);

namespace App\Watch;

/** What one request is called in every line that is written of it, here and at the door it came by. */
final class RequestId
{
    private static ?string $current = null;

    /** @param string|null $given by the proxy in front; anything but letters, digits and dashes is not taken */
    public static function begin(?string $given): string
    {
        return self::$current = $given !== null && preg_match('/^[A-Za-z0-9-]{8,64}$/D', $given) === 1 ? $given : bin2hex(random_bytes(16));
    }

    public static function end(): void
    {
        self::$current = null;
    }

    public static function current(): ?string
    {
        return self::$current;
    }
}
