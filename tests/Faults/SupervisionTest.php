<?php

declare(strict_types=1);

namespace Tests\Faults;

/** What dies is started again, and what was left behind is taken over. */
final class SupervisionTest extends FaultCase
{
    public function test_each_server_is_back_after_it_was_killed_and_health_says_which_is_away(): void
    {
        $start = $this->start('one', ['--no-demo']);
        $slowest = 0.0;
        $seen = [];
        $tries = self::full() ? 5 : 1;
        foreach (array_merge(...array_fill(0, $tries, ['postgres', 'php-fpm', 'nginx', 'clock'])) as $name) {
            $was = $start->server($name);
            posix_kill($was, SIGKILL);
            $begun = microtime(true);
            // Until the new one is there, health is asked all the while.
            do {
                [$status, $body] = $start->get('/api/health');
                if ($status === 503) {
                    $seen[json_decode($body, true)['part'] ?? '?'] = true;
                }
                self::assertLessThan(30, microtime(true) - $begun, $start->said());
            } while ($start->server($name) === $was || $status !== 200);
            $slowest = max($slowest, microtime(true) - $begun);
            self::assertStringContainsString("{$name} ended by itself", $start->said());
        }
        self::assertSame([], array_diff(array_keys($seen), ['database', 'php']));
        self::assertArrayHasKey('database', $seen, 'it said so while it was away');
        self::figure(
            'Back after kill -9 of PostgreSQL, php-fpm, nginx or the clock',
            sprintf('%.1f s at most of %d', $slowest, 4 * $tries),
            'each is killed under `bin/start`; time until it runs again and health answers 200',
        );
    }

    public function test_a_second_start_is_refused_and_one_after_a_kill_takes_over_what_is_left(): void
    {
        $first = $this->start('one', ['--no-demo']);
        $second = $this->start('one', ['--no-demo'], waits: false);
        $second->untilSaid('running from this folder already', 20);
        self::assertSame(200, $first->get('/api/health')[0], 'the first goes on');
        $worst = 0.0;
        $start = $first;
        for ($i = 0; $i < (self::full() ? 5 : 2); $i++) {
            $old = array_map($start->server(...), ['postgres', 'php-fpm', 'nginx', 'clock']);
            $start->kill();
            self::assertSame(200, $start->get('/api/health')[0], 'its servers are orphans by now');
            $begun = microtime(true);
            $start = $this->start('one', ['--no-demo'], port: $first->port);
            $worst = max($worst, microtime(true) - $begun);
            self::assertStringNotContainsString('is taken', $start->said(), 'its port came back');
            self::assertSame(200, $start->get('/api/health')[0]);
            foreach ($old as $pid) {
                self::assertFalse(posix_kill($pid, 0), "{$pid} is left");
            }
        }
        self::figure(
            'Start after kill -9 of bin/start',
            sprintf('%.1f s, same port, no orphan left', $worst),
            '`bin/start` itself is killed and started again at once',
        );
    }

    public function test_files_left_by_a_power_cut_stop_nothing_and_no_stranger_is_ended(): void
    {
        $start = $this->start('one', ['--no-demo']);
        $data = "{$start->var}/pg/data";
        $start->stop();
        // All of these name a process that lives and has nothing to do with Ironwort.
        $stranger = proc_open(['sleep', '300'], [], $pipes);
        self::assertNotFalse($stranger);
        $pid = proc_get_status($stranger)['pid'];
        file_put_contents("{$data}/postmaster.pid", "{$pid}\n{$data}\n1790000000\n25330\n\n127.0.0.1\n\n");
        file_put_contents("{$start->var}/start.pid", (string) $pid);
        file_put_contents("{$start->var}/run/started", "{$pid} 1 postgres\n{$pid} 1 nginx\n");
        $again = $this->start('one', ['--no-demo']);
        self::assertSame(200, $again->get('/api/health')[0]);
        self::assertTrue(proc_get_status($stranger)['running'], 'the stranger was ended');
        proc_terminate($stranger);
        proc_close($stranger);
        self::figure(
            'Starts hindered by stale pid files',
            '0 of 1, and 0 strangers ended',
            'postmaster.pid, start.pid and the list of servers name a living process of somebody else',
        );
    }

    public function test_a_port_that_is_held_without_listening_sends_the_database_to_the_next(): void
    {
        // Bound and not listening, as an outgoing connection is: asking whether somebody answers does not show it.
        $port = Started::freePort();
        $bind = "import socket, time; s = socket.socket(); s.bind(('127.0.0.1', {$port})); print('held', flush=True)";
        $held = proc_open(['/usr/bin/python3', '-c', "{$bind}; time.sleep(120)"], [1 => ['pipe', 'w']], $pipes);
        self::assertNotFalse($held);
        self::assertSame("held\n", fgets($pipes[1]));
        $start = $this->start('one', ['--no-demo'], ['IRONWORT_DB_PORT' => (string) $port]);
        self::assertSame(200, $start->get('/api/health')[0]);
        self::assertNotSame($port, parse_url($start->databaseUrl(), PHP_URL_PORT));
        proc_terminate($held);
        proc_close($held);
    }

    public function test_what_will_not_stay_up_ends_the_start_with_a_word(): void
    {
        $start = $this->start('one', ['--no-demo']);
        $config = "{$start->var}/run/web/php-fpm.conf";
        file_put_contents($config, 'nonsense');
        posix_kill($start->server('php-fpm'), SIGKILL);
        $start->untilSaid('more than 5 times within a minute', 30);
        usleep(500_000);
        self::assertSame(0, $start->get('/api/health')[0], 'nothing is left running');
    }

    public function test_the_address_without_a_database_says_what_is_wrong(): void
    {
        $start = $this->start('one', ['--no-demo']);
        // Held, so that it answers nobody and is not started again either.
        $postgres = $start->server('postgres');
        exec('pkill -STOP -g ' . $postgres);
        $supervisor = $start->pid();
        posix_kill($supervisor, SIGSTOP);
        posix_kill($postgres, SIGKILL);
        exec('pkill -KILL -g ' . $postgres);
        usleep(300_000);
        [$status, $body] = $start->get('/');
        self::assertSame(503, $status);
        self::assertStringContainsString('database does not answer', $body);
        [$status, $body] = $start->get('/api/systems');
        self::assertSame(503, $status);
        self::assertStringNotContainsString('SQLSTATE', $body);
        self::assertSame(
            ['unwell', 'database'],
            [json_decode($start->get('/api/health')[1])->status, json_decode($start->get('/api/health')[1])->part],
        );
        // Without PHP as well: a page is still a page, and health says which part it is.
        $fpm = $start->server('php-fpm');
        exec("pkill -KILL -g {$fpm}");
        usleep(300_000);
        [$status, $body] = $start->get('/press-room');
        self::assertSame(503, $status);
        self::assertStringContainsString('<h1>Back in a moment</h1>', $body);
        self::assertSame('php', json_decode($start->get('/api/health')[1])->part);
        [$status, $body] = $start->get('/build/none.js');
        self::assertSame(404, $status);
        self::assertStringContainsString('There is nothing here by that name.', $body);
        posix_kill($supervisor, SIGCONT);
        $start->untilWell();
    }
}
