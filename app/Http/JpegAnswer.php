<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Response;

/** A private picture, for whoever may see it; like every answer it is stored nowhere in between. */
final class JpegAnswer
{
    public static function of(string $bytes): Response
    {
        return new Response($bytes, 200, ['Content-Type' => 'image/jpeg', 'X-Content-Type-Options' => 'nosniff', 'Content-Disposition' => 'inline']);
    }
}
