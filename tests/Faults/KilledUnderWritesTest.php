<?php

declare(strict_types=1);

namespace Tests\Faults;

use Tests\Writing\Client;

/** What was acknowledged is kept, whatever dies while it is written; what is sent again is booked once. */
final class KilledUnderWritesTest extends FaultCase
{
    private const WRITERS = 8;

    public function test_nothing_acknowledged_is_lost_and_nothing_is_booked_twice(): void
    {
        $start = $this->start('one');
        $clients = [];
        for ($i = 0; $i < self::WRITERS; $i++) {
            $clients[] = $this->signedIn($start);
        }
        $acknowledged = $sent = [];
        $kills = 0;
        $rounds = self::full() ? 150 : 30;
        for ($round = 0; $round < $rounds; $round++) {
            $requests = [];
            foreach ($clients as $client) {
                $key = self::key();
                $sent[] = $key;
                $requests[] = [
                    $client,
                    'POST',
                    '/api/systems/press-room/log',
                    ['id' => $key, 'line' => 'feed ' . (10 + $round)],
                ];
            }
            if ($round % 15 === 7) {
                // In the middle of this very round.
                $kills++;
                $name = $kills % 3 === 0 ? 'php-fpm' : 'postgres';
                $pid = $start->server($name);
                exec('(sleep 0.0' . random_int(2, 9) . "; kill -9 {$pid}) >/dev/null 2>&1 &");
            }
            foreach (Client::together($requests) as $i => $answer) {
                if ($answer['status'] === 201) {
                    $acknowledged[] = $requests[$i][3]['id'];
                } else {
                    self::assertContains($answer['status'], [0, 500, 502, 503, 504], $answer['body']);
                    $retry[] = $requests[$i];
                }
            }
            if ($round % 15 === 7) {
                $start->untilWell();
                // What ends more than five times a minute is rightly given up: killed this often it is not.
                sleep(self::full() ? 12 : 0);
            }
        }
        $start->untilWell();
        $kept = $start->pdo()->query('SELECT id FROM feeds')->fetchAll(\PDO::FETCH_COLUMN);
        $lost = count(array_diff($acknowledged, $kept));
        // Whatever got no answer is sent again under the same key, twice.
        foreach (array_chunk([...$retry ?? [], ...$retry ?? []], self::WRITERS) as $chunk) {
            Client::together($chunk);
        }
        $kept = $start->pdo()->query('SELECT id FROM feeds')->fetchAll(\PDO::FETCH_COLUMN);
        $missing = count(array_diff($sent, $kept));
        self::assertSame([0, 0], [$lost, $missing]);
        self::assertSame(count($kept), count(array_unique($kept)));
        self::assertGreaterThan(0, count($retry ?? []), 'no kill hit a write');
        self::figure(
            'Acknowledged writes lost, and doubles after retries',
            sprintf('0 of %d, and 0 of %d', count($acknowledged), count($retry ?? [])),
            sprintf(
                '%d writers at once; PostgreSQL or php-fpm killed outright %d times in the middle',
                self::WRITERS,
                $kills,
            ),
        );
    }
}
