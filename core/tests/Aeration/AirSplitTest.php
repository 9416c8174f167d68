<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Aeration;

use Ironwort\Core\Aeration\AirSplit;
use PHPUnit\Framework\TestCase;

/** One air pump on several outlets. */
final class AirSplitTest extends TestCase
{
    private const OUTLETS = [
        'east' => ['share' => 1.0, 'open' => true, 'fish' => true],
        'west' => ['share' => 2.0, 'open' => true, 'fish' => true],
        'bed' => ['share' => 1.0, 'open' => false, 'fish' => false],
    ];

    public function test_what_is_shut_gets_nothing_and_none_of_the_air_is_lost(): void
    {
        $split = new AirSplit(60, self::OUTLETS);

        self::assertSame(['east' => 20.0, 'west' => 40.0, 'bed' => 0.0], $split->each());
        self::assertSame(60.0, $split->toFish());
        self::assertSame(['east' => 0.0, 'west' => 0.0, 'bed' => 60.0], $split->divertedTo('bed')->each());
        self::assertSame(0.0, $split->divertedTo('bed')->toFish());
        $open = new AirSplit(60, ['bed' => [...self::OUTLETS['bed'], 'open' => true]] + self::OUTLETS);
        self::assertSame(60.0, array_sum($open->each()));
        self::assertSame(45.0, $open->toFish());
        $shut = array_map(static fn(array $one): array => [...$one, 'open' => false], self::OUTLETS);
        self::assertSame(0.0, (new AirSplit(60, $shut))->toFish());
    }

    /** Worked by hand: 1,000 L/h on 2,000 L halve what is missing in ln 2 × 2 h. */
    public function test_oxygen_runs_down_to_where_it_settles(): void
    {
        $after = static fn(float $hours): float => AirSplit::oxygenAfter(8.0, 4.0, 1000.0, 2000.0, $hours);

        self::assertSame(8.0, $after(0.0));
        self::assertEqualsWithDelta(6.0, $after(2 * log(2)), 1e-9);
        self::assertEqualsWithDelta(4.0, $after(100.0), 1e-6);
    }
}
