<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

use Ironwort\Core\Calc\Given;

/**
 * What fish and their feed ask of the water in one day, all in g/d.
 *
 * Waste follows feed; unfed fish still excrete and breathe, so each of ammonia and oxygen is the
 * larger of feed and fasting floor, never their sum. Temperature acts on the floors only, since the
 * feed figure already carries it. Uneaten feed rots and gives all its nitrogen as ammonia.
 *
 *     DailyLoad::of(0.0, 1000.0, 0.35, 0.8, 0.0, 20.0)->tan()  →  32.2
 *
 * @source timmons-ebeling  0.092 = 0.16 N in protein × 0.80 digested × 0.80 excreted × 0.90 as ammonia
 * @source floor-excretion  0.08 g N and 2.4 g O2 per kg·d at 20 °C, Q10 = 2
 * @source fish-oxygen      0.4 g O2 per g feed
 * @source nitrification-stoichiometry  4.57 g O2 and 7.14 g CaCO3 per g N
 * @source respiratory-quotient  CO2 1.375 × O2
 * @source solids-per-feed  0.25 to 0.30 of the feed eaten
 */
final readonly class DailyLoad
{
    public const TAN_PER_PROTEIN = 0.092;

    /** Share of koi feed that is protein, where its label is not in the book. */
    public const USUAL_PROTEIN = 0.38;

    public const USUAL_DIGESTIBILITY = 0.8;

    public const N_PER_PROTEIN = 0.16;

    public const FLOOR_N_PER_KG = 0.08;

    public const FLOOR_O2_PER_KG = 2.4;

    public const O2_PER_FEED = 0.4;
    /** What dirt takes as it rots where nobody says how soon it leaves, g O2 a gram of feed. */
    public const DIRT_O2_G_G = 0.2;

    public const CO2_PER_O2 = 1.375;

    public const SOLIDS_PER_FEED = 0.275;

    public const O2_PER_N = 4.57;

    public const ALKALINITY_PER_N = 7.14;

    /** What fish excrete brings half the alkalinity back that nitrifying it takes. */
    public const NET_ALKALINITY_PER_N = 3.57;

    private function __construct(
        public float $floorFactor,
        public float $fedTan,
        public float $floorTan,
        public float $rottingTan,
        public float $fedOxygen,
        public float $floorOxygen,
        public float $solids,
        public float $feedGD,
    ) {}

    /** Of a calculation that is told no more than fish, feed, protein and temperature: all eaten, usually digested. */
    public static function usual(Given $given): self
    {
        return self::of(
            $given->number('biomass_kg'),
            $given->number('feed_g_d'),
            $given->number('protein_pct') / 100,
            self::USUAL_DIGESTIBILITY,
            0.0,
            $given->number('temp_c'),
        );
    }

    /**
     * @param  float  $protein  share of the feed, 0 to 1
     * @param  float  $digestibility  share of the protein digested, 0 to 1
     * @param  float  $uneaten  share of the feed left, 0 to 1
     */
    public static function of(
        float $biomassKg,
        float $feedGD,
        float $protein,
        float $digestibility,
        float $uneaten,
        float $tempC,
    ): self {
        $eaten = $feedGD * (1 - $uneaten);
        $floorFactor = 2 ** (($tempC - 20) / 10);

        return new self(
            $floorFactor,
            ($eaten * $protein * self::TAN_PER_PROTEIN * $digestibility) / self::USUAL_DIGESTIBILITY,
            $biomassKg * self::FLOOR_N_PER_KG * $floorFactor,
            $feedGD * $uneaten * $protein * self::N_PER_PROTEIN,
            $eaten * self::O2_PER_FEED,
            $biomassKg * self::FLOOR_O2_PER_KG * $floorFactor,
            $eaten * self::SOLIDS_PER_FEED,
            $feedGD,
        );
    }

    public function tan(): float
    {
        return max($this->fedTan, $this->floorTan) + $this->rottingTan;
    }

    /** Oxygen the fish breathe. */
    public function oxygen(): float
    {
        return max($this->fedOxygen, $this->floorOxygen);
    }

    /**
     * Oxygen that fish and the dirt of their feed take, g/d.
     *
     * @param  float  $dirt  g a gram of feed: 0.05 where dirt leaves daily, to 0.45
     *
     * @source dirt-oxygen
     */
    public function oxygenWithDirt(float $dirt): float
    {
        return $this->oxygen() + $dirt * $this->feedGD;
    }

    public function carbonDioxide(): float
    {
        return self::CO2_PER_O2 * $this->oxygen();
    }

    public function nitrificationOxygen(): float
    {
        return self::O2_PER_N * $this->tan();
    }

    /** Alkalinity that nitrifying it all takes, as CaCO3. */
    public function alkalinity(): float
    {
        return self::ALKALINITY_PER_N * $this->tan();
    }

    /** Alkalinity the system loses in the end, as CaCO3. */
    public function netAlkalinity(): float
    {
        return self::NET_ALKALINITY_PER_N * $this->tan();
    }
}
