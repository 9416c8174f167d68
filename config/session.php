<?php

declare(strict_types=1);

return [
    'driver' => 'database',
    'lifetime' => 60 * 24 * 7,
    'expire_on_close' => false,
    'encrypt' => false,
    'connection' => null,
    'table' => 'sessions',
    'lottery' => [2, 100],
    'cookie' => 'ironwort_session',
    'path' => '/',
    'domain' => null,
    // Left open, a cookie is kept to TLS wherever the page came by it.
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'lax',
];
