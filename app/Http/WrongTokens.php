<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;

/** Tokens of home links and calendars cannot be tried out: after some wrong ones from one place none is looked at for a while. */
final class WrongTokens
{
    private const MOST = 30;

    private const SECONDS = 600;

    /** @throws ThrottleRequestsException */
    public static function hold(Request $request): void
    {
        if (RateLimiter::tooManyAttempts(self::name($request), self::MOST)) {
            throw new ThrottleRequestsException('Too many wrong links. Wait ten minutes and open yours again.', headers: ['Retry-After' => (string) RateLimiter::availableIn(self::name($request))]);
        }
    }

    public static function note(Request $request): void
    {
        RateLimiter::hit(self::name($request), self::SECONDS);
    }

    private static function name(Request $request): string
    {
        return "wrong tokens from {$request->ip()}";
    }
}
