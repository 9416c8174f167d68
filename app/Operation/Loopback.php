<?php

declare(strict_types=1);

namespace App\Operation;

use Illuminate\Http\Request;

/** Whether somebody sits at this very machine: what is told to them is told to nobody else. */
final readonly class Loopback
{
    private const NAMES = ['127.0.0.1', 'localhost', '[::1]', '::1'];

    /** Signs of a proxy in between: then the address that is seen is its own. */
    private const PROXIED = [
        'X-Forwarded-For',
        'X-Forwarded-Host',
        'X-Forwarded-Proto',
        'X-Real-IP',
        'Forwarded',
        'Via',
    ];

    public static function is(Request $request): bool
    {
        foreach (self::PROXIED as $header) {
            if ($request->headers->has($header)) {
                return false;
            }
        }

        return self::named(self::address()) &&
            self::named($request->getHost()) &&
            in_array($request->server('REMOTE_ADDR'), ['127.0.0.1', '::1'], true);
    }

    /** Whether Ironwort is meant to be reached from this machine alone. */
    public static function only(): bool
    {
        return self::named(self::address());
    }

    private static function address(): string
    {
        $url = config('app.url');

        return is_string($url) ? (string) parse_url($url, PHP_URL_HOST) : '';
    }

    private static function named(string $host): bool
    {
        return in_array(strtolower($host), self::NAMES, true);
    }
}
