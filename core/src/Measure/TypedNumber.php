<?php

declare(strict_types=1);

namespace Ironwort\Core\Measure;

/**
 * A number as a keeper types it: `7.8`, `7,8`, `.5`, ` 20 `, `1 200`.
 *
 * The digits say how fine the reading was: 7.8 stands for anything from 7.75 to 7.85. A comma is a
 * decimal comma, except where three digits follow and thousands could be meant; that is refused
 * rather than guessed.
 */
final readonly class TypedNumber
{
    private function __construct(public float $value, public float $halfStep) {}

    /** @throws UnreadableNumber */
    public static function read(string $typed): self
    {
        $text = trim($typed);
        if ($text === '') {
            throw UnreadableNumber::empty();
        }
        if (preg_match('/^[1-9]\d{0,2}(,\d{3})+$/', $text) === 1) {
            throw UnreadableNumber::ambiguous($text);
        }
        $plain = preg_match('/^\d{1,3}( \d{3})+([.,]\d+)?$/', $text) === 1 ? str_replace(' ', '', $text) : $text;
        $plain = str_replace(["\u{2212}", ','], ['-', '.'], $plain);
        if (preg_match('/^[+-]?(\d{1,9}(\.\d{0,9})?|\.\d{1,9})$/', $plain) !== 1) {
            throw UnreadableNumber::notANumber($typed);
        }
        $decimals = str_contains($plain, '.') ? strlen($plain) - strpos($plain, '.') - 1 : 0;

        return new self((float) $plain, 0.5 * 10 ** -$decimals);
    }

    /** Where the true value lies, never below zero for what cannot be negative. */
    public function interval(bool $canBeNegative = false): Interval
    {
        $low = $this->value - $this->halfStep;

        return Interval::between(
            $canBeNegative ? $low : max(0.0, min($low, $this->value)),
            $this->value + $this->halfStep,
        );
    }
}
