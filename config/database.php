<?php

declare(strict_types=1);

$mariadb = [
    'driver' => 'mariadb',
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '3306'),
    'database' => env('DB_DATABASE', 'nasturtium'),
    'username' => env('DB_USERNAME', 'nasturtium'),
    'password' => env('DB_PASSWORD', ''),
    'charset' => 'utf8mb4',
    'collation' => 'utf8mb4_unicode_ci',
    'prefix' => '',
    'prefix_indexes' => true,
    'strict' => true,
    'engine' => 'InnoDB',
    'options' => [PDO::ATTR_EMULATE_PREPARES => true, PDO::ATTR_PERSISTENT => true],
];

return [
    'default' => env('DB_CONNECTION', 'mariadb'),
    'connections' => [
        'mariadb' => $mariadb,
        // How far long work is, told from within its transaction, before that ends.
        'beside' => ['options' => [PDO::ATTR_EMULATE_PREPARES => true]] + $mariadb,
    ],
    'beside' => env('DB_BESIDE', 'beside'),
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
