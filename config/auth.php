<?php

declare(strict_types=1);
use App\Account\User;

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'users'],
    'guards' => [
        'web' => ['driver' => 'session', 'provider' => 'users'],
        // A family's private link: a bearer token, see App\Providers\AppServiceProvider.
        'family' => ['driver' => 'family-link'],
        // What a phone sends one picture by, likewise.
        'camera' => ['driver' => 'photo-link'],
    ],
    'providers' => [
        'users' => ['driver' => 'eloquent', 'model' => User::class],
    ],
    'passwords' => ['users' => ['provider' => 'users', 'table' => 'password_reset_tokens', 'expire' => 60, 'throttle' => 60]],
];
