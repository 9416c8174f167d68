<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Exchange;

use Ironwort\Core\Exchange\LeastExchange;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Common practice, no source: what a school asks for in a week, less what was changed in it. */
final class LeastExchangeTest extends TestCase
{
    #[TestWith([0.0, 500.0, 0.0, 'exchange.least_none'])]
    #[TestWith([0.2, 2000.0, 0.0, 'exchange.least_done'])]
    #[TestWith([0.2, 1999.0, 1.0, 'exchange.least_due'])]
    #[TestWith([0.2, 0.0, 2000.0, 'exchange.least_due'])]
    public function test_what_is_left_of_the_week_is_due(float $share, float $done, float $due, string $code): void
    {
        $least = new LeastExchange('Weekly', $share, 10000.0, $done);
        self::assertEqualsWithDelta($due, $least->dueL(), 1e-9);
        self::assertSame($code, $least->says()->code);
        // A fifth of 10,000 L in the 168 hours of a week; nothing is proposed where nothing is asked for.
        self::assertSame(
            $share > 0 ? 11.905 : null,
            $share > 0 ? round((float) $least->trickleLH(), 3) : $least->trickleLH(),
        );
    }

    public function test_it_says_litres_and_share(): void
    {
        $says = (new LeastExchange('Weekly', 0.2, 10000.0, 500.0))->says()->text;
        foreach (['1,500 L', '15 %', '2,000 L', '500 L'] as $figure) {
            self::assertStringContainsString($figure, $says);
        }
    }
}
