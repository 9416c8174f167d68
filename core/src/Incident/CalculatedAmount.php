<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Intake;

/** A figure one calculator gives to another, with what went in, so that it can be opened to its own working. */
final readonly class CalculatedAmount
{
    /** @param  array<string, mixed>  $input */
    private function __construct(public string $calc, public string $key, public array $input, public float $value) {}

    /** @param  array<string, mixed>  $input */
    public static function by(Calculator $calculator, array $input, string $key): self
    {
        return new self(
            $calculator->name(),
            $key,
            $input,
            $calculator->calculate((new Intake($calculator->inputs()))->read($input))->number($key),
        );
    }
}
