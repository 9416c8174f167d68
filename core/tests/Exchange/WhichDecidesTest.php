<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Exchange;

use Ironwort\Core\Exchange\WhichDecides;
use Ironwort\Core\Judge\State;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Which of ammonia and nitrate says how much is changed. Common practice, no source. */
final class WhichDecidesTest extends TestCase
{
    #[TestWith([State::Good, State::Good, false, null])]
    #[TestWith([State::Watch, State::Good, false, null])]
    #[TestWith([State::Good, State::Act, false, null])]
    #[TestWith([State::Watch, State::Watch, false, 'exchange.decides_nitrate_keeps'])]
    #[TestWith([State::Watch, State::Emergency, false, 'exchange.decides_nitrate_keeps'])]
    #[TestWith([State::Act, State::Good, true, 'exchange.decides_ammonia'])]
    #[TestWith([State::Act, State::Watch, true, 'exchange.decides_ammonia_over_nitrate'])]
    #[TestWith([State::Emergency, State::Emergency, true, 'exchange.decides_ammonia_over_nitrate'])]
    public function test_ammonia_that_has_to_be_acted_on_goes_over_nitrate(
        State $ammonia,
        State $nitrate,
        bool $nitrateGivesWay,
        ?string $code,
    ): void {
        $decides = WhichDecides::of($ammonia, $nitrate);
        self::assertSame([$nitrateGivesWay, $code], [$decides->nitrateGivesWay, $decides->says?->code]);
    }
}
