<?php

declare(strict_types=1);

namespace Tests\Faults;

/** Phones keep pages only over TLS: bin/start makes what they trust, and cookies then never travel in the clear. */
final class TlsTest extends FaultCase
{
    public function test_it_serves_by_a_certificate_that_its_own_authority_vouches_for(): void
    {
        $port = Started::freePort();
        $one = $this->start('tls', ['--tls', '--tls-port', (string) $port]);
        $ca = "{$one->var}/tls/ca.crt";
        [$said, $code] = self::ask("https://127.0.0.1:{$port}/api/session", $ca);
        self::assertSame(0, $code, $said);
        self::assertMatchesRegularExpression('/^HTTP\/\S+ 200/', $said);
        self::assertMatchesRegularExpression('/^strict-transport-security:/mi', $said);
        preg_match_all('/^set-cookie:.*$/mi', $said, $cookies);
        self::assertNotSame([], $cookies[0]);
        foreach ($cookies[0] as $cookie) {
            self::assertStringContainsStringIgnoringCase('secure', $cookie);
        }
        self::assertNotSame(0, self::ask("https://127.0.0.1:{$port}/api/session", null)[1], 'trusted by nobody else');
        // Keys are nobody's but the machine's, and the same authority lasts over a start.
        self::assertSame('0600', substr(sprintf('%o', fileperms("{$one->var}/tls/ca.key")), -4));
        $before = (string) file_get_contents($ca);
        $one->stop();
        $again = $this->start('tls', ['--tls', '--tls-port', (string) $port]);
        self::assertSame($before, (string) file_get_contents($ca));
        self::assertSame(0, self::ask("https://127.0.0.1:{$port}/sw.js", $ca)[1]);
        $again->stop();
    }

    public function test_nothing_is_served_to_others_in_the_clear(): void
    {
        $one = $this->start('clear', ['--listen', '0.0.0.0'], waits: false);
        $one->untilSaid('--listen goes with --tls');
    }

    /** @return array{string, int} headers and body, and how curl ended */
    private static function ask(string $url, ?string $ca): array
    {
        exec(
            'curl -sS -i --max-time 10 ' . ($ca === null ? '' : '--cacert ' . escapeshellarg($ca)) . " {$url} 2>&1",
            $lines,
            $code,
        );

        return [implode("\n", $lines), $code];
    }
}
