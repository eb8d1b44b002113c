<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'file'),
    // what counts tries: in the database, so that it holds on every server, also on a full disk
    'limiter' => env('LIMITER_STORE', 'limits'),
    'stores' => [
        'limits' => ['driver' => 'database', 'table' => 'cache', 'connection' => null, 'lock_connection' => null],
        'array' => ['driver' => 'array', 'serialize' => false],
        'file' => ['driver' => 'file', 'path' => storage_path('framework/cache/data')],
        'derived' => ['driver' => 'file', 'path' => storage_path('framework/cache/derived')],
        'redis' => ['driver' => 'redis', 'connection' => 'cache'],
    ],
    'prefix' => 'isleward_',
];
