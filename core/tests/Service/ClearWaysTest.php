<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Service;

use Ironwort\Core\Service\ClearWay;
use Ironwort\Core\Service\ClearWays;
use Ironwort\Core\Service\LampWeek;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Ways to clear green water: signs and sizes of what each does, against the calculators they rest on. */
final class ClearWaysTest extends TestCase
{
    use Calculations;

    /** @return array<string, ClearWay> */
    private static function ways(float $feedGD = 300.0, float $lampW = 0.0): array
    {
        $ways = new ClearWays(20.0, 15000.0, 20.0, 8.0, 'summer', 40.0, $feedGD, 0.38, $lampW);

        return array_column(
            array_map(static fn(ClearWay $way): array => ['id' => $way->id, 'way' => $way], $ways->all()),
            'way',
            'id',
        );
    }

    public function test_plants_take_as_the_calculator_of_nitrate_says(): void
    {
        $input = ['no3_n_mg_l' => 8, 'production_g_d' => 0, 'temp_c' => 20, 'plants_m2' => 2, 'season' => 'summer'];
        self::assertEqualsWithDelta(
            -$this->figure('nitrate.sinks', $input, 'plants_g_d'),
            self::ways()['plants']->nitrateGD['usual'],
            1e-12,
        );
        $air = ['volume_l' => 15000, 'temp_c' => 20, 'biomass_kg' => 0, 'surface_m2' => 20, 'no_devices' => true];
        $night = $this->figure('oxygen.budget', [...$air, 'plants_m2' => 2, 'season' => 'summer'], 'plants_night_g_h');
        self::assertEqualsWithDelta($night, self::ways()['plants']->nightGH, 1e-12);
        self::assertEqualsWithDelta(10 * $night, -self::ways()['shade']->nightGH, 1e-12);
    }

    public function test_less_feed_leaves_a_third_less_of_what_it_makes(): void
    {
        $made = fn(float $feed): float => $this->figure(
            'fish.load',
            ['biomass_kg' => 40, 'feed_g_d' => $feed, 'protein_pct' => 38, 'temp_c' => 20],
            'tan_g_d',
        );
        self::assertEqualsWithDelta($made(200) - $made(300), self::ways()['feed']->nitrateGD['usual'], 1e-9);
        self::assertLessThan(0, self::ways()['feed']->nightGH);
        // Fish that are not fed make what they make.
        self::assertSame('service.clear_feed_none', self::ways(0.0)['feed']->says[0]->code);
    }

    public function test_whatever_ends_the_bloom_leaves_its_nitrate(): void
    {
        foreach (['shade', 'lamp'] as $id) {
            $way = self::ways()[$id];
            self::assertGreaterThan(0, $way->nitrateGD['low'], $id);
            self::assertGreaterThan($way->nitrateGD['low'], $way->nitrateGD['high'], $id);
            self::assertLessThan(0, $way->nightGH, $id);
        }
    }

    public function test_the_lamp_is_what_the_calculator_of_lamps_calls_enough(): void
    {
        self::assertSame(30.0, self::ways()['lamp']->watts);
        self::assertSame(0.0, self::ways(lampW: 30.0)['lamp']->watts);
        $clears = fn(float $watts): mixed => $this->calculate('flow.uv', [
            'lamp_w' => $watts,
            'lamp_hours' => 0,
            'days_since_wiped' => 0,
            'flow_l_h' => 5000,
            'volume_l' => 15000,
        ])->figures['clears_algae'];
        self::assertTrue($clears(30.0));
        self::assertFalse($clears(29.0));
    }

    /** @return iterable<string, array{?float, ?float, float, string}> */
    public static function weeks(): iterable
    {
        yield 'nothing before' => [null, 60.0, 8.0, 'service.lamp_no_before'];
        yield 'too early' => [40.0, null, 2.0, 'service.lamp_wait'];
        yield 'time to look' => [40.0, null, 7.0, 'service.lamp_measure_now'];
        yield 'too late' => [40.0, null, 15.0, 'service.lamp_no_after'];
        yield 'just a hand more' => [40.0, 45.0, 7.0, 'service.lamp_the_same'];
        yield 'more than a hand' => [40.0, 45.1, 7.0, 'service.lamp_clearer'];
        yield 'a tenth, where one sees far' => [100.0, 109.0, 7.0, 'service.lamp_the_same'];
        yield 'less' => [40.0, 34.0, 7.0, 'service.lamp_murkier'];
    }

    #[DataProvider('weeks')]
    public function test_a_week_is_judged_by_what_can_be_told_apart(
        ?float $before,
        ?float $after,
        float $lit,
        string $code,
    ): void {
        self::assertSame($code, LampWeek::says($before, $after, $lit)->code);
    }
}
