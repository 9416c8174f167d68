<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Exchange;

use Ironwort\Core\Exchange\Metered;
use PHPUnit\Framework\TestCase;

final class MeteredTest extends TestCase
{
    public function test_what_is_not_booked_ran_in_by_the_trickle(): void
    {
        // 4,210 L in a week, 850 of them changed: 3,360/168 = 20 L/h.
        $week = new Metered(4210, 850, 168, 20);
        self::assertEqualsWithDelta(20.0, $week->trickleLH(), 1e-9);
        self::assertTrue($week->agrees());
        self::assertFalse((new Metered(4210, 850, 168, 40))->agrees(), 'half of what was said');
    }

    public function test_without_a_trickle_the_rest_was_never_booked(): void
    {
        $unbooked = new Metered(1000, 700, 48, null);
        self::assertNull($unbooked->trickleLH());
        self::assertEqualsWithDelta(300.0, $unbooked->restL(), 1e-9);
        self::assertFalse($unbooked->agrees());
        self::assertSame(0.0, (new Metered(500, 700, 48, null))->restL(), 'more was booked than came by this meter');
    }
}
