<?php

declare(strict_types=1);

/*
 * Mail stays in the outbox, where it can be read in the application, until a mailer is named: MAIL_MAILER=smtp with
 * MAIL_HOST, MAIL_PORT, MAIL_USERNAME and MAIL_PASSWORD (docs/operations.md).
 */
return [
    'default' => env('MAIL_MAILER', 'outbox'),
    'mailers' => [
        'smtp' => [
            'transport' => 'smtp',
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => env('MAIL_PORT', 587),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
            'timeout' => 10,
        ],
        'array' => ['transport' => 'array'],
    ],
    'from' => ['address' => env('MAIL_FROM_ADDRESS', 'studio@nasturtium.example'), 'name' => env('MAIL_FROM_NAME', 'Nasturtium')],
];
