<?php

declare(strict_types=1);

namespace Ironwort\Core\Measure;

/** A unit a person reads in: how it is written, and how a figure of ours becomes one of theirs. */
final readonly class ShownUnit
{
    public function __construct(public string $symbol, public float $factor, public float $offset = 0.0) {}

    public function of(float $value): float
    {
        return $value * $this->factor + $this->offset;
    }

    /**
     * A number as it is written, no more exact than it was: temperatures to the same decimal, all else to the same
     * figures and at least three, so that an amount to weigh keeps its worth.
     *
     * @param  ?float  $exact  what the number was rounded from, where it is known
     */
    public function text(string $number, ?float $exact = null): string
    {
        $value = $exact ?? (float) strtr($number, [',' => '', "\u{2212}" => '-']);
        $decimals = strlen(strrchr($number, '.') ?: '.') - 1;
        if ($this->offset !== 0.0) {
            $text = number_format($this->of($value), $decimals, '.', ',');

            return $decimals === 0 ? $text : rtrim(rtrim($text, '0'), '.');
        }
        $digits = ltrim(strtr($number, [',' => '', '.' => '', '-' => '', "\u{2212}" => '']), '0');
        // Noughts at the end of a whole number are not known.
        $figures = strlen($decimals === 0 ? rtrim($digits, '0') : $digits);

        return Format::about($this->of($value), min(5, max(3, $figures)));
    }

    /** The same for a difference, which has no zero to start from. */
    public function difference(): self
    {
        return new self($this->symbol, $this->factor);
    }
}
