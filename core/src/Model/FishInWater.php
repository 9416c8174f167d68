<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

use Ironwort\Core\Exchange\WaterMix;
use Ironwort\Core\Water\UnionisedAmmonia;

/** Water in which fish give ammonia while little takes it, and what may stand in it: mg/L as N, days. */
final readonly class FishInWater
{
    /**
     * @param  WaterMix  $mix  with what is known of both waters; ammonia always
     * @param  float  $rise  mg/L a day
     */
    public function __construct(
        public WaterMix $mix,
        private WaterMix $source,
        private float $rise,
        private float $ph,
        private float $tempC,
        private float $most,
        private float $mostUnionised,
    ) {}

    /**
     * The total ammonia at which water is changed: total and un-ionised have each their trigger, the earlier decides.
     */
    public function trigger(): float
    {
        return min($this->most, $this->mostUnionised / $this->fraction());
    }

    public function byUnionised(): bool
    {
        return $this->mostUnionised / $this->fraction() < $this->most;
    }

    public function ammonia(): float
    {
        return $this->mix->values['tan_mg_l'];
    }

    public function unionised(): float
    {
        return $this->ammonia() * $this->fraction();
    }

    /** Days until the trigger; nothing where it is reached, null where it never is. */
    public function daysLeft(): ?float
    {
        $short = $this->trigger() - $this->ammonia();

        return $short <= 0 ? 0.0 : ($this->rise > 0 ? $short / $this->rise : null);
    }

    public function later(float $days): self
    {
        return $this->as($this->mix->plus(['tan_mg_l' => $this->rise], $days));
    }

    /** @param  float  $share  of the water changed, 0 to 1 */
    public function changed(float $share): self
    {
        return $this->as($this->mix->with($this->source, $share));
    }

    private function as(WaterMix $mix): self
    {
        return new self(
            $mix,
            $this->source,
            $this->rise,
            $mix->values['ph'] ?? $this->ph,
            $mix->values['temp_c'] ?? $this->tempC,
            $this->most,
            $this->mostUnionised,
        );
    }

    private function fraction(): float
    {
        return UnionisedAmmonia::of(1.0, $this->ph, $this->tempC, 0.0)->fraction;
    }
}
