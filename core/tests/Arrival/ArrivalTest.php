<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Arrival;

use Ironwort\Core\Arrival\AcclimatiseCalculator;
use Ironwort\Core\Arrival\BagState;
use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Water\Carbonate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ArrivalTest extends TestCase
{
    use Calculations;

    /**
     * CO2, un-ionised ammonia closed and aired, and pH aired, reckoned outside from the constants of Plummer and
     * Busenberg 1982 and Emerson and others 1975.
     *
     * @return iterable<string, array{array<string, float>, array<string, float>}>
     */
    public static function bags(): iterable
    {
        yield 'warm, long on the way' => [
            ['bag_ph' => 6.4, 'bag_tan_mg_l' => 8.0, 'alkalinity_mg_l' => 80.0, 'temp_c' => 20.0],
            ['co2_mg_l' => 64.0, 'nh3_n_in_bag_mg_l' => 0.008, 'ph_aired' => 8.49, 'nh3_n_aired_mg_l' => 0.88],
        ];
        yield 'cooler, shorter' => [
            ['bag_ph' => 6.8, 'bag_tan_mg_l' => 4.0, 'alkalinity_mg_l' => 60.0, 'temp_c' => 16.0],
            ['co2_mg_l' => 20.6, 'nh3_n_in_bag_mg_l' => 0.0074, 'ph_aired' => 8.4, 'nh3_n_aired_mg_l' => 0.278],
        ];
    }

    /**
     * @param  array<string, float>  $bag
     * @param  array<string, float>  $expected
     */
    #[DataProvider('bags')]
    public function test_opening_a_bag_turns_its_ammonia(array $bag, array $expected): void
    {
        $found = $this->calculate('arrival.bag', $bag);
        foreach ($expected as $key => $value) {
            self::assertEqualsWithDelta($value, $found->number($key), 0.012 * $value, $key);
        }
        self::assertTrue($found->figures['turns']);
        self::assertSame('arrival.bag_turns', $found->cautions[0]->message->code ?? null);
    }

    public function test_a_bag_without_ammonia_or_without_co2_is_no_danger(): void
    {
        $clean = ['bag_ph' => 6.5, 'bag_tan_mg_l' => 0, 'alkalinity_mg_l' => 80, 'temp_c' => 20];
        self::assertFalse($this->calculate('arrival.bag', $clean)->figures['turns']);
        $aired = ['bag_ph' => 9.2, 'bag_tan_mg_l' => 1, 'alkalinity_mg_l' => 80, 'temp_c' => 20];
        self::assertSame(9.2, $this->figure('arrival.bag', $aired, 'ph_aired'), 'air puts no CO2 in');
    }

    /** The tub minute by minute: no difference falls faster than allowed, and at the end it may be netted across. */
    public function test_a_drip_is_as_fast_as_they_stand_and_no_faster(): void
    {
        $from = ['temp_c' => 14.0, 'ph' => 7.0, 'salinity_g_l' => 0.0];
        $to = ['temp_c' => 19.0, 'ph' => 7.9, 'salinity_g_l' => 2.0];
        $found = $this->calculate('arrival.acclimatise', ['from' => $from, 'to' => $to, 'tub_l' => 60]);
        self::assertSame('ph', $found->figures['limiting']);
        $water = 60.0;
        $drip = $found->number('fastest_l_min');
        $now = $from;
        for ($minute = 0; $minute < round($found->number('minutes')); $minute++) {
            foreach ($now as $key => $value) {
                $next = ($value * $water + $to[$key] * $drip) / ($water + $drip);
                self::assertLessThanOrEqual(
                    AcclimatiseCalculator::AN_HOUR[$key] / 60 + 1e-9,
                    abs($next - $value),
                    $key,
                );
                $now[$key] = $next;
            }
            $water += $drip;
        }
        foreach ($now as $key => $value) {
            self::assertLessThanOrEqual(AcclimatiseCalculator::AN_HOUR[$key] * 1.02, abs($to[$key] - $value), $key);
        }
        self::assertEqualsWithDelta($found->number('added_l'), $water - 60, 0.01 * $water);
    }

    public function test_a_drip_that_is_too_fast_is_told_and_held_to_what_they_stand(): void
    {
        $input = ['from' => ['temp_c' => 12], 'to' => ['temp_c' => 18], 'tub_l' => 60];
        $fast = $this->calculate('arrival.acclimatise', [...$input, 'drip_l_min' => 5]);
        self::assertEqualsWithDelta(60 / 60 / 3, $fast->number('fastest_l_min'), 1e-12);
        self::assertSame($fast->number('fastest_l_min'), $fast->number('drip_l_min'));
        self::assertSame('arrival.drip_too_fast', $fast->cautions[0]->message->code ?? null);
        $slow = $this->calculate('arrival.acclimatise', [...$input, 'drip_l_min' => 0.1]);
        self::assertEqualsWithDelta(1200.0, $slow->number('minutes'), 1e-9);
    }

    /** @return iterable<string, array{array<string, float>, array<string, float>, list<string>}> */
    public static function far(): iterable
    {
        yield 'a day of warmth' => [['temp_c' => 10.0], ['temp_c' => 18.0], []];
        yield 'and a little more' => [['temp_c' => 10.0], ['temp_c' => 18.1], ['temp_c']];
        yield 'into nitrate' => [['no3_n_mg_l' => 2.0], ['no3_n_mg_l' => 11.1], ['no3_n_mg_l']];
        yield 'out of it just as much' => [['no3_n_mg_l' => 11.1], ['no3_n_mg_l' => 2.0], ['no3_n_mg_l']];
        yield 'pH' => [['ph' => 6.4], ['ph' => 7.5], ['ph']];
    }

    /**
     * @param  array<string, float>  $from
     * @param  array<string, float>  $to
     * @param  list<string>  $match
     */
    #[DataProvider('far')]
    public function test_what_takes_days_is_matched_first(array $from, array $to, array $match): void
    {
        $found = $this->calculate('arrival.acclimatise', ['from' => $from, 'to' => $to, 'tub_l' => 50]);
        self::assertSame($match, $found->figures['match_first']);
        self::assertSame($match !== [], $found->figures['minutes'] === null);
    }

    public function test_alike_waters_want_no_drip(): void
    {
        $same = ['temp_c' => 18, 'ph' => 7.5];
        $found = $this->calculate('arrival.acclimatise', ['from' => $same, 'to' => $same, 'tub_l' => 50]);
        self::assertSame([0.0, null], [$found->figures['minutes'], $found->figures['limiting']]);
    }

    /** Iwama and Tautz 1981, the form; the figure worked by hand: (6.2996 + 1.12)³. */
    public function test_growth_is_the_published_form(): void
    {
        $input = ['weight_g' => 250, 'weeks' => 8, 'temp_c' => 20, 'tgc' => 1.0];
        self::assertEqualsWithDelta(408.4, $this->figure('fish.growth', $input, 'weight_after_g'), 0.1);
        self::assertEqualsWithDelta(
            250,
            $this->figure('fish.growth', [...$input, 'temp_c' => 7.9], 'weight_after_g'),
            1e-9,
        );
        self::assertSame(
            $this->figure('fish.growth', [...$input, 'temp_c' => 26], 'weight_after_g'),
            $this->figure('fish.growth', [...$input, 'temp_c' => 30], 'weight_after_g'),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, float, string}> */
    public static function lengths(): iterable
    {
        yield 'the protocol' => [
            ['temp_c' => 22, 'protocol_days' => 21, 'days_since_last_arrival' => 9],
            12.0,
            'protocol',
        ];
        yield 'over' => [['temp_c' => 22, 'protocol_days' => 21, 'days_since_last_arrival' => 40], 0.0, 'protocol'];
        yield 'lice take longer' => [
            ['temp_c' => 15, 'protocol_days' => 21, 'life_cycle' => 'fish_lice', 'days_since_last_arrival' => 10],
            50.0,
            'life_cycle',
        ];
        yield 'between two rows of the table' => [
            ['temp_c' => 17.5, 'protocol_days' => 0, 'life_cycle' => 'fish_lice'],
            49.0,
            'life_cycle',
        ];
        yield 'a short cycle does not shorten it' => [
            ['temp_c' => 25, 'protocol_days' => 21, 'life_cycle' => 'white_spot'],
            21.0,
            'protocol',
        ];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('lengths')]
    public function test_a_quarantine_lasts_the_longer_of_both(array $input, float $left, string $limiting): void
    {
        $found = $this->calculate('quarantine.length', $input);
        self::assertSame([$left, $limiting], [$found->figures['days_left'], $found->figures['limiting']]);
    }

    public function test_what_does_not_show_in_such_water_is_told(): void
    {
        $cold = ['temp_c' => 12, 'life_cycle' => 'koi_herpes'];
        self::assertSame(
            'arrival.does_not_show',
            $this->calculate('quarantine.length', $cold)->cautions[0]->message->code,
        );
        self::assertFalse($this->calculate('quarantine.length', $cold)->figures['shows']);
        self::assertTrue($this->calculate('quarantine.length', [...$cold, 'temp_c' => 20])->figures['shows']);
    }

    public function test_colder_never_shortens_a_cycle(): void
    {
        foreach (['white_spot', 'gill_flukes', 'skin_flukes', 'fish_lice', 'anchor_worm'] as $id) {
            $last = INF;
            foreach (range(4, 32) as $temp) {
                $days = $this->figure('quarantine.length', ['temp_c' => $temp, 'life_cycle' => $id], 'cycle_days');
                self::assertLessThanOrEqual($last + 1e-9, $days, "{$id} at {$temp}");
                $last = $days;
            }
        }
    }

    /** What nobody measured of a bag is what its fish excrete and breathe in those hours. */
    public function test_a_bag_nobody_measured_is_reckoned_from_its_fish(): void
    {
        $load = $this->calculate('fish.load', ['biomass_kg' => 3, 'feed_g_d' => 0, 'temp_c' => 18]);
        $bag = BagState::after(3.0, 20.0, 12.0, 18.0);
        self::assertEqualsWithDelta((1000 * $load->number('tan_g_d')) / 2 / 20, $bag->tanMgL, 1e-9);
        // No carbon is lost on the way: as much CO2 more as they breathed out, less what turned into bicarbonate.
        $water = new Carbonate(18.0, BagState::ALKALINITY);
        self::assertEqualsWithDelta(
            $water->totalCarbon(7.6) + (1000 * $load->number('co2_g_d')) / 2 / 20 / 1000 / 44.0095,
            $water->totalCarbon($bag->ph),
            1e-6,
        );
        $last = [0.0, 8.0];
        foreach ([1.0, 6.0, 24.0, 60.0] as $hours) {
            $then = BagState::after(3.0, 20.0, $hours, 18.0);
            self::assertGreaterThan($last[0], $then->tanMgL);
            self::assertLessThanOrEqual($last[1], $then->ph);
            $last = [$then->tanMgL, $then->ph];
        }
        self::assertSame(5.5, $last[1], 'no lower than a bag is ever read at');
    }
}
