<?php

declare(strict_types=1);

namespace Tests\Faults;

use PHPUnit\Framework\TestCase;
use Tests\Writing\Client;

/** A fault that is made on purpose, and the figure of what came of it. */
abstract class FaultCase extends TestCase
{
    protected const LOGIN = ['maren@sallow.example', 'yarrow-42'];

    private const SIGNS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

    /** @var list<Started> */
    private array $started = [];

    private string $folder = '';

    protected function tearDown(): void
    {
        foreach (array_reverse($this->started) as $one) {
            $one->stop();
        }
        if ($this->folder !== '' && $this->status()->isSuccess()) {
            exec('rm -rf ' . escapeshellarg($this->folder));
        }
    }

    protected function folder(): string
    {
        if ($this->folder === '') {
            $this->folder = sys_get_temp_dir() . '/ironwort-faults-' . bin2hex(random_bytes(4));
            mkdir($this->folder, 0755);
        }

        return $this->folder;
    }

    /**
     * @param  list<string>  $options
     * @param  array<string, string>  $environment
     */
    protected function start(
        string $name,
        array $options = [],
        array $environment = [],
        ?int $port = null,
        bool $waits = true,
    ): Started {
        $this->started[] = $one = Started::begin("{$this->folder()}/{$name}", $options, $environment, $port, $waits);

        return $one;
    }

    protected function signedIn(Started $at): Client
    {
        return Client::signedIn($at->base, ...self::LOGIN);
    }

    protected static function key(): string
    {
        $key = '01KB';
        for ($i = 0; $i < 22; $i++) {
            $key .= self::SIGNS[random_int(0, 31)];
        }

        return $key;
    }

    /** One row of docs/reliability.md. */
    protected static function figure(string $what, string $figure, string $how): void
    {
        fwrite(STDOUT, "\nfigure: {$what}: {$figure}\n");
        $file = dirname(__DIR__, 2) . '/var/faults.jsonl';
        file_put_contents($file, json_encode([$what, $figure, $how], JSON_UNESCAPED_UNICODE) . "\n", FILE_APPEND);
    }

    protected static function full(): bool
    {
        return getenv('FULL') === '1';
    }
}
