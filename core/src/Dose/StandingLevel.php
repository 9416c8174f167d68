<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

/**
 * The most of an agent that may stand in the water, and what may be given on top of what is there. mg/L (µL/L).
 *
 *     StandingLevel::ceiling(Library::shipped()->agents()->agents['copper_sulfate'], 120.0)  →  1.2
 *     StandingLevel::topUp(level: 1.2, left: 0.9, mostLeft: 0.9, ceiling: 1.2)  →  0.3
 *
 * @source srac-410  copper sulfate at a hundredth of total alkalinity
 */
final readonly class StandingLevel
{
    /** What is left is reckoned; a thousandth over is the same level. */
    private const ROUNDING = 1.001;

    /** Alkalinity, mg/L as CaCO3, of which copper sulfate may be one part. */
    private const ALKALINITY_PER_COPPER = 100.0;

    /**
     * Copper goes by alkalinity, chloramine-T by pH and hardness; where these are not known, copper has no room at all
     * and chloramine-T only its own ceiling.
     *
     * @param  ?float  $alkalinityMgL  as tested, like pH and hardness; null where nobody did
     * @return ?float null for an agent that is not left in the water
     */
    public static function ceiling(
        Agent $agent,
        ?float $alkalinityMgL,
        ?float $ph = null,
        ?float $hardnessMgL = null,
    ): ?float {
        $most = $agent->prolonged[1] ?? null;

        return match (true) {
            $most === null => null,
            $agent->id === 'copper_sulfate' => min($most, ($alkalinityMgL ?? 0.0) / self::ALKALINITY_PER_COPPER),
            $agent->id === 'chloramine_t' && $ph !== null && $hardnessMgL !== null => min(
                $most,
                ChloramineT::dose($ph, $hardnessMgL),
            ),
            default => $most,
        };
    }

    /**
     * Whether a dose may be given on top of what is left.
     *
     * @param  float  $mostLeft  as if nothing had been adsorbed: no dose may count on that
     */
    public static function fits(float $mostLeft, float $dose, float $ceiling): bool
    {
        return $mostLeft + $dose <= self::ROUNDING * $ceiling;
    }

    /**
     * What a course is short of, at most so much that it would be safe if nothing had been adsorbed.
     *
     * @param  float  $level  the course is to stand at
     * @param  float  $left  by what carbon and zeolite may have taken
     * @param  float  $mostLeft  as if they had taken nothing
     */
    public static function topUp(float $level, float $left, float $mostLeft, float $ceiling): float
    {
        return max(0.0, min($level - $left, $ceiling - $mostLeft));
    }
}
