<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

/**
 * What carbon or zeolite that is left in the loop takes out of a dose.
 *
 * @source adsorption-from-memory  shares taken in a pass and what a gram holds, of each agent
 */
final readonly class Adsorption
{
    /** Carbon takes next to nothing after so long in the water: common practice, no source; days. */
    public const WORKS_FOR_D = 30;

    /** Assumed where a bag hangs and nobody knows what passes it: this share of the loop's flow. From memory. */
    public const BAG_SHARE = 0.1;

    /** Carbon and zeolite as poured, g/L: from memory. */
    public const GRAMS_PER_L = ['carbon' => 450.0, 'zeolite' => 850.0];

    /**
     * @param  string  $by  carbon or zeolite
     * @param  float  $flowLH  water that passes it, L/h
     * @return list<Clearing> none where it does not take this agent
     */
    public static function of(Agent $agent, string $by, float $grams, float $fromH, float $toH, float $flowLH): array
    {
        $row = $agent->adsorbed[$by] ?? null;
        if ($row === null || $toH <= $fromH || $flowLH <= 0) {
            return [];
        }

        return [
            new Clearing(
                $by,
                $fromH,
                $toH,
                ($flowLH * $row['per_pass_pct']) / 100,
                $row['holds_mg_per_g'] === null ? null : ($grams * $row['holds_mg_per_g']) / 1000,
            ),
        ];
    }
}
