<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Arrival;

use Ironwort\Core\Arrival\TubMatch;
use Ironwort\Core\Arrival\VisitOrder;
use PHPUnit\Framework\TestCase;

final class TubMatchTest extends TestCase
{
    /**
     * @param  array<string, float>  $their
     * @param  array<string, float>  $ours
     * @param  list<string>  $far
     * @return array<string, array<string, string>> what is told, by code
     */
    private static function told(array $their, array $ours, array $far, float $litres): array
    {
        $told = [];
        foreach (TubMatch::says($their, $ours, $far, $litres) as $one) {
            $told[$one->code] = $one->text;
        }

        return $told;
    }

    public function test_amounts_by_hand(): void
    {
        // 1,000 L by 10 °C: 4.186 MJ × 10 / 3.6 = 11.6 kWh, in a day 480 W. 3 g/L in 1,000 L. 20 to 9 + 1 mg/L: half.
        $told = self::told(
            ['temp_c' => 25.0, 'salinity_g_l' => 3.0, 'no3_n_mg_l' => 1.0],
            ['temp_c' => 15.0, 'salinity_g_l' => 0.0, 'no3_n_mg_l' => 20.0],
            ['temp_c', 'no3_n_mg_l'],
            1000.0,
        );
        self::assertSame(['arrival.tub_nitrate', 'arrival.tub_heat', 'arrival.tub_salt'], array_keys($told));
        self::assertStringContainsString('500 L (50 %)', $told['arrival.tub_nitrate']);
        self::assertMatchesRegularExpression('/12 kWh.*480 W/', $told['arrival.tub_heat']);
        self::assertStringContainsString('3,000 g', $told['arrival.tub_salt']);
    }

    public function test_what_is_near_enough_or_not_known_asks_for_nothing(): void
    {
        self::assertSame([], self::told(['temp_c' => 18.0], ['temp_c' => 15.0], [], 1000.0));
        self::assertSame([], self::told(['salinity_g_l' => 1.0], ['salinity_g_l' => 0.0], [], 1000.0));
        self::assertSame([], self::told([], [], ['temp_c'], 1000.0));
        // Theirs is higher in nitrate: new water would only widen it.
        self::assertSame([], self::told(['no3_n_mg_l' => 40.0], ['no3_n_mg_l' => 2.0], ['no3_n_mg_l'], 1000.0));
        self::assertSame(
            ['arrival.tub_cool'],
            array_keys(self::told(['temp_c' => 5.0], ['temp_c' => 20.0], ['temp_c'], 1000.0)),
        );
    }

    public function test_clean_water_is_visited_before_quarantine_and_what_is_shut_last(): void
    {
        $one = static fn(string $name, string $kind, ?int $day = null, bool $shut = false): array => [
            'name' => $name,
            'kind' => $kind,
            'day' => $day,
            'shut' => $shut,
        ];
        self::assertSame(
            ['Pond', 'Holding', 'Old quarantine', 'New quarantine', 'Hospital', 'Dying'],
            VisitOrder::of([
                $one('Hospital', 'hospital'),
                $one('Dying', 'quarantine', 30, true),
                $one('New quarantine', 'quarantine', 2),
                $one('Pond', 'display'),
                $one('Old quarantine', 'quarantine', 19),
                $one('Holding', 'holding'),
            ]),
        );
    }
}
