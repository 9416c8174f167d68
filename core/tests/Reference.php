<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests;

/** Published tables kept as CSV beside the tests, and reference programs run by Debian's Python. */
final readonly class Reference
{
    /** @return list<array<string, float>> */
    public static function table(string $name): array
    {
        return array_map(static fn(array $row): array => array_map(floatval(...), $row), self::csv("{$name}.csv"));
    }

    /** @return list<array<string, string>> the rows by their header; lines that begin with # are remarks */
    public static function csv(string $file): array
    {
        $lines = array_values(
            array_filter(
                file(__DIR__ . "/reference/{$file}", FILE_IGNORE_NEW_LINES) ?: [],
                static fn(string $line): bool => $line !== '' && $line[0] !== '#',
            ),
        );
        $header = explode(',', array_shift($lines));

        return array_map(
            static fn(string $line): array => array_combine($header, str_getcsv($line, escape: '')),
            $lines,
        );
    }

    /**
     * @param  list<string>  $lines
     * @return list<float>
     */
    public static function python(string $script, array $lines): array
    {
        $process = proc_open(
            ['/usr/bin/python3', __DIR__ . "/reference/{$script}"],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
        );
        fwrite($pipes[0], implode("\n", $lines) . "\n");
        fclose($pipes[0]);
        $out = stream_get_contents($pipes[1]);
        $err = stream_get_contents($pipes[2]);
        if (proc_close($process) !== 0) {
            throw new \RuntimeException("{$script} failed: {$err}");
        }

        return array_map(floatval(...), explode("\n", trim($out)));
    }
}
