<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Water;

use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\TestCase;

final class AmmoniaTest extends TestCase
{
    use Calculations;

    /** Emerson et al. 1975, table 3; within the rounding of its last digit. */
    public function test_the_share_agrees_with_the_table_of_1975(): void
    {
        foreach (Reference::table('emerson-1975') as $row) {
            $percent = $this->figure(
                'ammonia.unionised',
                ['tan_mg_l' => 1, 'ph' => $row['ph'], 'temp_c' => $row['temp_c']],
                'fraction_pct',
            );
            self::assertEqualsWithDelta(
                $row['percent'],
                $percent,
                0.003 * $row['percent'],
                "pH {$row['ph']}, {$row['temp_c']} °C",
            );
        }
    }

    public function test_the_two_species_make_up_the_total_and_salt_lowers_the_dangerous_one(): void
    {
        $fresh = $this->calculate('ammonia.unionised', ['tan_mg_l' => 2, 'ph' => 8.2, 'temp_c' => 24]);
        self::assertEqualsWithDelta(2.0, $fresh->number('nh3_n_mg_l') + $fresh->number('nh4_n_mg_l'), 1e-12);

        $salted = $this->calculate('ammonia.unionised', [
            'tan_mg_l' => 2,
            'ph' => 8.2,
            'temp_c' => 24,
            'salinity_g_l' => 5,
        ]);
        self::assertLessThan($fresh->number('nh3_n_mg_l'), $salted->number('nh3_n_mg_l'));
        // EPA 1989: I = 19.9273 · 5 / (1000 − 1.005109 · 5) = 0.10014, times 0.116.
        self::assertEqualsWithDelta(0.011617, $salted->number('pka') - $fresh->number('pka'), 1e-5);
    }

    public function test_it_refuses_what_is_no_water(): void
    {
        self::assertSame(
            ['ph', 'temp_c'],
            array_keys($this->errors('ammonia.unionised', ['tan_mg_l' => 1, 'ph' => 78, 'temp_c' => -1])),
        );
    }
}
