<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'single'),
    'channels' => [
        // a log that cannot be written (a full disk) must not turn an answer into an error
        'single' => ['driver' => 'stack', 'channels' => ['file'], 'ignore_exceptions' => true],
        'file' => [
            'driver' => 'single', 'path' => storage_path('logs/laravel.log'), 'level' => env('LOG_LEVEL', 'warning'),
            'permission' => 0o666, 'formatter' => Monolog\Formatter\JsonFormatter::class,
        ],
        // a line for every request that was answered, for two weeks
        'requests' => ['driver' => 'stack', 'channels' => ['answered'], 'ignore_exceptions' => true],
        'answered' => [
            'driver' => 'daily', 'path' => storage_path('logs/requests.log'), 'level' => 'info', 'days' => 14,
            'permission' => 0o666, 'formatter' => Monolog\Formatter\JsonFormatter::class,
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
