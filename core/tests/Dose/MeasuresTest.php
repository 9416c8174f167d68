<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Dose;

use Ironwort\Core\Dose\Measures;
use PHPUnit\Framework\TestCase;

/** What is weighed or poured is never more than what was worked out, whatever it is weighed with. */
final class MeasuresTest extends TestCase
{
    private const CASES = 10000;

    public function test_no_amount_is_ever_rounded_up(): void
    {
        mt_srand(7);
        for ($i = 0; $i < self::CASES; $i++) {
            $amount = 10 ** (mt_rand(-3000, 6000) / 1000);
            $step = [null, 0.001, 0.01, 0.1, 1.0, 5.0][mt_rand(0, 5)];
            $down = Measures::down($amount, $step);
            self::assertLessThanOrEqual($amount * (1 + 1e-9), $down, "{$amount} by {$step}");
            self::assertGreaterThanOrEqual(0.0, $down);
            if ($step !== null) {
                self::assertLessThan($step * (1 + 1e-6), $amount - $down, "{$amount} by {$step}");
            }
            self::assertLessThanOrEqual(
                $amount * (1 + 1e-9),
                self::read(Measures::grams($amount, false, $step)),
                "{$amount} g",
            );
            self::assertLessThanOrEqual(
                $amount * (1 + 1e-9),
                self::read(Measures::millilitres($amount)),
                "{$amount} mL",
            );
        }
    }

    public function test_spoons_caps_and_drops_are_never_more_than_the_weight_beside_them(): void
    {
        mt_srand(11);
        for ($i = 0; $i < self::CASES; $i++) {
            $amount = 10 ** (mt_rand(-2000, 3000) / 1000);
            if (preg_match('/\(([\d.,]+) teaspoons\)/', Measures::grams($amount, true), $found) === 1) {
                // A level teaspoon of pond salt weighs 6 g: common practice, no source.
                self::assertLessThanOrEqual($amount * (1 + 1e-9), 6.0 * self::number($found[1]));
            }
            if (preg_match('/\(([\d.,]+) caps\)/', Measures::millilitres($amount, 4.0), $found) === 1) {
                self::assertLessThanOrEqual($amount * (1 + 1e-9), 4.0 * self::number($found[1]));
            }
            if (preg_match('/\(([\d.,]+) drops\)/', Measures::millilitres($amount), $found) === 1) {
                self::assertLessThanOrEqual($amount * (1 + 1e-9), self::number($found[1]) / 20.0);
            }
        }
    }

    /** The grams or millilitres a text says. */
    private static function read(string $text): float
    {
        self::assertSame(1, preg_match('/^([\d.,]+) (kg|g|L|mL)/', $text, $found), $text);

        return self::number($found[1]) * (in_array($found[2], ['kg', 'L'], true) ? 1000 : 1);
    }

    private static function number(string $text): float
    {
        return (float) str_replace(',', '', $text);
    }
}
