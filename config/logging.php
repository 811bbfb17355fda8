<?php

declare(strict_types=1);

use App\Privacy\WithoutSecrets;
use App\Watch\JsonLines;
use Monolog\Handler\NullHandler;
use Monolog\Handler\StreamHandler;

return [
    'default' => env('LOG_CHANNEL', 'single'),
    'channels' => [
        // For the owner of the files alone.
        'single' => ['driver' => 'single', 'path' => storage_path('logs/laravel.log'), 'level' => env('LOG_LEVEL', 'warning'), 'permission' => 0600, 'tap' => [WithoutSecrets::class]],
        'daily' => ['driver' => 'daily', 'path' => storage_path('logs/laravel.log'), 'level' => env('LOG_LEVEL', 'warning'), 'days' => 14, 'permission' => 0600, 'tap' => [WithoutSecrets::class]],
        'stderr' => ['driver' => 'monolog', 'level' => env('LOG_LEVEL', 'warning'), 'handler' => StreamHandler::class, 'handler_with' => ['stream' => 'php://stderr'], 'tap' => [WithoutSecrets::class]],
        // One JSON line an event, for whoever gathers logs. Where it cannot be written, as on a full disk, the work goes on.
        'json' => ['driver' => 'stack', 'channels' => ['json-file'], 'ignore_exceptions' => true],
        'json-file' => ['driver' => 'single', 'path' => storage_path('logs/nasturtium.json.log'), 'level' => env('LOG_LEVEL', 'info'), 'permission' => 0600, 'formatter' => JsonLines::class],
        'null' => ['driver' => 'monolog', 'handler' => NullHandler::class],
    ],
];
