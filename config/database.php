<?php

declare(strict_types=1);

$mariadb = [
    'driver' => 'mariadb',
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '23306'),
    'database' => env('DB_DATABASE', 'isleward'),
    'username' => env('DB_USERNAME', 'isleward'),
    'password' => env('DB_PASSWORD', ''),
    'unix_socket' => env('DB_SOCKET', ''),
    'charset' => 'utf8mb4',
    'collation' => 'utf8mb4_unicode_ci',
    'prefix' => '',
    'strict' => true,
    'engine' => 'InnoDB',
];

return [
    'default' => 'mariadb',
    'connections' => [
        'mariadb' => $mariadb,
        // the same server beside a transaction that is going on: how far it is, and whether it is to stop
        'beside' => $mariadb,
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
    'redis' => [
        'client' => 'phpredis',
        'default' => ['host' => env('REDIS_HOST', '127.0.0.1'), 'port' => env('REDIS_PORT', '6379'), 'database' => 0],
        'cache' => ['host' => env('REDIS_HOST', '127.0.0.1'), 'port' => env('REDIS_PORT', '6379'), 'database' => 1],
    ],
];
