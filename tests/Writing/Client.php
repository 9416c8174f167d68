<?php

declare(strict_types=1);

namespace Tests\Writing;

use PHPUnit\Framework\Assert;

/** Somebody signed in at the running product, with a connection and cookies of their own. */
final class Client
{
    private readonly \CurlHandle $cookies;

    private string $token = '';

    public function __construct(private readonly string $base)
    {
        $this->cookies = curl_init();
        curl_setopt_array($this->cookies, [
            CURLOPT_COOKIEFILE => '',
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HTTPHEADER => ['Accept: application/json'],
            CURLOPT_TIMEOUT => 30,
        ]);
    }

    public static function signedIn(string $base, string $email, string $password): self
    {
        $client = new self($base);
        $client->look('/api/session');
        $answer = $client->send('POST', '/api/session', ['email' => $email, 'password' => $password]);
        Assert::assertSame(200, $answer['status'], "{$email} could not sign in: {$answer['body']}");
        $client->look('/api/session');

        return $client;
    }

    /** @return array{status: int, body: string, json: mixed} */
    public function send(string $method, string $uri, array $data): array
    {
        return self::together([[$this, $method, $uri, $data]])[0];
    }

    /** @return array{status: int, body: string, json: mixed} */
    public function look(string $uri): array
    {
        curl_setopt($this->cookies, CURLOPT_URL, $this->base . $uri);
        $body = (string) curl_exec($this->cookies);
        foreach (curl_getinfo($this->cookies, CURLINFO_COOKIELIST) as $line) {
            $parts = explode("\t", $line);
            if ($parts[5] === 'XSRF-TOKEN') {
                $this->token = urldecode($parts[6]);
            }
        }

        return self::answer($this->cookies, $body);
    }

    /**
     * Sends all of them at the same time.
     *
     * @param  list<array{self, string, string, array<string, mixed>}>  $requests
     * @return list<array{status: int, body: string, json: mixed}> in their order
     */
    public static function together(array $requests): array
    {
        $multi = curl_multi_init();
        $handles = [];
        foreach ($requests as [$client, $method, $uri, $data]) {
            $handle = curl_init($client->base . $uri);
            curl_setopt_array($handle, [
                CURLOPT_RETURNTRANSFER => true,
                CURLOPT_CUSTOMREQUEST => $method,
                CURLOPT_POSTFIELDS => json_encode($data),
                CURLOPT_TIMEOUT => 60,
                CURLOPT_COOKIEFILE => '',
                CURLOPT_COOKIE => $client->cookie(),
                CURLOPT_HTTPHEADER => [
                    'Accept: application/json',
                    'Content-Type: application/json',
                    "X-XSRF-TOKEN: {$client->token}",
                ],
            ]);
            curl_multi_add_handle($multi, $handle);
            $handles[] = $handle;
        }
        do {
            $status = curl_multi_exec($multi, $running);
            if ($running > 0) {
                curl_multi_select($multi, 1.0);
            }
        } while ($running > 0 && $status === CURLM_OK);
        $answers = array_map(
            static fn(\CurlHandle $handle): array => self::answer($handle, (string) curl_multi_getcontent($handle)),
            $handles,
        );
        // A sign-in gives new cookies to whoever signed in.
        foreach ($requests as $i => [$client, , $uri]) {
            if ($uri === '/api/session') {
                $client->keep($handles[$i]);
            }
        }

        return $answers;
    }

    private function cookie(): string
    {
        return implode(
            '; ',
            array_map(static function (string $line): string {
                $parts = explode("\t", $line);

                return "{$parts[5]}={$parts[6]}";
            }, curl_getinfo($this->cookies, CURLINFO_COOKIELIST)),
        );
    }

    private function keep(\CurlHandle $from): void
    {
        // The handle was given its cookies by hand, so its engine holds only what the answer set.
        foreach (curl_getinfo($from, CURLINFO_COOKIELIST) as $line) {
            curl_setopt($this->cookies, CURLOPT_COOKIELIST, $line);
        }
    }

    /** @return array{status: int, body: string, json: mixed} */
    private static function answer(\CurlHandle $handle, string $body): array
    {
        return [
            'status' => curl_getinfo($handle, CURLINFO_RESPONSE_CODE),
            'body' => substr($body, 0, 300),
            'json' => json_decode($body, true),
        ];
    }
}
