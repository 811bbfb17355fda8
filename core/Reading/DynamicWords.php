<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

/** What dynamics mean (trade 3.8). */
final readonly class DynamicWords
{
    private const MEANINGS = [
        'ppp' => 'as soft as can be', 'pp' => 'very soft', 'p' => 'soft', 'mp' => 'medium soft', 'mf' => 'medium loud', 'f' => 'loud',
        'ff' => 'very loud', 'fff' => 'as loud as can be', 'sf' => 'suddenly strong', 'sfz' => 'suddenly strong', 'fz' => 'suddenly strong',
        'fp' => 'loud, then soft at once',
    ];

    public static function meaning(string $dynamic): ?string
    {
        return self::MEANINGS[$dynamic] ?? null;
    }
}
