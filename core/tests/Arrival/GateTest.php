<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Arrival;

use Ironwort\Core\Arrival\Gate;
use Ironwort\Core\Arrival\GateFacts;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class GateTest extends TestCase
{
    private const CLEAR = [
        'daysLeft' => 0.0,
        'fish' => 20,
        'lostThree' => 0,
        'lostWeek' => 0,
        'testedD' => 1.0,
        'bad' => false,
        'lookedD' => 2.0,
        'signs' => [],
        'residuals' => [],
    ];

    public function test_it_opens_when_nothing_is_missing(): void
    {
        $gate = Gate::of(new GateFacts(...self::CLEAR));
        self::assertTrue($gate->open());
        self::assertSame([], $gate->missing());
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function missing(): iterable
    {
        yield 'a day is left' => [['daysLeft' => 0.5], ['arrival.gate_days']];
        yield 'one died' => [['lostWeek' => 1], ['arrival.gate_losses']];
        yield 'never tested' => [['testedD' => null], ['arrival.gate_never_tested']];
        yield 'tested three days ago will do' => [['testedD' => 3.0], []];
        yield 'and a little longer will not' => [['testedD' => 3.01], ['arrival.gate_tests_old']];
        yield 'a bad reading' => [['bad' => true], ['arrival.gate_tests_bad']];
        yield 'an old one is old first' => [['bad' => true, 'testedD' => 9.0], ['arrival.gate_tests_old']];
        yield 'nobody looked' => [['lookedD' => null], ['arrival.gate_not_looked']];
        yield 'looked a week ago will do' => [['lookedD' => 7.0], []];
        yield 'longer ago' => [['lookedD' => 7.01], ['arrival.gate_not_looked']];
        yield 'something was seen' => [['signs' => ['flashing']], ['arrival.gate_signs']];
        yield 'something stands in the water' => [['residuals' => ['formalin']], ['arrival.gate_residual']];
        yield 'three in three days shut it' => [
            ['lostThree' => 3, 'lostWeek' => 3, 'fish' => 400],
            ['arrival.gate_shut', 'arrival.gate_losses'],
        ];
        yield 'two of many do not' => [['lostThree' => 2, 'lostWeek' => 2, 'fish' => 400], ['arrival.gate_losses']];
        yield 'a tenth of them does' => [['lostWeek' => 2, 'fish' => 18], ['arrival.gate_shut', 'arrival.gate_losses']];
        yield 'half of them ill' => [['ill' => 10], ['arrival.gate_spreads']];
        yield 'just under half' => [['ill' => 9], []];
        yield 'a quarter, and twice as many' => [['ill' => 6, 'illBefore' => 3], ['arrival.gate_spreads']];
        yield 'a quarter, hardly more' => [['ill' => 5, 'illBefore' => 3], []];
        yield 'a quarter from none' => [['ill' => 5, 'illBefore' => 0], ['arrival.gate_spreads']];
        yield 'under a quarter' => [['ill' => 4, 'illBefore' => 1], []];
        yield 'three of four are not' => [['ill' => 3, 'fish' => 4], ['arrival.gate_spreads']];
        yield 'two of two are too few to tell' => [['ill' => 2, 'fish' => 2], []];
        yield 'deaths are graver' => [
            ['ill' => 20, 'lostThree' => 3, 'lostWeek' => 3],
            ['arrival.gate_shut', 'arrival.gate_losses'],
        ];
        yield 'one of few does not' => [['lostWeek' => 1, 'fish' => 2], ['arrival.gate_losses']];
    }

    /**
     * @param  array<string, mixed>  $facts
     * @param  list<string>  $codes
     */
    #[DataProvider('missing')]
    public function test_it_says_what_is_missing(array $facts, array $codes): void
    {
        $gate = Gate::of(new GateFacts(...[...self::CLEAR, ...$facts]));
        self::assertSame($codes, array_column($gate->missing(), 'code'));
        self::assertSame($codes === [], $gate->open());
    }
}
