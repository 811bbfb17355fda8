<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Words;

/** A key signature with its sharps or flats by name (trade 3.8). */
final readonly class KeyWords
{
    /** Letters in the order in which sharps are written; flats come the other way round. */
    private const SHARPS = [3, 0, 4, 1, 5, 2, 6];

    /** `D major: two sharps, F♯ and C♯`; `no sharps or flats`. */
    public static function of(Key $key): string
    {
        $names = self::names($key);
        $what = match (true) {
            $names === [] => 'no sharps or flats',
            default => Words::number(count($names)).($key->fifths > 0 ? ' sharp' : ' flat').(count($names) > 1 ? 's' : '').', '.Words::listed($names),
        };

        return $key->fixed ? self::spelled($key->name()).": {$what}" : $what;
    }

    /** @return list<string> */
    private static function names(Key $key): array
    {
        $order = $key->fifths > 0 ? self::SHARPS : array_reverse(self::SHARPS);

        return array_map(static fn (int $step): string => Pitch::LETTERS[$step].($key->fifths > 0 ? '♯' : '♭'), array_slice($order, 0, abs($key->fifths)));
    }

    private static function spelled(string $name): string
    {
        return preg_replace(['/^([A-G])#/', '/^([A-G])b/'], ['$1♯', '$1♭'], $name) ?? $name;
    }
}
