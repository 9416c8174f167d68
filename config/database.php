<?php

declare(strict_types=1);

return [
    'default' => 'pgsql',
    'connections' => [
        'pgsql' => [
            'driver' => 'pgsql',
            'url' => env('DATABASE_URL', 'postgresql://ironwort@127.0.0.1:5432/ironwort'),
            'charset' => 'utf8',
            'search_path' => 'public',
            'sslmode' => env('DATABASE_SSLMODE', 'prefer'),
            'timezone' => 'UTC',
            // One way to the database and back for a question, not three: nothing is asked twice by the same name.
            'options' => [PDO::PGSQL_ATTR_DISABLE_PREPARES => true],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
