<?php

declare(strict_types=1);

namespace App\Account;

/** What a browser says of itself, in words that its owner knows it by. */
final class Device
{
    private const BROWSERS = ['Edg/' => 'Edge', 'OPR/' => 'Opera', 'Firefox/' => 'Firefox', 'Chrome/' => 'Chrome', 'Safari/' => 'Safari'];

    private const SYSTEMS = ['iPhone' => 'iPhone', 'iPad' => 'iPad', 'Android' => 'Android', 'Windows' => 'Windows', 'Mac OS' => 'Mac', 'Linux' => 'Linux'];

    public static function named(string $agent): string
    {
        return self::first(self::BROWSERS, $agent, 'A browser').' on '.self::first(self::SYSTEMS, $agent, 'an unknown device');
    }

    /** @param array<string, string> $names by what stands in the text */
    private static function first(array $names, string $agent, string $other): string
    {
        foreach ($names as $sign => $name) {
            if (str_contains($agent, $sign)) {
                return $name;
            }
        }

        return $other;
    }
}
