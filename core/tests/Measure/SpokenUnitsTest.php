<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Measure;

use Ironwort\Core\Measure\Quantity;
use Ironwort\Core\Measure\SpokenUnits;
use Ironwort\Core\Measure\TypedQuantity;
use Ironwort\Core\Measure\Unit;
use Ironwort\Core\Measure\UnitChoice;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * Factors by law (legal-gallons, legal-pound): 3.785411784 L, 4.54609 L, 453.59237 g; a German degree is 17.848 mg/L as
 * CaCO3 (german-degree); 62.0049 / 14.0067 of nitrate is its nitrogen.
 */
final class SpokenUnitsTest extends TestCase
{
    private const OTHER = [
        'volume' => 'us_gal',
        'temperature' => 'f',
        'hardness' => 'mg_l_caco3',
        'nitrate' => 'mg_l_n',
        'mass' => 'oz',
    ];

    #[TestWith(['Change 1,200 L (28 %) today.', 'Change 317 US gal (28 %) today.'])]
    #[TestWith(['Give 1.8 kg in three steps, then 250 g.', 'Give 3.97 lb in three steps, then 8.82 oz.'])]
    #[TestWith(['Keep it at 18 to 20.5 °C.', 'Keep it at 64 to 68.9 °F.'])]
    #[TestWith(['Room for −3.27 g more', 'Room for -0.115 oz more'])]
    #[TestWith(['It reads 16.1 °C.', 'It reads 61 °F.'])]
    #[TestWith(['Warm it by 2 °C a day at most.', 'Warm it by 3.6 °F a day at most.'])]
    #[TestWith(['Match it within 2 °C.', 'Match it within 3.6 °F.'])]
    #[TestWith(['It is 8 °C warmer.', 'It is 14.4 °F warmer.'])]
    #[TestWith(['Nitrate 15 mg/L as NO₃, over 10. Test.', 'Nitrate 3.39 mg/L as N, over 2.26. Test.'])]
    #[TestWith(['Temperature 31 °C, may be over 30.', 'Temperature 88 °F, may be over 86.'])]
    #[TestWith(['KH 4.5 dKH, under 5', 'KH 80.3 mg/L as CaCO₃, under 89.2'])]
    #[TestWith(['It runs 6,594 L/h, 1.2 L/min each.', 'It runs 1,742 US gal/h, 0.317 US gal/min each.'])]
    #[TestWith(['The last 40 litres', 'The last 10.6 US gal'])]
    public function test_a_sentence_says_its_figures_in_the_units_chosen(string $ours, string $theirs): void
    {
        self::assertSame($theirs, (new SpokenUnits(UnitChoice::from(self::OTHER)))->of($ours));
    }

    #[TestWith(['Capacity 1.13 g N/day at 0.25 mg/L as N, over 0.1.'])]
    #[TestWith(['Ponds to 4 kg/m³; salt 3 g/L; 0.5 g of N.'])]
    #[TestWith(['20 L/min of air; it holds 1.5 mg N/g.'])]
    #[TestWith(['Change over 2 days, in 3 Lots.'])]
    #[TestWith(['No figure stands here.'])]
    public function test_nitrogen_concentrations_and_air_stay_as_they_are(string $sentence): void
    {
        self::assertSame($sentence, (new SpokenUnits(UnitChoice::from(self::OTHER)))->of($sentence));
    }

    public function test_nothing_changes_for_whoever_chose_nothing(): void
    {
        $usual = UnitChoice::from(['volume' => 'firkin']);
        self::assertTrue($usual->usual());
        self::assertSame('Change 1,200 L at 18 °C.', (new SpokenUnits($usual))->of('Change 1,200 L at 18 °C.'));
    }

    public function test_a_limit_with_a_unit_of_its_own_is_no_bound_of_the_reading_before_it(): void
    {
        $spoken = new SpokenUnits(UnitChoice::from(self::OTHER));
        self::assertSame('At 68 °F, over 30 days', $spoken->of('At 20 °C, over 30 days'));
        self::assertSame('At 68 °F, over 82 °F', $spoken->of('At 20 °C, over 28 °C'));
    }

    public function test_what_is_shown_in_a_unit_is_read_back_from_it(): void
    {
        foreach ([self::OTHER, ['volume' => 'imp_gal']] as $chosen) {
            $units = UnitChoice::from($chosen)->units();
            self::assertNotSame([], $units);
            foreach ($units as $unit => $shown) {
                $typed = round($shown->of(37.5), 6) . " {$shown->symbol}";
                self::assertEqualsWithDelta(37.5, TypedQuantity::read($typed, $unit), 1e-3, $unit);
            }
        }
    }

    public function test_a_bare_reading_is_in_the_unit_chosen(): void
    {
        $choice = UnitChoice::from(self::OTHER);
        self::assertSame(Unit::Fahrenheit, $choice->ofReading(Quantity::Temperature));
        self::assertSame(Unit::AsNitrogen, $choice->ofReading(Quantity::Nitrate));
        self::assertSame(Unit::AsCalciumCarbonate, $choice->ofReading(Quantity::Alkalinity));
        self::assertNull($choice->ofReading(Quantity::Ammonia));
        self::assertNull(UnitChoice::from([])->ofReading(Quantity::Temperature));
    }
}
