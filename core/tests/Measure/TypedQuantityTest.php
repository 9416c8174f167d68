<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Measure;

use Ironwort\Core\Measure\TypedQuantity;
use Ironwort\Core\Measure\UnreadableNumber;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * Factors by law: the US gallon is 231 cubic inches of 2.54 cm, the imperial 4.54609 L, the pound 453.59237 g
 * (legal-gallons, legal-pound).
 */
final class TypedQuantityTest extends TestCase
{
    #[TestWith(['2600 gal', 'L', 2600 * 3.785411784])]
    #[TestWith(['2200.5 US gal', 'L', 2200.5 * 3.785411784])]
    #[TestWith(['2200 imp gal', 'L', 2200 * 4.54609])]
    #[TestWith(['9 m³', 'L', 9000.0])]
    #[TestWith(['64f', '°C', (64 - 32) / 1.8])]
    #[TestWith(['18 °C', '°C', 18.0])]
    #[TestWith(['5 lb', 'g', 5 * 453.59237])]
    #[TestWith(['8oz', 'g', (8 * 453.59237) / 16])]
    #[TestWith(['1.5kg', 'g', 1500.0])]
    #[TestWith(['2.5 gpm', 'L/h', 2.5 * 60 * 3.785411784])]
    #[TestWith(['600 L/h', 'L/min', 10.0])]
    #[TestWith(['6 ft', 'm', 1.8288])]
    #[TestWith(['4 in', 'mm', 101.6])]
    #[TestWith(['0.3%', 'g/L', 3.0])]
    #[TestWith(['107 caco3', 'dKH', 107 / 17.848])]
    #[TestWith(['5 n', 'mg/L as NO₃', 5 * 4.4268])]
    #[TestWith(['7,5', 'L', 7.5])]
    #[TestWith(['.5', null, 0.5])]
    public function test_a_number_is_read_in_the_unit_it_is_typed_in(string $typed, ?string $unit, float $is): void
    {
        self::assertEqualsWithDelta($is, TypedQuantity::read($typed, $unit), abs($is) * 1e-4);
    }

    #[TestWith(['20 kg', 'L'])]
    #[TestWith(['64f', 'L'])]
    #[TestWith(['5 lots', 'g'])]
    #[TestWith(['5 L', null])]
    #[TestWith(['five', 'L'])]
    #[TestWith(['1 L 2', 'L'])]
    #[TestWith(['', 'L'])]
    public function test_a_unit_the_field_cannot_be_in_is_refused(string $typed, ?string $unit): void
    {
        $this->expectException(UnreadableNumber::class);
        TypedQuantity::read($typed, $unit);
    }

    public function test_there_and_back_again_is_the_same_number(): void
    {
        mt_srand(7);
        for ($i = 0; $i < 200; $i++) {
            $value = mt_rand(1, 999999) / 100;
            $litres = TypedQuantity::read("{$value} gal", 'L');
            self::assertEqualsWithDelta($value, TypedQuantity::read(sprintf('%.9F L', $litres), 'gal'), 1e-6);
        }
    }
}
