<?php

declare(strict_types=1);

namespace Tests\Faults;

use Tests\Writing\Client;
use ZipArchive;

/** A backup made while others write is one instant of the book, and comes back as that. */
final class RestoreDrillTest extends FaultCase
{
    public function test_what_is_restored_is_what_stood_at_the_instant_of_the_backup(): void
    {
        $start = $this->start('one');
        $writer = $this->signedIn($start);
        $clients = [$writer, $this->signedIn($start), $this->signedIn($start), $this->signedIn($start)];
        $backup = null;
        $written = 0;
        $whileBackingUp = 0;
        for ($round = 0; $round < 125; $round++) {
            if ($round === 20) {
                $out = ['file', "{$this->folder()}/backup.out", 'w'];
                $backup = proc_open(
                    ['php', dirname(__DIR__, 2) . '/bin/ironwort', 'backup'],
                    [['file', '/dev/null', 'r'], $out, $out],
                    $pipes,
                    null,
                    [...getenv(), 'IRONWORT_VAR' => $start->var],
                );
                self::assertNotFalse($backup);
            }
            $requests = [];
            foreach ($clients as $i => $client) {
                $line = ['am .2 ph 7.6', 'feed 50', 'note all well', 'wc 20'][$i];
                $requests[] = [$client, 'POST', '/api/systems/yard-pond/log', ['id' => self::key(), 'line' => $line]];
            }
            foreach (Client::together($requests) as $answer) {
                $written += $answer['status'] === 201 ? 1 : 0;
                $whileBackingUp +=
                    $answer['status'] === 201 && $backup !== null && proc_get_status($backup)['running'] ? 1 : 0;
            }
        }
        self::assertNotNull($backup);
        while (proc_get_status($backup)['running']) {
            usleep(20_000);
        }
        proc_close($backup);
        $file = trim((string) file_get_contents("{$this->folder()}/backup.out"));
        self::assertFileExists($file);
        self::assertGreaterThan(400, $written);
        self::assertGreaterThan(0, $whileBackingUp, 'nothing was written while it was made');

        $other = $this->start('other', ['--no-demo']);
        [$code, $said] = $other->command(['restore', $file]);
        self::assertSame(0, $code, $said);
        [$code, $said] = $other->command(['backup']);
        self::assertSame(0, $code, $said);
        [$there, $here] = [self::tables($file), self::tables(trim($said))];
        self::assertSame(array_keys($there), array_keys($here));
        $apart = array_keys(
            array_filter(
                $there,
                static fn(string $sum, string $name): bool => $here[$name] !== $sum,
                ARRAY_FILTER_USE_BOTH,
            ),
        );
        self::assertSame([], $apart);
        $client = $this->signedIn($other);
        self::assertSame(200, $client->look('/api/systems/yard-pond')['status']);
        self::figure(
            'Tables that differ after a restore',
            sprintf('0 of %d', count($there)),
            "a backup is made while {$written} writes go on ({$whileBackingUp} of them beside it), restored into an " .
                'empty book and exported again',
        );
    }

    /** @return array<string, string> checksum of each part of the book */
    private static function tables(string $file): array
    {
        $zip = new ZipArchive();
        self::assertTrue($zip->open($file));

        return (array) json_decode((string) $zip->getFromName('manifest.json'), true)['sha256'];
    }
}
