<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Middleware\TrustProxies as Middleware;

/** Proxies are trusted by a setting alone: TRUSTED_PROXIES. */
final class TrustProxies extends Middleware
{
    /** @return list<string>|null */
    protected function proxies(): ?array
    {
        $named = config('nasturtium.trusted_proxies');
        $proxies = array_values(array_filter(array_map(trim(...), explode(',', is_string($named) ? $named : '')), static fn (string $one): bool => $one !== ''));

        return $proxies === [] ? null : $proxies;
    }
}
