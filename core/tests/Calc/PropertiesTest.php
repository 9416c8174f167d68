<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Calc;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Examples;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How an answer must go with what is given, about the example of each calculator. */
final class PropertiesTest extends TestCase
{
    use Calculations;

    private const POINTS = 12;

    /** A rounded dose or an iteration may leave so much. */
    private const CLOSE = 1e-6;

    /** @return iterable<string, array{array<string, string>}> */
    public static function properties(): iterable
    {
        foreach (Reference::csv('properties.csv') as $row) {
            yield "{$row['calculator']} {$row['input']} {$row['output']}" => [$row];
        }
    }

    /** @param  array<string, string>  $row */
    #[DataProvider('properties')]
    public function test_the_answer_goes_with_what_is_given(array $row): void
    {
        $example = Examples::ofCalculators()[$row['calculator']];
        $keys = explode('.', $row['input']);
        $middle = self::at($example, $keys) ?? $this->default($row['calculator'], $row['input']);
        self::assertIsNumeric($middle, 'nothing is moved');
        $answers = [];
        for ($i = 0; $i < self::POINTS; $i++) {
            $share = $row['from'] * ($row['to'] / $row['from']) ** ($i / (self::POINTS - 1));
            $value = $middle * $share;
            // What is counted is counted in whole ones.
            $value = $row['input'] === 'changes' ? (int) max(1, round($value)) : $value;
            $figures = $this->calculate($row['calculator'], self::with($example, $keys, $value))->figures;
            $answer = self::at($figures, explode('.', $row['output']));
            self::assertTrue(is_numeric($answer) || is_bool($answer), "no {$row['output']} at {$value}");
            $answers[] = [$value, (float) $answer];
        }
        self::assertNotSame(
            0.0,
            max(array_map(static fn(array $one): float => abs($one[1]), $answers)) + ($row['goes'] === 'same'),
        );
        foreach (array_slice($answers, 1) as $i => [$value, $answer]) {
            [$was, $before] = $answers[$i];
            $slack = self::CLOSE * (1 + abs($before));
            match ($row['goes']) {
                'up' => self::assertGreaterThanOrEqual($before - $slack, $answer, "at {$value}"),
                'down' => self::assertLessThanOrEqual($before + $slack, $answer, "at {$value}"),
                'proportional' => self::assertEqualsWithDelta(
                    $before / $was,
                    $answer / $value,
                    self::CLOSE * abs($before / $was),
                ),
                'inverse' => self::assertEqualsWithDelta(
                    $before * $was,
                    $answer * $value,
                    self::CLOSE * abs($before * $was),
                ),
                'same' => self::assertEqualsWithDelta($before, $answer, $slack),
            };
        }
        if (in_array($row['goes'], ['up', 'down'], true)) {
            self::assertNotEqualsWithDelta($answers[0][1], $answers[self::POINTS - 1][1], self::CLOSE, 'nothing moved');
        }
    }

    public function test_every_calculator_has_one(): void
    {
        $with = array_column(Reference::csv('properties.csv'), 'calculator');
        foreach (Registry::standard(Library::shipped())->all() as $calculator) {
            self::assertContains($calculator->name(), $with);
        }
    }

    /** @param  list<string>  $keys */
    private static function at(mixed $in, array $keys): mixed
    {
        return array_reduce(
            $keys,
            static fn(mixed $at, string $key): mixed => is_array($at) ? $at[$key] ?? null : null,
            $in,
        );
    }

    /**
     * @param  array<array-key, mixed>  $in
     * @param  list<string>  $keys
     * @return array<array-key, mixed>
     */
    private static function with(array $in, array $keys, float|int $value): array
    {
        [$key, $rest] = [$keys[0], array_slice($keys, 1)];

        $in[$key] = $rest === [] ? $value : self::with((array) ($in[$key] ?? []), $rest, $value);

        return $in;
    }

    /** What is assumed for an input that the example leaves out. */
    private function default(string $name, string $key): mixed
    {
        foreach (Registry::standard(Library::shipped())->named($name)->inputs() as $input) {
            if ($input->key === $key) {
                return $input->default;
            }
        }

        return null;
    }
}
