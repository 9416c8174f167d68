<?php

declare(strict_types=1);

namespace Tests\Faults;

/** Long books and large files within the memory that is stated. */
final class MuchTest extends FaultCase
{
    public function test_a_long_book_is_backed_up_and_restored_within_200_mb(): void
    {
        $start = $this->start('one', ['--no-demo']);
        $rows = self::full() ? 4_000_000 : 150_000;
        $told = self::bench($start, 'backup.php', $rows, '200M');
        self::assertLessThan(200.0, $told['write_mb']);
        self::assertLessThan(200.0, $told['read_mb']);
        self::assertSame($rows, $told['rows']);
        self::figure(
            'Memory of a backup and of a restore',
            sprintf(
                '%.0f and %.0f MB at %s readings of probes',
                $told['write_mb'],
                $told['read_mb'],
                number_format($rows),
            ),
            sprintf(
                '`bench/backup.php %d` under a limit of 200 MB; %.0f and %.0f s',
                $rows,
                $told['write_s'],
                $told['read_s'],
            ),
        );
    }

    public function test_a_large_csv_comes_in_within_192_mb(): void
    {
        $start = $this->start('one', ['--no-demo']);
        $rows = self::full() ? 200_000 : 10_000;
        $told = self::bench($start, 'csv.php', $rows, '192M');
        self::assertSame($rows, $told['visits']);
        self::assertSame(8 * $rows, $told['readings']);
        self::assertSame($rows, $told['known'], 'all of it is known when it comes again');
        self::figure(
            'Memory of an import of CSV',
            sprintf('%.0f MB at %s rows of 8 readings', $told['mb'], number_format($rows)),
            sprintf('`bench/csv.php %d` under a limit of 192 MB; %.0f s', $rows, $told['s']),
        );
    }

    /** @return array<string, int|float> */
    private static function bench(Started $start, string $name, int $rows, string $limit): array
    {
        exec(
            'DATABASE_URL=' .
                escapeshellarg($start->databaseUrl()) .
                " php -d memory_limit={$limit} " .
                escapeshellarg(dirname(__DIR__, 2) . "/bench/{$name}") .
                " {$rows} 2>&1",
            $out,
            $code,
        );
        self::assertSame(0, $code, implode("\n", $out));
        $told = json_decode((string) end($out), true);
        self::assertIsArray($told, implode("\n", $out));

        return $told;
    }
}
