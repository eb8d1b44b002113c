<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'single'),
    'channels' => [
        // a log that cannot be written (a full disk) must not turn an answer into an error
        'single' => ['driver' => 'stack', 'channels' => ['file'], 'ignore_exceptions' => true],
        'file' => [
            'driver' => 'single', 'path' => storage_path('logs/laravel.log'), 'level' => env('LOG_LEVEL', 'warning'),
            'permission' => 0o666,
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
