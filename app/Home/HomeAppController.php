<?php

declare(strict_types=1);

namespace App\Home;

use Illuminate\Http\JsonResponse;

/** The home side as an application on a phone or a tablet: what it is called, and the files it keeps for when there is no connection. */
final class HomeAppController
{
    /** What listens to a piano is fetched when it is first wanted, and kept from then on. */
    private const LATER = '/\.(wasm|bin)$|^ear\.worker-|^model-.*\.json$/';

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
        $keep = ['/leaf.svg'];
        $later = [];
        foreach (array_map(basename(...), $files) as $file) {
            if (preg_match(self::LATER, $file) === 1) {
                $later[] = "/build/assets/{$file}";
            } else {
                $keep[] = "/build/assets/{$file}";
            }
        }

        return new JsonResponse(['keep' => $keep, 'later' => $later]);
    }
}
