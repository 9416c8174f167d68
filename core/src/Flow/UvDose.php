<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/**
 * An estimate of the dose a UV clarifier gives the water that passes it.
 *
 * What the lamp gives off as UV-C (a third of its watts, falling to 65 % at 9,000 h) goes through the
 * sleeve (30 % lost in 90 days wet, lamp lit or not) and crosses a gap of water that swallows part of
 * it. Well mixed, the dose is power × mean path / flow, whatever the housing is like.
 *
 *     UvDose::of(lampW: 55, lampHours: 0, daysWet: 0, flowLH: 8200, transmittance: 0.85, gapCm:
 *       3)->doseMjCm2  →  19
 *
 * @source uv-from-memory
 */
final readonly class UvDose
{
    private const UVC_SHARE = 0.33;

    private const LOST_BY_9000_H = 0.35;

    private const LOST_BY_90_D = 0.3;

    private const LEAST = 0.2;

    private function __construct(
        public float $lampFactor,
        public float $sleeveFactor,
        public float $uvcW,
        public float $pathCm,
        public ?float $doseMjCm2,
    ) {}

    /** @param  float  $transmittance  share of UV-C left after 1 cm of this water, above 0 and below 1 */
    public static function of(
        float $lampW,
        float $lampHours,
        float $daysWet,
        float $flowLH,
        float $transmittance,
        float $gapCm,
    ): self {
        $lamp = max(self::LEAST, 1 - (self::LOST_BY_9000_H * $lampHours) / 9000);
        $sleeve = max(self::LEAST, 1 - (self::LOST_BY_90_D * $daysWet) / 90);
        $uvc = $lampW * self::UVC_SHARE * $lamp * $sleeve;
        $absorption = -log($transmittance);
        $path = (1 - exp(-$absorption * $gapCm)) / $absorption;
        $cm3PerSecond = ($flowLH * 1000) / 3600;

        return new self($lamp, $sleeve, $uvc, $path, $cm3PerSecond > 0 ? (1000 * $uvc * $path) / $cm3PerSecond : null);
    }
}
