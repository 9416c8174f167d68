<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'file'),
    'channels' => [
        'file' => [
            'driver' => 'daily',
            'path' => storage_path('logs/ironwort.log'),
            'level' => env('LOG_LEVEL', 'warning'),
            'days' => 14,
        ],
        'requests' => [
            'driver' => env('LOG_REQUESTS', true) ? 'daily' : 'monolog',
            'handler' => Monolog\Handler\NullHandler::class,
            'path' => storage_path('logs/requests.log'),
            'formatter' => Monolog\Formatter\JsonFormatter::class,
            'days' => 14,
        ],
        'overridden' => [
            'driver' => 'daily',
            'path' => storage_path('logs/overridden.log'),
            'formatter' => Monolog\Formatter\JsonFormatter::class,
            'days' => 14,
        ],
        'stderr' => ['driver' => 'errorlog', 'level' => 'debug'],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
