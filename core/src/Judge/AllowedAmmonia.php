<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Water\UnionisedAmmonia;

/**
 * The most total ammonia a system may hold before it is to be watched, mg/L as N.
 *
 * Total and un-ionised ammonia each have a limit; the stricter of the two decides, so that warm water
 * at a high pH may hold less. Valid where un-ionised ammonia is: 0–40 °C, pH 4–11.
 *
 *     AllowedAmmonia::of(Library::shipped()->limits(), 'adult', 8.4, 20.5)->tan  →  0.213
 *
 * @source eifac-ammonia  @source cp-limits
 */
final readonly class AllowedAmmonia
{
    private function __construct(public float $tan, public float $unionisedLimit, public bool $heldByUnionised) {}

    /** @throws \LogicException when either limit is missing from the table */
    public static function of(LimitTable $limits, string $stage, float $ph, float $tempC, float $salinityGL = 0.0): self
    {
        $total = self::watchLine($limits->for($stage, Parameter::Ammonia));
        $unionised = self::watchLine($limits->for($stage, Parameter::UnionisedAmmonia));
        $byUnionised = $unionised / UnionisedAmmonia::of(1.0, $ph, $tempC, $salinityGL)->fraction;

        return new self(min($total, $byUnionised), $unionised, $byUnionised < $total);
    }

    private static function watchLine(Limits $limits): float
    {
        return $limits->above->watch ?? throw new \LogicException("{$limits->parameter->value} has no upper limit.");
    }
}
