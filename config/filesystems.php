<?php

declare(strict_types=1);

/** Several machines share a store: PHOTOS_DISK=s3, ARCHIVES_DISK=s3. */
$disk = static fn (string $name): array => match (env(strtoupper($name).'_DISK', 'local')) {
    's3' => [
        'driver' => 's3', 'key' => env('AWS_ACCESS_KEY_ID'), 'secret' => env('AWS_SECRET_ACCESS_KEY'), 'region' => env('AWS_DEFAULT_REGION', 'us-east-1'),
        'bucket' => env('AWS_BUCKET'), 'endpoint' => env('AWS_ENDPOINT'), 'use_path_style_endpoint' => env('AWS_ENDPOINT') !== null, 'root' => $name, 'throw' => true, 'visibility' => 'private',
    ],
    default => ['driver' => 'local', 'root' => storage_path("app/{$name}"), 'throw' => true, 'visibility' => 'private'],
};

return [
    'disks' => [
        // Pictures of pages as they come, until they are read; minutes at most.
        'photos' => $disk('photos'),
        // Archives of studios as they come or until they are fetched; a day at most.
        'archives' => $disk('archives'),
    ],
];
