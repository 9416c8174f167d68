<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Filter;

use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Why a filter blocks too fast, on worked cases of the trade (common practice, no source). */
final class BlockingTest extends TestCase
{
    use Calculations;

    /** @return iterable<string, array{array<string, float>, ?string}> */
    public static function cases(): iterable
    {
        $file = fopen(dirname(__DIR__) . '/reference/blocking_cases.csv', 'r');
        self::assertNotFalse($file);
        $head = fgetcsv($file, escape: '');
        while (is_array($head) && ($row = fgetcsv($file, escape: '')) !== false) {
            $case = array_combine($head, $row);
            $known = array_filter(
                array_diff_key($case, ['case' => 0, 'first' => 0]),
                static fn(string $value): bool => $value !== '',
            );
            yield $case['case'] => [array_map(floatval(...), $known), $case['first'] === '' ? null : $case['first']];
        }
        fclose($file);
    }

    /** @param  array<string, float>  $input */
    #[DataProvider('cases')]
    public function test_the_first_cause_is_named(array $input, ?string $first): void
    {
        $result = $this->calculate('filter.blocking', $input);

        self::assertSame($first, $result->figures['first']);
        $weights = array_column(
            array_filter(
                is_array($result->figures['causes']) ? $result->figures['causes'] : [],
                static fn(array $one): bool => $one['id'] !== 'unexplained',
            ),
            'weight',
        );
        self::assertSame($weights, array_values(self::falling($weights)), 'the furthest first');
    }

    public function test_there_are_twenty_of_them(): void
    {
        self::assertCount(20, iterator_to_array(self::cases()));
    }

    public function test_each_cause_comes_with_the_figure_that_raised_it_and_goes_when_it_is_made_good(): void
    {
        $input = ['blocks_d' => 6, 'caught_g_d' => 100, 'room_g' => 3000, 'silt_m2' => 3, 'floor_m2' => 9];
        $causes = $this->calculate('filter.blocking', $input)->figures['causes'];
        self::assertIsArray($causes);
        self::assertSame(['silt', 'unexplained'], array_column($causes, 'id'));
        self::assertEqualsWithDelta(100 / 3, $causes[0]['value'], 1e-9);
        self::assertSame(10.0, $causes[0]['from']);

        $clean = $this->calculate('filter.blocking', [...$input, 'silt_m2' => 0, 'blocks_d' => 28]);
        self::assertSame([], $clean->figures['causes']);
        self::assertSame(['filter.blocking_nothing'], array_column(array_column($clean->cautions, 'message'), 'code'));
    }

    /**
     * @param  list<float>  $values
     * @return array<float>
     */
    private static function falling(array $values): array
    {
        rsort($values);

        return $values;
    }
}
