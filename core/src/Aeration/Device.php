<?php

declare(strict_types=1);

namespace Ironwort\Core\Aeration;

/**
 * One aerator as it works in this water.
 *
 * Whatever its way, it gives oxygen in proportion to what the water lacks: `conductance` × (saturation −
 * oxygen), in L/h and mg/L. Air devices: SOTR α (βC* − C)/9.09 1.024^(t − 20), with SOTR from the air
 * and its depth or from the current. Falls: the deficit is divided by 1 + 0.38 a h (1 − 0.11 h)
 * (1 + 0.046 t), h in m. Shares: a fixed share of the deficit of what passes.
 *
 * @source aeration-from-memory  field correction, α 0.9, β 0.98, 0.0167 kg O2/h in 1 L/min of air
 * @source gameson-1958  deficit ratio of falling water
 */
final readonly class Device
{
    public const ALPHA = 0.9;

    public const BETA = 0.98;

    /** Oxygen in one litre a minute of air, g/h. */
    private const O2_IN_AIR = 16.7;

    /** Clean water at 20 °C, the test condition, mg/L. */
    private const TEST_SATURATION = 9.09;

    /** No more stays in the water than half of what the bubbles bring. */
    private const MOST_OF_AIR = 0.5;

    /**
     * Litres of water that a litre of air can clear of CO2 at balance: air over water 0.83 at 20 °C (Henry).
     */
    private const AIR_CLEARS = 0.83;

    private function __construct(
        public string $name,
        public DeviceKind $kind,
        public bool $on,
        /** Transfer in clean water at 20 °C with no oxygen in it, kg/h; null for falls and shares. */
        public ?float $sotrKgH,
        /** L/h of water brought to saturation, in effect. */
        public float $conductance,
        /** The same for CO2, which bubbles soon fill up with. */
        public float $co2Conductance,
    ) {}

    /** @param  float  $airLMin  at `depthM` of water over it */
    public static function air(
        string $name,
        DeviceKind $kind,
        bool $on,
        float $airLMin,
        float $depthM,
        float $tempC,
    ): self {
        $sotr = (($airLMin * self::O2_IN_AIR) / 1000) * min(self::MOST_OF_AIR, ($kind->sharePerM ?? 0.0) * $depthM);
        $conductance = self::conductance($sotr, $tempC);

        return new self($name, $kind, $on, $sotr, $conductance, min($conductance, 60 * $airLMin * self::AIR_CLEARS));
    }

    /** The same, giving so many times as much as is usual for its kind. */
    public function scaled(float $times): self
    {
        return new self(
            $this->name,
            $this->kind,
            $this->on,
            $this->sotrKgH === null ? null : $times * $this->sotrKgH,
            $times * $this->conductance,
            $times * $this->co2Conductance,
        );
    }

    public static function power(string $name, DeviceKind $kind, bool $on, float $powerW, float $tempC): self
    {
        $sotr = ($powerW / 1000) * ($kind->kgPerKwh ?? 0.0);

        return new self($name, $kind, $on, $sotr, self::conductance($sotr, $tempC), self::conductance($sotr, $tempC));
    }

    public static function fall(
        string $name,
        DeviceKind $kind,
        bool $on,
        float $flowLH,
        float $fallM,
        float $tempC,
    ): self {
        $ratio = 1 + 0.38 * ($kind->weir ?? 1.0) * $fallM * (1 - 0.11 * min(4.0, $fallM)) * (1 + 0.046 * $tempC);
        $conductance = $flowLH * ($kind->renews ?? 1 - 1 / $ratio);

        return new self($name, $kind, $on, null, $conductance, $conductance);
    }

    /** What it brings to water with so much oxygen, g/h; negative where the water holds more than it can keep. */
    public function gives(float $oxygen, float $saturation): float
    {
        return $this->on ? ($this->conductance * (self::BETA * $saturation - $oxygen)) / 1000 : 0.0;
    }

    /** kg/h at test conditions as L/h in this water. */
    private static function conductance(float $sotrKgH, float $tempC): float
    {
        return ((1e6 * $sotrKgH * self::ALPHA) / self::TEST_SATURATION) * 1.024 ** ($tempC - 20);
    }
}
