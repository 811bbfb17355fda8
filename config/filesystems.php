<?php

declare(strict_types=1);

return [
    'disks' => [
        // Pictures of pages as they come, until they are read; minutes at most. Several machines share a store: PHOTOS_DISK=s3.
        'photos' => match (env('PHOTOS_DISK', 'local')) {
            's3' => [
                'driver' => 's3', 'key' => env('AWS_ACCESS_KEY_ID'), 'secret' => env('AWS_SECRET_ACCESS_KEY'), 'region' => env('AWS_DEFAULT_REGION', 'us-east-1'),
                'bucket' => env('AWS_BUCKET'), 'endpoint' => env('AWS_ENDPOINT'), 'use_path_style_endpoint' => env('AWS_ENDPOINT') !== null, 'root' => 'photos', 'throw' => true, 'visibility' => 'private',
            ],
            default => ['driver' => 'local', 'root' => storage_path('app/photos'), 'throw' => true, 'visibility' => 'private'],
        },
    ],
];
