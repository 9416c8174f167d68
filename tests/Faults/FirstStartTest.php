<?php

declare(strict_types=1);

namespace Tests\Faults;

/** A book of one's own is nobody's playground. */
final class FirstStartTest extends FaultCase
{
    public function test_a_database_of_ones_own_gets_no_demo_but_a_link_for_its_first_owner(): void
    {
        $demo = $this->start('demo');
        self::assertCount(3, json_decode($demo->get('/api/session')[1], true)['demo']);
        $demo->pdo()->exec('CREATE DATABASE own');
        $own = $this->start(
            'own',
            ['--url', 'https://koi.example'],
            ['DATABASE_URL' => (string) preg_replace('#/\w+$#', '/own', $demo->databaseUrl())],
        );
        self::assertStringContainsString('https://koi.example/first-owner?key=', $own->said());
        self::assertStringNotContainsString('yarrow-42', $own->said());
        self::assertStringContainsString('database own', $own->said());
        self::assertStringNotContainsString("kept in {$own->var}/pg", $own->said());
        self::assertDirectoryDoesNotExist("{$own->var}/pg");
        self::assertSame('0', (string) $own->pdo()->query('SELECT count(*) FROM sites')->fetchColumn());
        self::assertSame([], json_decode($own->get('/api/session')[1], true)['demo']);
    }

    public function test_the_demo_goes_with_one_command_and_all_its_logins(): void
    {
        $start = $this->start('one');
        [$code, $said] = $start->command(['demo', 'remove']);
        self::assertSame(0, $code, $said);
        self::assertStringContainsString('first-owner?key=', $said);
        $tables = $start
            ->pdo()
            ->query(
                "SELECT table_name FROM information_schema.columns WHERE column_name = 'site_id' " .
                    "AND table_schema = 'public'",
            );
        $left = 0;
        foreach ([...$tables->fetchAll(\PDO::FETCH_COLUMN), 'sites', 'probe_readings', 'probe_sums'] as $table) {
            $left += (int) $start
                ->pdo()
                ->query("SELECT count(*) FROM {$table}")
                ->fetchColumn();
        }
        self::assertSame(0, $left);
        $start->stop();
        $again = $this->start('one', ['--no-demo']);
        self::assertSame('0', (string) $again->pdo()->query('SELECT count(*) FROM sites')->fetchColumn());
        self::figure('Rows of the demo left after `demo remove`', '0', 'every table is counted');
    }
}
