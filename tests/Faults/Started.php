<?php

declare(strict_types=1);

namespace Tests\Faults;

use PHPUnit\Framework\Assert;
use RuntimeException;

/** The whole product as bin/start starts it, with a folder, a database and ports of its own. */
final class Started
{
    private const READY_S = 90;

    /** @var resource */
    private $process;

    public readonly string $base;

    private function __construct(public readonly string $var, public readonly int $port) {}

    /**
     * @param  list<string>  $options
     * @param  array<string, string>  $environment
     */
    public static function begin(
        string $var,
        array $options = [],
        array $environment = [],
        ?int $port = null,
        bool $waits = true,
    ): self {
        $port ??= self::freePort();
        $start = new self($var, $port);
        $start->base = "http://127.0.0.1:{$port}";
        if (!is_dir($var)) {
            mkdir($var, 0755, true);
        }
        $log = fopen("{$var}/start.out", 'a');
        if ($log === false) {
            throw new RuntimeException("{$var} cannot be written.");
        }
        ftruncate($log, 0);
        $inherited = array_diff_key(
            getenv(),
            array_flip(['DATABASE_URL', 'APP_KEY', 'APP_ENV', 'APP_URL', 'BASE_URL']),
        );
        $process = proc_open(
            [dirname(__DIR__, 2) . '/bin/start', '--port', (string) $port, ...$options],
            [['file', '/dev/null', 'r'], $log, $log],
            $pipes,
            dirname(__DIR__, 2),
            [...$inherited, 'IRONWORT_VAR' => $var, ...$environment],
        );
        if ($process === false) {
            throw new RuntimeException('bin/start cannot be started.');
        }
        $start->process = $process;
        if ($waits) {
            $start->untilSaid('Ctrl-C stops it');
        }

        return $start;
    }

    public function pid(): int
    {
        return proc_get_status($this->process)['pid'];
    }

    public function said(): string
    {
        return (string) file_get_contents("{$this->var}/start.out");
    }

    public function untilSaid(string $words, float $within = self::READY_S): void
    {
        $end = microtime(true) + $within;
        while (!str_contains($this->said(), $words)) {
            Assert::assertLessThan($end, microtime(true), "bin/start did not say “{$words}” but: {$this->said()}");
            Assert::assertTrue(
                proc_get_status($this->process)['running'] || str_contains($this->said(), $words),
                $this->said(),
            );
            usleep(50_000);
        }
    }

    /** The process of a server by its name, the one that was started last. */
    public function server(string $name): int
    {
        $pid = 0;
        foreach (file("{$this->var}/run/started", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            [$one, , $of] = explode(' ', $line);
            $pid = $of === $name ? (int) $one : $pid;
        }

        return $pid;
    }

    public function databaseUrl(): string
    {
        preg_match('/^DATABASE_URL=(.+)$/m', (string) file_get_contents("{$this->var}/.env"), $found);

        return $found[1] ?? '';
    }

    public function pdo(): \PDO
    {
        $url = parse_url($this->databaseUrl());

        return new \PDO(
            sprintf('pgsql:host=%s;port=%d;dbname=%s', $url['host'], $url['port'], ltrim($url['path'], '/')),
            $url['user'],
            urldecode($url['pass']),
            [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION],
        );
    }

    /** @return array{int, string} status, 0 where nothing answers, and body */
    public function get(string $path): array
    {
        $curl = curl_init($this->base . $path);
        curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 10]);
        $body = curl_exec($curl);

        return [(int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE), is_string($body) ? $body : ''];
    }

    /** Seconds until health says well. */
    public function untilWell(float $within = 60.0): float
    {
        $begun = microtime(true);
        while ($this->get('/api/health')[0] !== 200) {
            Assert::assertLessThan($within, microtime(true) - $begun, 'It is not well again: ' . $this->said());
            usleep(20_000);
        }

        return microtime(true) - $begun;
    }

    /**
     * @param  list<string>  $words
     * @return array{int, string} exit code and what it said
     */
    public function command(array $words, array $environment = []): array
    {
        $line = 'IRONWORT_VAR=' . escapeshellarg($this->var);
        foreach ($environment as $name => $value) {
            $line .= " {$name}=" . escapeshellarg($value);
        }
        exec(
            "{$line} php " .
                implode(' ', array_map(escapeshellarg(...), [dirname(__DIR__, 2) . '/bin/ironwort', ...$words])) .
                ' 2>&1',
            $out,
            $code,
        );

        return [$code, implode("\n", $out)];
    }

    public function kill(): void
    {
        posix_kill($this->pid(), SIGKILL);
        while (proc_get_status($this->process)['running']) {
            usleep(10_000);
        }
    }

    /** As Ctrl-C does. */
    public function stop(): void
    {
        if (!is_resource($this->process)) {
            return;
        }
        if (proc_get_status($this->process)['running']) {
            posix_kill($this->pid(), SIGTERM);
        }
        $end = microtime(true) + 40;
        while (proc_get_status($this->process)['running'] && microtime(true) < $end) {
            usleep(20_000);
        }
        proc_close($this->process);
    }

    public static function freePort(): int
    {
        for ($port = random_int(20000, 29000); ; $port++) {
            $taken =
                @fsockopen('127.0.0.1', $port, timeout: 0.2) ?: @fsockopen('127.0.0.1', $port + 1000, timeout: 0.2);
            if ($taken === false) {
                return $port;
            }
            fclose($taken);
        }
    }
}
