<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What is sent is measured before it is looked at: its bytes, and how many values it holds. A route that takes files names its megabytes. */
final class LimitBody
{
    private const MEGABYTE = 1024 * 1024;

    /** More than the longest list that any route takes. */
    private const MOST_VALUES = 12_000;

    private const DEEPEST = 8;

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $megabytes = $request->route()?->getAction('megabytes');
        $most = (is_int($megabytes) ? $megabytes : 1) * self::MEGABYTE;
        $length = $request->headers->get('Content-Length');
        $size = is_numeric($length) ? (int) $length : ($request->isMethod('GET') ? 0 : strlen($request->getContent()));
        if ($size > $most) {
            return new JsonResponse(['message' => 'This is over '.intdiv($most, self::MEGABYTE).' MB. Send less at once.'], 413);
        }
        $values = 0;
        if (! self::holds($request->input(), $values, 0)) {
            return new JsonResponse(['message' => 'This holds more values, or values deeper inside one another, than can be taken at once.'], 413);
        }

        return $next($request);
    }

    private static function holds(mixed $given, int &$values, int $depth): bool
    {
        if (! is_array($given)) {
            return true;
        }
        $values += count($given);
        if ($values > self::MOST_VALUES || $depth > self::DEEPEST) {
            return false;
        }
        foreach ($given as $one) {
            if (! self::holds($one, $values, $depth + 1)) {
                return false;
            }
        }

        return true;
    }
}
