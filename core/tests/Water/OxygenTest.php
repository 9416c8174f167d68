<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Water;

use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\TestCase;

final class OxygenTest extends TestCase
{
    use Calculations;

    /** Standard Methods 4500-O, table 4500-O:I, ±0.002 mg/L. */
    public function test_saturation_agrees_with_the_standard_table(): void
    {
        foreach (Reference::table('standard-methods-4500-o') as $row) {
            self::assertEqualsWithDelta(
                $row['do_mg_l'],
                $this->figure('oxygen.saturation', ['temp_c' => $row['temp_c']], 'do_sat_mg_l'),
                0.002,
            );
        }
    }

    /**
     * The Gibbs-SeaWater library (Debian python3-gsw), within 0.02 % up to 20 g/L; it uses another fit to the same
     * measurements.
     */
    public function test_saturation_agrees_with_the_seawater_library(): void
    {
        $waters = [];
        foreach ([0, 4, 11.5, 18, 23, 29, 35] as $temp) {
            foreach ([0, 1, 3, 8, 20] as $salinity) {
                $waters[] = [$temp, $salinity];
            }
        }
        $reference = Reference::python(
            'oxygen_gsw.py',
            array_map(static fn(array $w): string => "{$w[0]} {$w[1]}", $waters),
        );
        foreach ($waters as $i => [$temp, $salinity]) {
            $ours = $this->figure('oxygen.saturation', ['temp_c' => $temp, 'salinity_g_l' => $salinity], 'do_sat_mg_l');
            self::assertEqualsWithDelta(1.0, $ours / $reference[$i], 2e-4, "{$temp} °C, {$salinity} g/L");
        }
    }

    /** Standard atmosphere (ISO 2533): 1,000 m is 898.75 hPa, so both ways in must agree. */
    public function test_altitude_and_the_barometer_that_goes_with_it_agree(): void
    {
        $high = $this->figure('oxygen.saturation', ['temp_c' => 15, 'altitude_m' => 1000], 'do_sat_mg_l');
        $barometer = $this->figure('oxygen.saturation', ['temp_c' => 15, 'pressure_hpa' => 898.75], 'do_sat_mg_l');
        self::assertEqualsWithDelta($barometer, $high, 0.002);
        self::assertArrayHasKey(
            'pressure_hpa',
            $this->errors('oxygen.saturation', ['temp_c' => 15, 'altitude_m' => 1000, 'pressure_hpa' => 899]),
        );
    }

    public function test_a_reading_goes_to_percent_and_back(): void
    {
        $percent = $this->figure(
            'oxygen.percent',
            ['do_mg_l' => 7.2, 'temp_c' => 18.5, 'altitude_m' => 240],
            'sat_pct',
        );
        self::assertEqualsWithDelta(
            7.2,
            $this->figure('oxygen.percent', ['sat_pct' => $percent, 'temp_c' => 18.5, 'altitude_m' => 240], 'do_mg_l'),
            1e-12,
        );
        self::assertSame(['do_mg_l'], array_keys($this->errors('oxygen.percent', ['temp_c' => 20])));
        self::assertSame(
            ['sat_pct'],
            array_keys($this->errors('oxygen.percent', ['temp_c' => 20, 'do_mg_l' => 8, 'sat_pct' => 90])),
        );
    }
}
