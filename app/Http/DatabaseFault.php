<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Database\QueryException;
use PDOException;

/** A fault of the database, as it may be written down: with its code and its statement, and no value of anybody's. */
final readonly class DatabaseFault
{
    private const AWAY =
        '/SQLSTATE\[(08\w{3}|57P0[123])\]|could not connect|Connection refused|server closed the connection|' .
        'no connection to the server|SSL connection has been closed/i';

    /** Whether the database itself is away, and nothing is wrong with what was asked. */
    public static function away(\Throwable $fault): bool
    {
        for ($one = $fault; $one !== null; $one = $one->getPrevious()) {
            if ($one instanceof PDOException && preg_match(self::AWAY, $one->getMessage()) === 1) {
                return true;
            }
        }

        return false;
    }

    /** @return array{state: string, about: ?string, sql: string, at: list<string>} */
    public static function told(QueryException $fault): array
    {
        preg_match('/constraint "(\w+)"|column "(\w+)"|relation "(\w+)"/', $fault->getMessage(), $found);

        return [
            'state' => (string) $fault->getCode(),
            'about' => $found[0] ?? null,
            'sql' => mb_substr($fault->getSql(), 0, 500),
            'at' => self::ours($fault),
        ];
    }

    /** @return list<string> where in our own code it came from */
    public static function ours(\Throwable $fault): array
    {
        $frames = [];
        foreach ([['file' => $fault->getFile(), 'line' => $fault->getLine()], ...$fault->getTrace()] as $frame) {
            $file = $frame['file'] ?? '';
            if ($file !== '' && !str_contains($file, '/vendor/')) {
                $frames[] = str_replace(base_path() . '/', '', $file) . ':' . ($frame['line'] ?? 0);
            }
        }

        return array_slice($frames, 0, 6);
    }
}
