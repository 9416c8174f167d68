<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Aeration;

use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\TestCase;

/** Oxygen that was measured while something ran that stands now, or the other way round. */
final class SwitchedSinceTest extends TestCase
{
    use Calculations;

    private const TUB = [
        'volume_l' => 5000,
        'temp_c' => 20,
        'biomass_kg' => 20,
        'feed_g_d' => 150,
        'surface_m2' => 5,
        'do_mg_l' => 7.0,
    ];

    private const STONE = ['kind' => 'stone', 'air_l_min' => 60, 'depth_m' => 0.8];

    /** @param  array<string, string>  $runs */
    private function dawn(array $runs, float $measured = 7.0): float
    {
        return $this->figure(
            'oxygen.budget',
            [...self::TUB, 'do_mg_l' => $measured, 'devices' => [[...self::STONE, ...$runs]]],
            'do_dawn_mg_l',
        );
    }

    public function test_what_was_measured_is_held_while_nothing_was_switched(): void
    {
        self::assertEqualsWithDelta(7.0, $this->dawn(['on' => 'yes']), 1e-6);
        self::assertEqualsWithDelta(7.0, $this->dawn(['on' => 'yes', 'ran' => 'yes']), 1e-6);
        self::assertEqualsWithDelta(7.0, $this->dawn(['on' => 'no']), 1e-6, 'it stood when it was measured');
    }

    public function test_a_stone_switched_off_since_takes_its_oxygen_with_it(): void
    {
        self::assertLessThan(4.0, $this->dawn(['on' => 'no', 'ran' => 'yes']));
        self::assertGreaterThan(7.2, $this->dawn(['on' => 'yes', 'ran' => 'no']), 'one switched on brings more');
    }

    public function test_low_oxygen_over_a_surface_alone_is_not_lifted_by_what_a_surface_usually_brings(): void
    {
        // Next to no fish: the usual surface would hold far more than was measured.
        $quiet = [...self::TUB, 'biomass_kg' => 1, 'feed_g_d' => 0, 'do_mg_l' => 5.5];
        $dawn = $this->figure(
            'oxygen.budget',
            [...$quiet, 'devices' => [[...self::STONE, 'on' => 'no']]],
            'do_dawn_mg_l',
        );
        self::assertEqualsWithDelta(5.5, $dawn, 1e-6);
    }
}
