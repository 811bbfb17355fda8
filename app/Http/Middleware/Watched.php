<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Watch\Figures;
use App\Watch\RequestId;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Log;
use Symfony\Component\HttpFoundation\Response;

/** Gives each request the name it has in the log, and counts it by its route and how long it took. */
final class Watched
{
    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $name = RequestId::begin($request->headers->get('X-Request-Id'));
        $response = $next($request);
        $response->headers->set('X-Request-Id', $name);

        return $response;
    }

    public function terminate(Request $request, Response $response): void
    {
        $route = $request->route();
        $pattern = $route instanceof Route ? $route->uri() : 'none';
        $began = $request->server('REQUEST_TIME_FLOAT');
        $milliseconds = is_numeric($began) ? 1000 * (microtime(true) - (float) $began) : 0.0;
        Figures::request($request->method(), $pattern, $response->getStatusCode(), $milliseconds);
        Log::info('request', ['method' => $request->method(), 'route' => $pattern, 'status' => $response->getStatusCode(), 'ms' => (int) round($milliseconds)]);
        RequestId::end();
    }
}
