<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'database'),
    'stores' => [
        'database' => [
            'driver' => 'database',
            'connection' => null,
            'table' => 'cache',
            'lock_connection' => null,
            'lock_table' => 'cache_locks',
        ],
        // Outside the database, so that what is told while a transaction runs can be read before it ends.
        'file' => ['driver' => 'file', 'path' => storage_path('framework/cache')],
        'array' => ['driver' => 'array', 'serialize' => false],
    ],
    'prefix' => 'ironwort_',
];
