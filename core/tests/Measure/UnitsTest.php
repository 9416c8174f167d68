<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Measure;

use Ironwort\Core\Measure\Quantity;
use Ironwort\Core\Measure\TypedNumber;
use Ironwort\Core\Measure\Unit;
use Ironwort\Core\Measure\UnreadableNumber;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class UnitsTest extends TestCase
{
    use Calculations;

    /**
     * Where the factors are from:
     *
     * us_gal → l: NIST Handbook 44, 231 cubic inches
     * l → imp_gal: UK regulations 1995; keepers know 2,200
     * mg_l_n → mg_l_no3: IUPAC 2007 molar masses
     * dkh → mg_l_caco3: DIN 38409-6, 10 mg/L CaO
     * tsp_salt → g_l: common practice, no source
     */
    #[TestWith([100, 'us_gal', 'l', 'volume', 378.5411784])]
    #[TestWith([10000, 'l', 'imp_gal', 'volume', 2199.692])]
    #[TestWith([10000, 'l', 'us_gal', 'volume', 2641.721])]
    #[TestWith([1, 'mg_l_n', 'mg_l_no3', 'nitrate', 4.4268])]
    #[TestWith([1, 'mg_l_n', 'mg_l_no2', 'nitrite', 3.2845])]
    #[TestWith([1, 'mg_l_n', 'mg_l_nh4', 'ammonia', 1.2879])]
    #[TestWith([1, 'mg_l_n', 'mg_l_nh3', 'ammonia', 1.2159])]
    #[TestWith([1, 'dkh', 'mg_l_caco3', 'alkalinity', 17.848])]
    #[TestWith([1, 'meq_l', 'mg_l_caco3', 'hardness', 50.043])]
    #[TestWith([1, 'lb_100usgal', 'g_l', 'salt', 1.19826])]
    #[TestWith([3, 'pct', 'g_l', 'salt', 30])]
    #[TestWith([2, 'tsp_salt', 'g_l', 'salt', 12])]
    #[TestWith([64.4, 'f', 'c', 'temperature', 18])]
    #[TestWith([-40, 'c', 'f', 'temperature', -40])]
    public function test_a_value_keeps_its_worth_in_another_unit(
        float $value,
        string $from,
        string $to,
        string $of,
        float $expected,
    ): void {
        $converted = $this->figure(
            'units.convert',
            ['value' => $value, 'from' => $from, 'to' => $to, 'of' => $of],
            'value',
        );
        self::assertEqualsWithDelta($expected, $converted, 5e-5 * abs($expected));
    }

    public function test_every_unit_of_a_quantity_converts_to_every_other_and_back(): void
    {
        foreach (Quantity::cases() as $quantity) {
            foreach (Unit::of($quantity) as $from) {
                foreach (Unit::of($quantity) as $to) {
                    $there = $to->fromCanonical($from->toCanonical(12.5, $quantity), $quantity);
                    self::assertEqualsWithDelta(
                        12.5,
                        $from->fromCanonical($to->toCanonical($there, $quantity), $quantity),
                        1e-9,
                    );
                }
            }
        }
    }

    public function test_a_unit_of_something_else_and_less_than_nothing_are_refused_at_their_key(): void
    {
        self::assertSame(
            ['to'],
            array_keys($this->errors('units.convert', ['value' => 1, 'from' => 'l', 'to' => 'dkh', 'of' => 'volume'])),
        );
        self::assertSame(
            ['value'],
            array_keys($this->errors('units.convert', ['value' => -1, 'from' => 'l', 'to' => 'm3', 'of' => 'volume'])),
        );
        self::assertSame(
            ['value'],
            array_keys(
                $this->errors('units.convert', ['value' => -500, 'from' => 'c', 'to' => 'f', 'of' => 'temperature']),
            ),
        );
    }

    #[TestWith(['7.8', 7.8, 7.75, 7.85])]
    #[TestWith(['7,8', 7.8, 7.75, 7.85])]
    #[TestWith(['.5', 0.5, 0.45, 0.55])]
    #[TestWith([' 20 ', 20.0, 19.5, 20.5])]
    #[TestWith(['1 200', 1200.0, 1199.5, 1200.5])]
    #[TestWith(['0', 0.0, 0.0, 0.5])]
    #[TestWith(['0,250', 0.25, 0.2495, 0.2505])]
    public function test_typed_numbers_are_read_with_how_fine_they_are(
        string $typed,
        float $value,
        float $low,
        float $high,
    ): void {
        $number = TypedNumber::read($typed);
        self::assertEqualsWithDelta($value, $number->value, 1e-12);
        self::assertEqualsWithDelta($low, $number->interval()->low, 1e-12);
        self::assertEqualsWithDelta($high, $number->interval()->high, 1e-12);
    }

    #[TestWith([''])]
    #[TestWith(['abc'])]
    #[TestWith(['7.8.1'])]
    #[TestWith(['1,200'])]
    #[TestWith(['1e5'])]
    #[TestWith(['NaN'])]
    #[TestWith(['--3'])]
    public function test_what_is_not_clearly_one_number_is_refused(string $typed): void
    {
        $this->expectException(UnreadableNumber::class);
        TypedNumber::read($typed);
    }
}
