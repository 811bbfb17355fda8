<?php

declare(strict_types=1);

namespace App\Watch;

/**
 * How many requests a pool has answered and how long they took, by route: counted in the memory that its processes share
 * (APCu), so that counting costs a microsecond and no row. Where that memory is not there nothing is counted.
 */
final class Figures
{
    /** Upper ends of the counted times, in milliseconds. */
    public const WITHIN = [25, 50, 100, 250, 500, 1000, 2500, 5000, 10_000];

    private const OF = 'nasturtium request ';

    public static function counts(): bool
    {
        return function_exists('apcu_enabled') && apcu_enabled();
    }

    /** @param string $route its pattern, as api/weeks/{week}; never what stood in its place */
    public static function request(string $method, string $route, int $status, float $milliseconds): void
    {
        if (! self::counts()) {
            return;
        }
        $of = self::OF."{$method} {$route} ".intdiv($status, 100).'xx';
        apcu_inc("{$of} count");
        apcu_inc("{$of} microseconds", (int) round(1000 * $milliseconds));
        foreach (self::WITHIN as $end) {
            if ($milliseconds <= $end) {
                apcu_inc("{$of} within {$end}");
                break;
            }
        }
    }

    /** @return array<string, array{method: string, route: string, status: string, count: int, seconds: float, within: array<int, int>}> by method, route and class of status */
    public static function requests(): array
    {
        $requests = [];
        if (! self::counts()) {
            return [];
        }
        foreach (new \APCUIterator('/^'.self::OF.'/', APC_ITER_KEY | APC_ITER_VALUE) as $entry) {
            if (! is_array($entry) || ! is_string($entry['key']) || ! is_int($entry['value'])) {
                continue;
            }
            if (preg_match('/^(?<of>(?<method>\S+) (?<route>.+) (?<status>\dxx)) (?<what>count|microseconds|within (?<end>\d+))$/D', substr($entry['key'], strlen(self::OF)), $found) !== 1) {
                continue;
            }
            $one = $requests[$found['of']] ?? ['method' => $found['method'], 'route' => $found['route'], 'status' => $found['status'], 'count' => 0, 'seconds' => 0.0, 'within' => array_fill_keys(self::WITHIN, 0)];
            match ($found['what']) {
                'count' => $one['count'] = $entry['value'],
                'microseconds' => $one['seconds'] = $entry['value'] / 1e6,
                default => $one['within'][(int) ($found['end'] ?? 0)] = $entry['value'],
            };
            $requests[$found['of']] = $one;
        }
        ksort($requests);

        return $requests;
    }

    public static function forget(): void
    {
        if (self::counts()) {
            apcu_delete(new \APCUIterator('/^'.self::OF.'/', APC_ITER_KEY));
        }
    }
}
