<?php

declare(strict_types=1);

namespace App\Watch;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What a balancer and a scraper ask. */
final class WatchController
{
    /** 200 where everything that is needed is there, 503 where something is not. */
    public function ready(): JsonResponse
    {
        $now = Readiness::lately();

        return new JsonResponse($now, in_array(false, $now, true) ? 503 : 200, ['Cache-Control' => 'no-store']);
    }

    /** For whoever asks from this machine itself, where FIGURES=on; for anybody else there is no such page. */
    public function figures(Request $request): Response
    {
        $isLocal = in_array($request->server('REMOTE_ADDR'), ['127.0.0.1', '::1'], true) && ! $request->headers->has('X-Forwarded-For');
        abort_unless($isLocal && config('nasturtium.figures') === true, 404);

        return new Response(Told::text(), 200, ['Content-Type' => 'text/plain; version=0.0.4; charset=utf-8', 'Cache-Control' => 'no-store']);
    }
}
