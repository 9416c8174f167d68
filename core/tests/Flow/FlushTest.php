<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Flow;

use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What a waste takes, against the fluids library (Debian python3-fluids) and orifice flow; water over a suction. */
final class FlushTest extends TestCase
{
    use Calculations;

    /** Solved with the friction of the fluids library: at the flow found, pipe and fittings lose the whole fall. */
    #[TestWith([103.6, 0.9, 3, 2.5, 5, 20.7, 103])]
    #[TestWith([51.4, 0.6, 4, 3, 10, 3.37, 33.7])]
    public function test_a_flush_runs_as_fast_as_its_fall_drives_it(
        float $bore,
        float $head,
        float $length,
        float $k,
        float $seconds,
        float $flow,
        float $litres,
    ): void {
        $flush = $this->calculate('service.flush', [
            'bore_mm' => $bore,
            'head_m' => $head,
            'length_m' => $length,
            'fittings_k' => $k,
            'seconds' => $seconds,
            'for_l' => 100,
        ]);
        self::assertEqualsWithDelta($flow, $flush->number('flow_l_s'), 0.005 * $flow);
        self::assertEqualsWithDelta($litres, $flush->number('litres'), 0.005 * $litres);
        self::assertEqualsWithDelta(100 / $flush->number('flow_l_s'), $flush->number('seconds_needed'), 1e-9);
        $velocity = $flush->number('velocity_m_s');
        $reynolds = ($velocity * $bore) / 1000 / 1.004e-6;
        [$friction] = Reference::python('flow_fluids.py', ["f {$reynolds} " . 0.0015 / $bore]);
        self::assertEqualsWithDelta(
            $head,
            ((($friction * $length * 1000) / $bore + $k) * $velocity ** 2) / (2 * 9.80665),
            0.005 * $head,
        );
    }

    /** A hole with no pipe behind it: v = Cd √(2 g h), with K = 1/Cd² of a sharp edge, Cd 0.62. */
    public function test_a_short_hole_runs_as_an_orifice_does(): void
    {
        $velocity = $this->figure(
            'service.flush',
            ['bore_mm' => 50, 'head_m' => 1.2, 'length_m' => 0, 'fittings_k' => 1 / 0.62 ** 2],
            'velocity_m_s',
        );
        self::assertEqualsWithDelta(0.62 * sqrt(2 * 9.80665 * 1.2), $velocity, 1e-4);
    }

    public function test_nothing_that_holds_the_water_back_is_refused(): void
    {
        self::assertArrayHasKey(
            'fittings_k',
            $this->errors('service.flush', ['bore_mm' => 50, 'head_m' => 1, 'length_m' => 0, 'fittings_k' => 0]),
        );
    }

    /** S = D (1 + 2.3 v/√(g D)), worked by hand: v 1.3387 m/s, Fr 1.8855, S 51.4 mm × 5.337. */
    public function test_a_suction_wants_water_above_it(): void
    {
        self::assertEqualsWithDelta(
            0.2743,
            $this->figure('flow.submergence', ['flow_l_h' => 10000, 'bore_mm' => 51.4], 'submergence_m'),
            1e-4,
        );
        self::assertGreaterThan(
            $this->figure('flow.submergence', ['flow_l_h' => 10000, 'bore_mm' => 75], 'submergence_m'),
            $this->figure('flow.submergence', ['flow_l_h' => 10000, 'bore_mm' => 50], 'submergence_m'),
        );
    }
}
