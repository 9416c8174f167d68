<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Service;

use Ironwort\Core\Service\ClimateStandIn;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ClimateStandInTest extends TestCase
{
    private const JANUARY = 15;

    private const JULY = 196;

    /**
     * Means of January and July of places by the sea and inland, from memory, to the degree.
     *
     * @return iterable<string, array{float, float, float, float}>
     */
    public static function places(): iterable
    {
        yield 'lowland England' => [51.5, 20.0, 5.0, 19.0];
        yield 'northern Germany' => [52.5, 40.0, 0.0, 19.0];
        yield 'middle Italy' => [41.9, 20.0, 8.0, 25.0];
        yield 'southern Japan' => [33.6, 10.0, 7.0, 28.0];
        yield 'Gulf coast of America' => [29.8, 20.0, 12.0, 29.0];
        yield 'under the equator' => [1.3, 10.0, 26.5, 28.0];
        yield 'south-eastern Australia' => [-33.9, 10.0, 23.0, 12.5];
        yield 'tip of Africa' => [-33.9, 10.0, 21.0, 12.5];
        yield 'southern Sweden' => [57.0, 50.0, -1.5, 17.0];
    }

    #[DataProvider('places')]
    public function test_a_place_is_met_within_seven_degrees(
        float $latitude,
        float $m,
        float $january,
        float $july,
    ): void {
        $here = new ClimateStandIn($latitude, $m);
        self::assertEqualsWithDelta($january, $here->airC(self::JANUARY), 7.0);
        self::assertEqualsWithDelta($july, $here->airC(self::JULY), 7.0);
    }

    /** Heat through the surface, step by step over three years: the water ends where the closed form says. */
    public function test_water_follows_the_air_as_its_depth_lets_it(): void
    {
        $here = new ClimateStandIn(40.0);
        foreach ([0.5, 1.5, 4.0] as $depth) {
            $lagS = (4186000 * $depth) / 25;
            $water = 10.0;
            $hours = (int) (24 * (2 * 365.25 + 120));
            for ($hour = 0; $hour < $hours; $hour++) {
                $water += (3600 * ($here->airC(fmod($hour / 24, 365.25)) - $water)) / $lagS;
            }
            self::assertEqualsWithDelta($water, $here->waterC(120, $depth), 0.05, "{$depth} m");
        }
        self::assertSame(1.0, (new ClimateStandIn(65.0))->waterC(self::JANUARY, 1.0), 'under ice');
    }

    public function test_the_hemispheres_are_half_a_year_apart_and_height_cools(): void
    {
        self::assertGreaterThan((new ClimateStandIn(45.0))->airC(15), (new ClimateStandIn(-45.0))->airC(15));
        self::assertEqualsWithDelta(
            6.5,
            (new ClimateStandIn(45.0))->airC(100) - (new ClimateStandIn(45.0, 1000))->airC(100),
            1e-9,
        );
    }
}
