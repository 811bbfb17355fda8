<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Tells the browser what this application never does, so that what is slipped into it cannot do it either (docs/security.md). */
final class SecurityHeaders
{
    /**
     * Everything comes from here. The engraver is WebAssembly; the styles of components are written into the page, and a
     * drawing of music has its fonts in itself.
     */
    private const PAGE = "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self' data:; "
        ."connect-src 'self' data: blob:; worker-src 'self' blob:; media-src 'self' data: blob:; manifest-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    private const ANSWER = "default-src 'none'; frame-ancestors 'none'; sandbox";

    private const PERMISSIONS = 'microphone=(self), camera=(self), midi=(self), fullscreen=(self), autoplay=(self), geolocation=(), payment=(), usb=(), serial=(), display-capture=()';

    private const A_YEAR = 'max-age=31536000; includeSubDomains';

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $headers = $response->headers;
        $isAnswer = $request->is('api/*', 'calendar/*', 'home/*/app.webmanifest', 'home/files.json');
        $headers->set('Content-Security-Policy', $isAnswer ? self::ANSWER : self::PAGE);
        $headers->set('X-Content-Type-Options', 'nosniff');
        $headers->set('X-Frame-Options', 'DENY');
        $headers->set('Cross-Origin-Opener-Policy', 'same-origin');
        $headers->set('Referrer-Policy', $request->is('home/*', 'calendar/*') ? 'no-referrer' : 'same-origin');
        $headers->set('Permissions-Policy', self::PERMISSIONS);
        $headers->remove('X-Powered-By');
        if ($request->isSecure()) {
            $headers->set('Strict-Transport-Security', self::A_YEAR);
        }
        if ($isAnswer) {
            $headers->set('Cache-Control', 'private, no-store');
        }

        return $response;
    }
}
