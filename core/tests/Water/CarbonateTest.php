<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Water;

use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use Ironwort\Core\Water\Carbonate;
use PHPUnit\Framework\TestCase;

/** The carbonate system against tables and a solution by another road. */
final class CarbonateTest extends TestCase
{
    use Calculations;

    /**
     * Independent script, core/tests/reference/carbonate_scipy.py: Harned's constants, all species at once by scipy.
     */
    public function test_co2_agrees_with_a_solution_by_charge_balance(): void
    {
        $waters = [];
        foreach ([6.5, 7.0, 7.5, 8.0, 8.5] as $ph) {
            foreach ([20, 70, 196, 400] as $alkalinity) {
                foreach ([5, 12, 20, 27] as $temp) {
                    $waters[] = [$ph, $alkalinity, $temp];
                }
            }
        }
        $expected = Reference::python(
            'carbonate_scipy.py',
            array_map(static fn(array $water): string => implode(' ', $water), $waters),
        );
        foreach ($waters as $i => [$ph, $alkalinity, $temp]) {
            $co2 = $this->figure(
                'carbonate.co2',
                ['ph' => $ph, 'alkalinity_mg_l' => $alkalinity, 'temp_c' => $temp],
                'co2_mg_l',
            );
            self::assertEqualsWithDelta(1.0, $co2 / $expected[$i], 0.015, "pH {$ph}, {$alkalinity} mg/L, {$temp} °C");
        }
    }

    /** The keepers' rule reads low, as it is said beside it: about 40 % at 5 °C, 15 % at 20 °C, 5 % at 30 °C. */
    public function test_the_rule_of_thumb_reads_low_and_most_so_in_the_cold(): void
    {
        foreach ([5 => 0.4, 20 => 0.15, 30 => 0.05] as $temp => $low) {
            $result = $this->calculate('carbonate.co2', ['ph' => 7.2, 'alkalinity_mg_l' => 100, 'temp_c' => $temp]);
            self::assertEqualsWithDelta($low, 1 - $result->number('co2_rule_mg_l') / $result->number('co2_mg_l'), 0.03);
        }
    }

    public function test_ph_and_co2_and_total_carbon_lead_back_to_one_another(): void
    {
        foreach ([[6.6, 50.0, 8.0], [7.5, 120.0, 20.0], [8.6, 200.0, 28.0]] as [$ph, $alkalinity, $temp]) {
            $water = new Carbonate($temp, $alkalinity);
            self::assertEqualsWithDelta($ph, $water->phWithCo2($water->co2($ph)), 1e-6);
            self::assertEqualsWithDelta($ph, $water->phWithTotalCarbon($water->totalCarbon($ph)), 1e-6);
        }
        // Aired to 0.5 mg/L of CO2, 100 mg/L of alkalinity stands near pH 8.6 at 20 °C.
        self::assertEqualsWithDelta(8.6, (new Carbonate(20, 100))->phWithCo2(0.5), 0.06);
        self::assertSame(0.0, (new Carbonate(20, 5))->co2(10.9), 'no such water');
    }

    public function test_more_air_drives_out_more_co2_and_bubbles_do_no_more_than_fill(): void
    {
        $water = ['co2_g_d' => 150, 'alkalinity_mg_l' => 80, 'temp_c' => 20];
        $fall = static fn(float $flow): array => [
            'devices' => [['kind' => 'waterfall', 'flow_l_h' => $flow, 'fall_m' => 0.5]],
        ];
        self::assertLessThan(
            $this->figure('carbonate.degas', [...$water, ...$fall(4000)], 'co2_mg_l'),
            $this->figure('carbonate.degas', [...$water, ...$fall(9000)], 'co2_mg_l'),
        );
        self::assertGreaterThan(
            $this->figure('carbonate.degas', [...$water, ...$fall(4000)], 'ph'),
            $this->figure('carbonate.degas', [...$water, ...$fall(9000)], 'ph'),
        );
        // A little air, deep: oxygen would go in ten times faster than so little air can carry CO2 off.
        $deep = $this->figure(
            'carbonate.degas',
            [...$water, 'devices' => [['kind' => 'fine', 'air_l_min' => 1, 'depth_m' => 8]]],
            'clears_l_h',
        );
        self::assertEqualsWithDelta(0.9 * 60 * 0.83, $deep, 1e-6);
        self::assertNull($this->calculate('carbonate.degas', $water)->figures['co2_mg_l'], 'nothing drives it out');
    }
}
