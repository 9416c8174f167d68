<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/** A kind of filter stage with the constants of its surface limit: r20 in g N/m²/d, K in mg/L as N. */
final readonly class StageKind
{
    /** Less than a medium for bacteria takes, g N/m²/d at 20 °C. */
    private const MATURES_R20 = 0.1;

    public function __construct(
        public string $id,
        public string $name,
        public float $r20,
        public float $k,
        public OxygenSupply $oxygen,
        public Transfer $transfer,
        /** Share of the dirt that stays at one pass, 0 to 1. */
        public float $catches = 0.0,
        /** Dry dirt it holds per litre when it blocks, g. */
        public float $holdsGL = 0.0,
        /** Closed or packed: it goes foul within hours without flow. */
        public bool $packed = false,
        /** The medium it is usually filled with; null where there is no usual one. */
        public ?string $usualMedium = null,
    ) {}

    public function nitrifies(): bool
    {
        return $this->r20 > 0;
    }

    /**
     * Whether a stage of this kind holds bacteria that count: there are media in it, and water goes through them.
     *
     * @param  float  $mediaL  litres of media, 0 or more
     */
    public function carries(float $mediaL, bool $bypassed = false): bool
    {
        return $mediaL > 0.0 && !$bypassed && $this->nitrifies();
    }

    /**
     * Whether the filter is as young as this stage: bacteria sit on walls, floss, carbon and zeolite too, but nobody
     * starts a filter with them, and most are exchanged every few weeks. Common practice, no source.
     *
     * @param  float  $mediaL  litres of media, 0 or more
     */
    public function matures(float $mediaL, bool $bypassed = false): bool
    {
        return $this->carries($mediaL, $bypassed) && $this->r20 >= self::MATURES_R20;
    }

    /** What a surface in it takes grown full, nothing short: mg N a day at 20 °C. */
    public function grownMgD(float $areaM2): float
    {
        return 1000 * $areaM2 * $this->r20;
    }
}
