<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Filter;

use Ironwort\Core\Filter\ArealRate;
use Ironwort\Core\Filter\Colony;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What warmth and pH do to a filter, and what is left of one that got nothing. */
final class WarmthTest extends TestCase
{
    use Calculations;

    /** Rusten et al. 2006: 1.09 a degree up to 20 °C; Zhu & Chen 2002, from memory: 1.04 above, nothing past 32. */
    #[TestWith([10.0, 0.42241])]
    #[TestWith([20.0, 1.0])]
    #[TestWith([25.0, 1.21665])]
    #[TestWith([32.0, 1.60103])]
    #[TestWith([38.0, 1.60103])]
    public function test_warmth_counts_for_less_above_twenty_degrees(float $tempC, float $factor): void
    {
        self::assertEqualsWithDelta($factor, ArealRate::warmth($tempC), 1e-5);
    }

    /** Growth and death: 1.09 a degree from 25 °C, held above 32. */
    public function test_growth_is_held_above_thirty_two_degrees(): void
    {
        self::assertEqualsWithDelta(1.0, Colony::warmth(25.0), 1e-12);
        self::assertEqualsWithDelta(1.09 ** 7, Colony::warmth(32.0), 1e-12);
        self::assertEqualsWithDelta(1.09 ** 7, Colony::warmth(39.0), 1e-12);
    }

    /** Downing 1964, from memory, below 7.2; the fall above 8.5 is common practice, to a half at 9.5. */
    #[TestWith([6.0, 0.05])]
    #[TestWith([6.7, 0.5835])]
    #[TestWith([7.2, 1.0])]
    #[TestWith([8.5, 1.0])]
    #[TestWith([9.0, 0.75])]
    #[TestWith([9.5, 0.5])]
    public function test_ph_slows_a_filter_on_both_sides(float $ph, float $factor): void
    {
        self::assertEqualsWithDelta($factor, ArealRate::phFactor($ph), 1e-9);
    }

    /**
     * Malone & Beecher 2000, ranges of floating beads at 25 °C: 35–105, 70–180, 140–350 g/m³/d at a surface TAN of 0.3,
     * 0.5 and 1.0 mg/L; this model gives 75, 104 and 147.
     */
    #[TestWith([0.3, 75.0])]
    #[TestWith([0.5, 104.0])]
    #[TestWith([1.0, 147.0])]
    public function test_floating_beads_lie_inside_the_published_ranges(float $tan, float $perM3): void
    {
        $beads = [
            'temp_c' => 25,
            'ph' => 7.5,
            'do_in_mg_l' => 7,
            'alkalinity_mg_l' => 120,
            'tan_mg_l' => $tan,
            // So much flow that the outlet stands where the inlet does.
            'stages' => [
                [
                    'kind' => 'bead_vessel',
                    'area_m2_m3' => 1150,
                    'media_l' => 10,
                    'flow_l_h' => 1e6,
                    'maturity_pct' => 100,
                ],
            ],
        ];
        self::assertEqualsWithDelta($perM3, $this->figure('filter.capacity', $beads, 'total_g_d') * 100, 1.0);
    }

    /** e^(−0.05 · 28) at 20 °C and with 0.15 and 0.015; 56 days at 10 °C. */
    public function test_a_filter_that_gets_nothing_dies_by_a_share_each_day(): void
    {
        $left = $this->calculate('filter.idle', ['days' => 28, 'temp_c' => 20]);
        self::assertEqualsWithDelta(24.7, $left->number('left_pct'), 0.05);
        self::assertEqualsWithDelta(1.5, $left->number('left_low_pct'), 0.05);
        self::assertEqualsWithDelta(65.7, $left->number('left_high_pct'), 0.05);
        self::assertEqualsWithDelta(
            30.6,
            $this->figure('filter.idle', ['days' => 56, 'temp_c' => 10], 'left_pct'),
            0.1,
        );
        self::assertEqualsWithDelta(
            $this->figure('filter.idle', ['days' => 10, 'temp_c' => 32], 'left_pct'),
            $this->figure('filter.idle', ['days' => 10, 'temp_c' => 38], 'left_pct'),
            1e-9,
        );
    }
}
