<?php

declare(strict_types=1);

namespace App\Home;

use Illuminate\Http\JsonResponse;

/** The home side as an application on a phone or a tablet: what it is called, and the files it keeps for when there is no connection. */
final class HomeAppController
{
    /** A private link is the start of it; the manifest tells nothing that the link does not. */
    public function manifest(string $token): JsonResponse
    {
        return new JsonResponse([
            'name' => 'Nasturtium at home',
            'short_name' => 'Nasturtium',
            'start_url' => "/home/{$token}",
            'scope' => '/home/',
            'display' => 'standalone',
            'background_color' => '#f7f1e5',
            'theme_color' => '#f7f1e5',
            'icons' => [
                ['src' => '/icons/leaf-192.png', 'sizes' => '192x192', 'type' => 'image/png', 'purpose' => 'any maskable'],
                ['src' => '/icons/leaf-512.png', 'sizes' => '512x512', 'type' => 'image/png', 'purpose' => 'any maskable'],
            ],
        ], headers: ['Content-Type' => 'application/manifest+json']);
    }

    public function files(): JsonResponse
    {
        // Gzipped twins are served in the place of their files.
        $files = array_diff(glob(public_path('build/assets/*')) ?: [], glob(public_path('build/assets/*.gz')) ?: []);

        return new JsonResponse(['/leaf.svg', ...array_map(static fn (string $file): string => '/build/assets/'.basename($file), array_values($files))]);
    }
}
