<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Incident;

use Ironwort\Core\Incident\Worse;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WorseTest extends TestCase
{
    /** @return iterable<string, array{bool, Parameter, float, float, State, State}> then, now, and each as judged */
    public static function cases(): iterable
    {
        yield 'a fifth more' => [false, Parameter::Ammonia, 1.0, 1.2, State::Act, State::Act];
        yield 'more than a fifth' => [true, Parameter::Ammonia, 1.0, 1.21, State::Act, State::Act];
        yield 'a graver word' => [true, Parameter::Ammonia, 1.9, 2.0, State::Act, State::Emergency];
        yield 'more, and a milder word' => [false, Parameter::Ammonia, 1.0, 1.5, State::Emergency, State::Act];
        yield 'it falls' => [false, Parameter::Nitrite, 1.0, 0.5, State::Act, State::Act];
        yield 'oxygen falls' => [true, Parameter::Oxygen, 5.0, 3.9, State::Act, State::Act];
        yield 'oxygen rises' => [false, Parameter::Oxygen, 3.0, 5.0, State::Act, State::Act];
        yield 'from good to watch' => [false, Parameter::Ammonia, 0.0, 0.3, State::Good, State::Watch];
        yield 'pH by itself has no direction' => [false, Parameter::Ph, 6.0, 9.0, State::Act, State::Act];
    }

    #[DataProvider('cases')]
    public function test_what_counts_as_worse(
        bool $is,
        Parameter $of,
        float $then,
        float $now,
        State $was,
        State $word,
    ): void {
        self::assertSame($is, Worse::is($of, $then, $now, $was, $word));
    }
}
