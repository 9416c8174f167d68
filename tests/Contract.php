<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use Symfony\Component\Yaml\Yaml;

/** Holds answers against api/openapi.yaml: the address, the status and the body must be described there. */
final class Contract
{
    /** @var array<string, mixed>|null the parsed contract, read once a run */
    private static ?array $contract = null;

    public static function check(string $method, string $uri, TestResponse $response): void
    {
        $contract = self::$contract ??= Yaml::parseFile(dirname(__DIR__) . '/api/openapi.yaml');
        $path = parse_url($uri, PHP_URL_PATH);
        if (!is_string($path) || !str_starts_with($path, '/api/')) {
            return;
        }
        $status = (string) $response->getStatusCode();
        Assert::assertNotSame('500', $status, "{$method} {$uri} failed: " . $response->getContent());
        // What every address answers alike to strangers, readers and wrong methods is described once, as Refusal.
        if (in_array($status, ['401', '403', '404', '405', '419', '422', '429'], true)) {
            self::validate($contract, ['$ref' => '#/components/schemas/Refusal'], $response, "{$method} {$uri}");

            return;
        }
        $operation = self::operation($contract, strtolower($method), $path);
        Assert::assertNotNull($operation, "{$method} {$path} is not in the contract.");
        $described = $operation['responses'][$status] ?? null;
        Assert::assertNotNull($described, "{$method} {$path} answered {$status}, which is not in the contract.");
        if (isset($described['$ref'])) {
            $described = $contract['components']['responses'][basename($described['$ref'])];
        }
        if (isset($described['content'])) {
            self::validate(
                $contract,
                $described['content']['application/json']['schema'],
                $response,
                "{$method} {$uri}",
            );
        }
    }

    /** @return array<string, mixed>|null */
    private static function operation(array $contract, string $method, string $path): ?array
    {
        foreach ($contract['paths'] as $template => $item) {
            $pattern = '#^' . preg_replace('/\{[a-z]+\}/', '[^/]+', $template) . '$#';
            if (preg_match($pattern, $path) === 1 && isset($item[$method])) {
                return $item[$method];
            }
        }

        return null;
    }

    private static function validate(array $contract, array $schema, TestResponse $response, string $where): void
    {
        $body = json_decode((string) $response->getContent());
        $whole = (string) json_encode([
            ...$schema,
            'components' => $contract['components'],
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
        ]);
        $result = (new Validator())->validate($body, str_replace('{"nullable":true}', '{}', $whole));
        $error = $result->error();
        Assert::assertTrue(
            $result->isValid(),
            $where . ': ' . ($error === null ? '' : json_encode((new ErrorFormatter())->format($error))),
        );
    }
}
