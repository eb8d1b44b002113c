<?php

declare(strict_types=1);

return [
    'name' => 'Isleward',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://localhost'),
    'timezone' => 'UTC',
    'key' => env('APP_KEY'),
    'cipher' => 'AES-256-CBC',
];
