<?php

declare(strict_types=1);

return [
    'disks' => [
        // Pictures of pages as they come, until they are read; minutes at most.
        'photos' => ['driver' => 'local', 'root' => storage_path('app/photos'), 'throw' => true, 'visibility' => 'private'],
    ],
];
