<?php

declare(strict_types=1);

namespace Ironwort\Core\Aeration;

use Ironwort\Core\Water\Oxygen;

/**
 * All that aerates one body of water, and the oxygen it settles at.
 *
 * Oxygen in mg/L, demands in g/h, conductances in L/h.
 *
 * @source surface-reaeration  a quiet surface, 0.6 m/d at 20 °C
 */
final readonly class Aeration
{
    public float $saturation;

    /** Of devices and surface together. */
    public float $conductance;

    public float $co2Conductance;

    public float $surface;

    /**
     * @param  list<Device>  $devices
     * @param  float  $extra  conductance known otherwise, L/h
     */
    public function __construct(
        public array $devices,
        private float $surfaceM2,
        public float $tempC,
        private float $salinityGL = 0.0,
        private float $pressureAtm = 1.0,
        private float $extra = 0.0,
    ) {
        $this->saturation = Oxygen::saturation($tempC, $salinityGL, $pressureAtm);
        $this->surface = (($surfaceM2 * AerationInputs::SURFACE_M_D * 1000) / 24) * 1.024 ** ($tempC - 20);
        $on = array_filter($devices, static fn(Device $device): bool => $device->on);
        $this->conductance =
            $this->surface +
            $extra +
            array_sum(array_map(static fn(Device $device): float => $device->conductance, $on));
        $this->co2Conductance =
            $this->surface +
            $extra +
            array_sum(array_map(static fn(Device $device): float => $device->co2Conductance, $on));
    }

    /**
     * The same as it must be to hold an oxygen that was measured: every device and the surface give so many times as
     * much; where nothing is described, what else there is is of unknown make.
     *
     * @param  ?self  $then  what ran when it was measured; null where that is what runs now
     */
    public function holding(float $measured, float $demandGH, ?self $then = null): self
    {
        $then ??= $this;
        $needs = $then->needed($measured, $demandGH);
        if ($demandGH <= 0 || $needs <= 0) {
            return $this;
        }
        $described = array_filter($then->devices, static fn(Device $device): bool => $device->on);

        return $then->conductance <= 0 || ($described === [] && $needs > $then->conductance)
            ? new self(
                $this->devices,
                $this->surfaceM2,
                $this->tempC,
                $this->salinityGL,
                $this->pressureAtm,
                $needs - $then->surface,
            )
            : $this->times($needs / $then->conductance);
    }

    /** Every device and the surface giving so many times as much. */
    public function times(float $times): self
    {
        return new self(
            array_map(static fn(Device $device): Device => $device->scaled($times), $this->devices),
            $this->surfaceM2 * $times,
            $this->tempC,
            $this->salinityGL,
            $this->pressureAtm,
            $this->extra * $times,
        );
    }

    /** The same without one of its devices. */
    public function without(Device $gone): self
    {
        return $this->with(
            array_values(array_filter($this->devices, static fn(Device $device): bool => $device !== $gone)),
        );
    }

    /** What is left when every device stops: the surface. */
    public function still(): self
    {
        return $this->with([]);
    }

    /** What the water would hold, were nothing in it to breathe. */
    public function ceiling(): float
    {
        return Device::BETA * $this->saturation;
    }

    /** Oxygen at which as much comes in as is used; 0 where more is used than can come. */
    public function settles(float $demandGH): float
    {
        return $this->conductance <= 0
            ? ($demandGH > 0
                ? 0.0
                : $this->ceiling())
            : max(0.0, $this->ceiling() - (1000 * $demandGH) / $this->conductance);
    }

    /**
     * What it takes in all to hold an oxygen that was measured, L/h. Water near saturation, or over it, says
     * that there is plenty: at least a twentieth is taken to be missing.
     */
    public function needed(float $measured, float $demandGH): float
    {
        return (1000 * $demandGH) / max(0.05 * $this->saturation, $this->ceiling() - $measured);
    }

    /** Oxygen some hours on, from what it is now. */
    public function after(float $now, float $demandGH, float $volumeL, float $hours): float
    {
        if ($this->conductance <= 0) {
            return max(0.0, $now - (1000 * $demandGH * $hours) / $volumeL);
        }
        $end = $this->ceiling() - (1000 * $demandGH) / $this->conductance;

        return max(0.0, $end + ($now - $end) * exp((-$this->conductance / $volumeL) * $hours));
    }

    /** Hours until oxygen is down to a level; null where it never gets so low. */
    public function hoursTo(float $level, float $now, float $demandGH, float $volumeL): ?float
    {
        if ($now <= $level) {
            return 0.0;
        }
        if ($this->conductance <= 0) {
            return $demandGH > 0 ? ($volumeL * ($now - $level)) / (1000 * $demandGH) : null;
        }
        $end = $this->ceiling() - (1000 * $demandGH) / $this->conductance;

        return $end >= $level ? null : ($volumeL / $this->conductance) * log(($now - $end) / ($level - $end));
    }

    /** @param  list<Device>  $devices */
    private function with(array $devices): self
    {
        return new self(
            $devices,
            $this->surfaceM2,
            $this->tempC,
            $this->salinityGL,
            $this->pressureAtm,
            $devices === [] ? 0.0 : $this->extra,
        );
    }
}
