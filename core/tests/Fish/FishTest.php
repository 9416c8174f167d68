<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Fish;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\TestCase;

final class FishTest extends TestCase
{
    use Calculations;

    /** Timmons & Ebeling: 1 kg of 35 % feed gives 32.2 g of total ammonia a day. */
    public function test_ammonia_from_feed_is_the_book_value(): void
    {
        $load = $this->calculate('fish.load', [
            'biomass_kg' => 40,
            'feed_g_d' => 1000,
            'protein_pct' => 35,
            'temp_c' => 20,
        ]);
        self::assertEqualsWithDelta(32.2, $load->number('tan_g_d'), 1e-9);
        self::assertEqualsWithDelta(400, $load->number('o2_g_d'), 1e-9);
        self::assertEqualsWithDelta(550, $load->number('co2_g_d'), 1e-9);
        self::assertGreaterThanOrEqual(250, $load->number('solids_g_d'));
        self::assertLessThanOrEqual(300, $load->number('solids_g_d'));
    }

    /** Stoichiometry of the molar masses; the literature rounds it to 4.57 and 7.14. */
    public function test_oxygen_and_alkalinity_taken_follow_the_stoichiometry(): void
    {
        self::assertEqualsWithDelta((2 * MolarMass::O2) / MolarMass::N, DailyLoad::O2_PER_N, 2e-3);
        self::assertEqualsWithDelta(MolarMass::CACO3 / MolarMass::N, DailyLoad::ALKALINITY_PER_N, 6e-3);
        self::assertEqualsWithDelta(DailyLoad::ALKALINITY_PER_N / 2, DailyLoad::NET_ALKALINITY_PER_N, 1e-9);
        // Common practice, no source: 1 kg of 38 % feed costs 150 to 250 g of bicarbonate.
        $bicarbonate =
            1.6787 *
            $this->figure('fish.load', ['biomass_kg' => 40, 'feed_g_d' => 1000, 'temp_c' => 20], 'net_alkalinity_g_d');
        self::assertEqualsWithDelta(210, $bicarbonate, 1);
    }

    public function test_unfed_fish_still_load_the_filter_and_twice_as_much_ten_degrees_warmer(): void
    {
        $at = fn(float $temp, float $feed): float => $this->figure(
            'fish.load',
            ['biomass_kg' => 50, 'feed_g_d' => $feed, 'temp_c' => $temp],
            'tan_g_d',
        );
        self::assertEqualsWithDelta(4.0, $at(20, 0), 1e-9);
        self::assertEqualsWithDelta(8.0, $at(30, 0), 1e-9);
        self::assertEqualsWithDelta(4.0, $at(20, 50), 1e-9, 'the larger of floor and feed, not the sum');
        self::assertEqualsWithDelta($at(12, 500), $at(26, 500), 1e-9, 'temperature acts on the floor only');
    }

    public function test_feed_left_uneaten_fouls_more_than_feed_eaten(): void
    {
        $eaten = $this->figure('fish.load', ['biomass_kg' => 50, 'feed_g_d' => 500, 'temp_c' => 20], 'tan_g_d');
        $left = $this->figure(
            'fish.load',
            ['biomass_kg' => 50, 'feed_g_d' => 500, 'uneaten_pct' => 20, 'temp_c' => 20],
            'tan_g_d',
        );
        self::assertEqualsWithDelta($eaten * 0.8 + 500 * 0.2 * 0.38 * 0.16, $left, 1e-9);
        self::assertGreaterThan($eaten, $left);
    }

    public function test_nonsense_is_refused_at_its_field(): void
    {
        self::assertSame(
            ['biomass_kg', 'protein_pct', 'temp_c'],
            array_keys(
                $this->errors('fish.load', [
                    'biomass_kg' => -1,
                    'feed_g_d' => 10,
                    'protein_pct' => 380,
                    'temp_c' => 60,
                ]),
            ),
        );
    }

    public function test_weight_follows_length(): void
    {
        self::assertEqualsWithDelta(1875, $this->figure('fish.weight', ['length_cm' => 50], 'weight_g'), 1e-9);
        self::assertEqualsWithDelta(
            2250,
            $this->figure('fish.weight', ['length_cm' => 50, 'condition' => 1.8], 'weight_g'),
            1e-9,
        );
    }

    /** Common practice, no source: nothing below 8 °C; small fish eat more for their weight. */
    public function test_the_ration_follows_warmth_and_size(): void
    {
        $at = fn(float $temp, float $weight): float => $this->figure(
            'fish.ration',
            ['weight_g' => $weight, 'temp_c' => $temp, 'purpose' => 'maintenance'],
            'ration_pct_bw_d',
        );
        self::assertEqualsWithDelta(0, $at(7.9, 1500), 1e-12);
        self::assertEqualsWithDelta(0, $at(33.1, 1500), 1e-12);
        self::assertGreaterThan(0, $at(32.9, 1500));
        self::assertEqualsWithDelta(0.65, $at(20, 500), 1e-9);
        self::assertEqualsWithDelta((0.65 + 0.8) / 2, $at(22, 500), 1e-9);
        // Huisman 1976, from memory: carp hold their weight on about 0.35 % a day at 20 °C.
        self::assertEqualsWithDelta(0.4, $at(20, 3000), 1e-9);
        foreach (Library::shipped()->rations()->weightsG as $weight) {
            self::assertGreaterThan($at(14, $weight), $at(22, $weight));
        }
    }

    public function test_fish_cut_off_run_out_of_oxygen_long_before_ammonia_matters_and_air_changes_that(): void
    {
        // By hand: 30 kg × 2.4 g = 72 g a day = 3 g an hour; 5 mg/L × 3,000 L = 15 g are there.
        $shut = [
            'volume_l' => 3000,
            'biomass_kg' => 30,
            'temp_c' => 20,
            'do_mg_l' => 8,
            'aired' => 'no',
            'tan_mg_l' => 0.1,
            'ph' => 8,
        ];
        $result = $this->calculate('fish.shut_off', $shut);
        self::assertEqualsWithDelta(300.0, $result->number('minutes'), 1e-6);
        self::assertSame('oxygen', $result->figures['decides']);
        // 2.4 g N a day in 3,000 L is 0.0333 mg/L an hour; 0.02 mg/L un-ionised at pH 8, 20 °C (3.82 %) is 0.524 mg/L
        // in all.
        $aired = $this->calculate('fish.shut_off', ['aired' => 'yes'] + $shut);
        self::assertSame('ammonia', $aired->figures['decides']);
        self::assertEqualsWithDelta((0.02 / 0.0382 - 0.1) / (2.4 / 24 / 3), $aired->number('hours_to_ammonia'), 0.05);
        self::assertNull($this->calculate('fish.shut_off', ['biomass_kg' => 0] + $shut)->figures['minutes']);
    }
}
