<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

/**
 * What one feed does to the water and the purse, so that two can be seen side by side.
 *
 * Protein and digestibility as shares, price a kg. Feed conversion is kg of feed for a kg of growth, 1.5 where nobody
 * measured it (from memory; koi run from 1.2 to 2.5).
 *
 *     FeedBeside::of(protein: 0.35, digestibility: 0.8)->nitrogenGKg  →  32.2
 *
 * @source timmons-ebeling  @source solids-per-feed
 */
final readonly class FeedBeside
{
    public const USUAL_CONVERSION = 1.5;

    private function __construct(
        public float $nitrogenGKg,
        public float $solidsGKg,
        public ?float $costPerKgGrowth,
        public float $nitrogenGKgGrowth,
    ) {}

    public static function of(
        float $protein,
        float $digestibility = DailyLoad::USUAL_DIGESTIBILITY,
        float $conversion = self::USUAL_CONVERSION,
        ?float $price = null,
    ): self {
        $load = DailyLoad::of(0.0, 1000.0, $protein, $digestibility, 0.0, 20.0);

        return new self(
            $load->tan(),
            $load->solids,
            $price === null ? null : $price * $conversion,
            $load->tan() * $conversion,
        );
    }
}
