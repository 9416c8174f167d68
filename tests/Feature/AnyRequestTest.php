<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Routes;
use Random\Engine\Mt19937;
use Random\Randomizer;
use ReflectionClass;
use Tests\OneOfEach;
use Tests\TestCase;

/**
 * Whatever is sent to whichever address, it is answered, and never by a fault of ours. Seeded: 1,500, in full 10,000.
 */
final class AnyRequestTest extends TestCase
{
    use OneOfEach;

    /** Longer than this hangs. */
    private const HANGS_S = 10;

    private const WORDS_TO_TYPE = [
        '0',
        '1',
        '-1',
        '0.5',
        '12',
        '1e400',
        '1e-400',
        'NaN',
        'Infinity',
        '-0',
        '007',
        '1,5',
        '1.200,5',
        '٣',
        'abc',
        '',
        ' ',
        'yes',
        'no',
        'on',
        'off',
        'lent',
        'true',
        'null',
        '"',
        "'; --",
        '<b>',
        '%00',
        "a\0b",
        "\xff\xfe",
        '🐟',
        '2026-02-30',
        '2026-03-29T01:30:00',
        '2026-11-20',
        '2026-11-20T10:00:00Z',
        '9999-12-31',
        '0000-00-00',
        '-4712-01-01',
        '24:61',
        'batch',
        'topup',
        'salt',
        'bath',
        'bay',
        'box',
        'water',
        'air',
        'culture',
        'own_media',
        'binder',
        'meter',
        'ammonia',
        'tan_mg_l',
        'adult',
        'Europe/London',
        'Nowhere/Land',
        '01JD0000000000000000000000',
        'long-vat',
    ];

    /** How the source of a form names a field. */
    private const ASKED =
        "/(?:input|string|text|number|boolean|integer|float|date|choice|object|rows|query)\\(\\s*'(\\w+)'|" .
        "'(\\w+)' => \\['/";

    public function test_no_request_ends_in_a_fault(): void
    {
        $this->withoutMiddleware(\Illuminate\Foundation\Http\Middleware\ValidateCsrfToken::class);
        $rows = $this->rows();
        $this->actingAs($this->owner);
        $seed = (int) (getenv('SEED') ?: random_int(1, 1_000_000));
        $random = new Randomizer(new Mt19937($seed));
        $routes = array_values(
            array_filter(
                Routes::getRoutes()->getRoutes(),
                static fn(Route $route): bool => str_starts_with($route->uri(), 'api/') &&
                    !in_array($route->uri(), ['api/session', 'api/first-owner'], true),
            ),
        );
        $fields = [];
        $faults = [];
        $slowest = 0.0;
        $count = getenv('FULL') === '1' ? 10_000 : 1_500;
        for ($i = 0; $i < $count; $i++) {
            $route = $routes[$random->getInt(0, count($routes) - 1)];
            $kinds = $this->kinds($route);
            $address = $this->address($route, 'long-vat', $rows, $kinds[$random->getInt(0, count($kinds) - 1)]);
            $body = [];
            $known = $fields[(string) $route->getControllerClass()] ??= self::fields(
                (string) $route->getControllerClass(),
            );
            for ($j = $random->getInt(0, 6); $j > 0; $j--) {
                $body[$known[$random->getInt(0, count($known) - 1)]] = self::value($random, 2, $rows);
            }
            $method = $route->methods()[0];
            $begun = hrtime(true);
            DB::beginTransaction();
            $answer = match ($method) {
                'GET' => $this->call('GET', $address, self::flat($body), server: ['HTTP_ACCEPT' => 'application/json']),
                default => $this->call(
                    $method,
                    $address,
                    server: ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json'],
                    content: (string) json_encode($body, JSON_INVALID_UTF8_IGNORE),
                ),
            };
            while (DB::transactionLevel() > 1) {
                DB::rollBack();
            }
            $slowest = max($slowest, (hrtime(true) - $begun) / 1e9);
            if ($answer->getStatusCode() >= 500) {
                $why =
                    $answer->exception === null
                        ? ''
                        : get_class($answer->exception) . ': ' . $answer->exception->getMessage();
                $at = $answer->exception === null ? '' : \App\Http\DatabaseFault::ours($answer->exception)[0] ?? '';
                $faults["{$method} {$route->uri()} {$at}"] =
                    mb_substr($why, 0, 240) .
                    ' with ' .
                    mb_substr((string) json_encode($body, JSON_INVALID_UTF8_SUBSTITUTE), 0, 400);
            }
        }
        fwrite(
            STDERR,
            sprintf(
                "\nfigure: hostile requests %d, seed %d, faults %d, slowest %.1f s\n",
                $count,
                $seed,
                count($faults),
                $slowest,
            ),
        );
        self::assertSame([], $faults, "SEED={$seed}");
        self::assertLessThan(self::HANGS_S, $slowest, "SEED={$seed}");
    }

    /** @return list<string> names that the forms of a subject ask for, by their source */
    private static function fields(string $controller): array
    {
        $names = ['id', 'at', 'again', 'reason', 'on', 'name', 'version', 'done'];
        if (class_exists($controller)) {
            foreach (
                glob(dirname((string) (new ReflectionClass($controller))->getFileName()) . '/*.php') ?: []
                as $file
            ) {
                preg_match_all(self::ASKED, (string) file_get_contents($file), $found);
                $names = [...$names, ...$found[1], ...$found[2]];
            }
        }

        return array_values(array_unique(array_filter($names)));
    }

    /** @param  array<class-string, \Illuminate\Database\Eloquent\Model>  $rows */
    private static function value(Randomizer $random, int $deep, array $rows): mixed
    {
        return match ($random->getInt(0, $deep > 0 ? 11 : 8)) {
            0 => null,
            1 => (bool) $random->getInt(0, 1),
            2 => $random->getInt(PHP_INT_MIN, PHP_INT_MAX),
            3 => $random->getInt(-5, 5000) / 7,
            4 => str_repeat('x', $random->getInt(0, 3000)),
            5 => (string) array_values($rows)[$random->getInt(0, count($rows) - 1)]->getKey(),
            6, 7, 8 => self::WORDS_TO_TYPE[$random->getInt(0, count(self::WORDS_TO_TYPE) - 1)],
            9, 10 => array_map(
                static fn(): mixed => self::value($random, $deep - 1, $rows),
                array_fill(0, $random->getInt(0, 3), 0),
            ),
            default => [
                self::WORDS_TO_TYPE[$random->getInt(0, count(self::WORDS_TO_TYPE) - 1)] => self::value(
                    $random,
                    $deep - 1,
                    $rows,
                ),
                'value' => self::value($random, $deep - 1, $rows),
                'typed' => self::value($random, $deep - 1, $rows),
            ],
        };
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<string, mixed> as an address can carry it
     */
    private static function flat(array $body): array
    {
        return array_map(
            static fn(mixed $value): mixed => is_bool($value)
                ? ($value
                    ? '1'
                    : '0')
                : (is_scalar($value)
                    ? (string) $value
                    : $value),
            $body,
        );
    }
}
