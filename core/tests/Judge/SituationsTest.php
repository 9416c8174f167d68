<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Judge;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Situations a keeper meets, as rows of a table, and what must be said of each. */
final class SituationsTest extends TestCase
{
    use Calculations;

    /** @return iterable<string, array{string, string, string}> */
    public static function situations(): iterable
    {
        foreach (Reference::csv('calculator_situations.csv') as $row) {
            yield $row['situation'] => [$row['calculator'], $row['given'], $row['expected']];
        }
    }

    #[DataProvider('situations')]
    public function test_what_must_be_said_is_said(string $calculator, string $given, string $expected): void
    {
        $input = self::input($given);
        if (str_starts_with($expected, 'error:')) {
            self::assertArrayHasKey(substr($expected, 6), $this->errors($calculator, $input));

            return;
        }
        $result = $this->calculate($calculator, $input);
        if (preg_match('/^(\w+)=([\d.]+)\.\.([\d.]+)$/', $expected, $range) === 1) {
            self::assertGreaterThanOrEqual((float) $range[2] - 1e-9, $result->number($range[1]));
            self::assertLessThanOrEqual((float) $range[3] + 1e-9, $result->number($range[1]));

            return;
        }
        if (preg_match('/^(\w+)=(\w+)$/', $expected, $first) === 1) {
            $list = $result->figures[$first[1]];
            self::assertIsArray($list);
            $name = $list[0] ?? null;
            self::assertSame($first[2], is_array($name) ? $name['id'] ?? ($name['cause'] ?? null) : $name);

            return;
        }
        self::assertContains(
            $expected,
            array_map(static fn(Caution $caution): string => $caution->message->code, $result->cautions),
        );
    }

    /** @return array<string, mixed> */
    private static function input(string $given): array
    {
        $input = [];
        foreach (explode(';', $given) as $pair) {
            if (str_contains($pair, ':=')) {
                [$key, $json] = explode(':=', $pair, 2);
                $input[$key] = json_decode($json, true, 8, JSON_THROW_ON_ERROR);
            } else {
                [$key, $value] = explode('=', $pair, 2);
                $input[$key] = is_numeric($value) ? (float) $value : $value;
            }
        }

        return $input;
    }
}
