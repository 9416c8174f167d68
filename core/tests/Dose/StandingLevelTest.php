<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Dose;

use Ironwort\Core\Dose\StandingLevel;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\TestCase;

/** A top-up brings to the level, and never counts on what carbon or zeolite may have taken. */
final class StandingLevelTest extends TestCase
{
    use Calculations;

    public function testATopUpIsWhatTheLevelIsShortOf(): void
    {
        self::assertEqualsWithDelta(0.8, StandingLevel::topUp(2.0, 1.2, 1.2, 2.5), 1e-12);
    }

    public function testATopUpStopsAtTheCeilingAsIfNothingHadBeenTaken(): void
    {
        self::assertEqualsWithDelta(0.1, StandingLevel::topUp(2.0, 0.4, 1.9, 2.0), 1e-12);
        self::assertSame(0.0, StandingLevel::topUp(2.0, 0.4, 2.2, 2.0));
    }

    public function testADoseFitsUpToTheCeilingAndNotPastIt(): void
    {
        self::assertTrue(StandingLevel::fits(1.5, 0.5, 2.0));
        self::assertFalse(StandingLevel::fits(1.5, 0.52, 2.0));
    }

    public function testAmmoniaThatNoKitTellsFromTheGoalAsksForNoZeolite(): void
    {
        $asked = fn(float $tan): float => $this->figure(
            'dose.zeolite',
            ['volume_l' => 1000, 'tan_mg_l' => $tan, 'target_mg_l' => 0.3],
            'mass_g',
        );

        self::assertSame(0.0, $asked(0.1 + 0.2));
        self::assertSame(0.0, $asked(0.3005));
        self::assertGreaterThan(1.0, $asked(0.31));
    }
}
