<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Fish;

use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Fish\DensityCalculator;
use Ironwort\Core\Judge\State;
use PHPUnit\Framework\TestCase;

final class DensityStateTest extends TestCase
{
    public function test_each_side_of_its_limits(): void
    {
        self::assertSame(State::Good, DensityCalculator::state(7.99, 10.0));
        self::assertSame(State::Watch, DensityCalculator::state(8.0, 10.0));
        self::assertSame(State::Watch, DensityCalculator::state(10.0, 10.0));
        self::assertSame(State::Act, DensityCalculator::state(10.01, 10.0));
    }

    /** A kg of fish on a hundredth of its weight a day, 2 mg/L across the bay: what the flow brings by itself. */
    public function test_what_the_flow_brings_follows_from_what_fish_breathe(): void
    {
        $grams = DailyLoad::of(1.0, 10.0, 0.38, 0.8, 0.0, 20.0)->oxygen() / 24;
        self::assertEqualsWithDelta(2.0 / $grams, DensityCalculator::FLOW_ALONE, 0.5);
    }
}
