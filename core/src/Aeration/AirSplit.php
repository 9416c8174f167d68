<?php

declare(strict_types=1);

namespace Ironwort\Core\Aeration;

/**
 * One air pump on several outlets: what each gets, by how its valves are set.
 *
 * Valves are set so that the shares hold; what a deeper outlet holds back is in them. A shut outlet gets nothing, and
 * its air goes to the others. All shut, nobody gets any.
 *
 * Common practice, no source.
 */
final readonly class AirSplit
{
    /** @param  array<string, array{share: float, open: bool, fish: bool}>  $outlets  by id; `fish`: they breathe it */
    public function __construct(private float $airLMin, private array $outlets) {}

    /** @return array<string, float> L/min by id */
    public function each(): array
    {
        $open = array_sum(
            array_map(static fn(array $one): float => $one['open'] ? $one['share'] : 0.0, $this->outlets),
        );

        return array_map(
            fn(array $one): float => $one['open'] && $open > 0 ? ($this->airLMin * $one['share']) / $open : 0.0,
            $this->outlets,
        );
    }

    /** What goes where fish breathe, L/min. */
    public function toFish(): float
    {
        $each = $this->each();

        return array_sum(
            array_map(
                static fn(string $id, array $one): float => $one['fish'] ? $each[$id] : 0.0,
                array_keys($this->outlets),
                $this->outlets,
            ),
        );
    }

    /**
     * Oxygen some time after air was led away, on its way from what it was to where it settles.
     *
     * C∞ + (C − C∞) e^(−k t / V)
     *
     * @param  float  $settlesMgL  without that air
     * @param  float  $conductanceLH  of what still aerates, L/h
     */
    public static function oxygenAfter(
        float $nowMgL,
        float $settlesMgL,
        float $conductanceLH,
        float $volumeL,
        float $hours,
    ): float {
        return $settlesMgL + ($nowMgL - $settlesMgL) * exp((-$conductanceLH * $hours) / max(1.0, $volumeL));
    }

    /** The same with all its air led to one outlet, as for the wash of a bed. */
    public function divertedTo(string $id): self
    {
        $turned = [];
        foreach ($this->outlets as $key => $outlet) {
            $turned[$key] = [...$outlet, 'open' => (string) $key === $id];
        }

        return new self($this->airLMin, $turned);
    }
}
