<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Water;

use Ironwort\Core\Water\AssumedWater;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What water nobody tested is taken to be: common practice, no source; oxygen from Benson and Krause 1984. */
final class AssumedTest extends TestCase
{
    /** @return iterable<string, array{string, float, ?float}> key, at °C, what is assumed */
    public static function waters(): iterable
    {
        yield 'a mild day' => ['temp_c', 12, 20.0];
        yield 'ordinary pH' => ['ph', 20, 7.5];
        yield 'ordinary KH, 5.6 dKH' => ['alkalinity_mg_l', 20, 100.0];
        yield 'fresh water' => ['salinity_g_l', 20, 0.0];
        yield '90 % of 9.09 mg/L at 20 °C' => ['do_mg_l', 20, 8.18];
        yield '90 % of 7.56 mg/L at 30 °C' => ['do_mg_l', 30, 6.8];
        yield 'ammonia is tested or unknown' => ['tan_mg_l', 20, null];
        yield 'nitrite too' => ['no2_n_mg_l', 20, null];
        yield 'and salt against nitrite' => ['chloride_mg_l', 20, null];
    }

    #[DataProvider('waters')]
    public function test_what_is_assumed(string $key, float $tempC, ?float $is): void
    {
        $assumed = AssumedWater::of($key, $tempC)?->value;
        if ($is === null) {
            self::assertNull($assumed);
        } else {
            self::assertEqualsWithDelta($is, $assumed, 0.005);
        }
    }
}
