<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Measure\Format;

/**
 * What must never meet, and on what conditions the rest may.
 *
 * Every pair of things has a verdict: `refused`, `conditions` or `allowed`. The water's own state adds to it.
 *
 * @source dose-conflicts
 */
final readonly class Conflicts
{
    /** Besides the agents: what is in the water or in the loop. */
    public const OTHERS = [
        'binder',
        'thiosulfate',
        'bicarbonate',
        'chlorine',
        'zeolite',
        'carbon',
        'uv',
        'seeding_filter',
        ...self::LIVING,
    ];

    /** What lives in the water beside fish; what an agent does to it stands with its hazards. */
    public const LIVING = ['plants', 'invertebrates'];

    /** Agents that take oxygen, or the fish's breath. */
    private const OXYGEN_HUNGRY = ['formalin', 'potassium_permanganate', 'chloramine_t', 'copper_sulfate'];

    /** Things that are given to water rather than against a sickness. */
    private const NOT_TREATMENTS = ['salt', 'binder', 'thiosulfate', 'bicarbonate', 'chlorine'];

    public function __construct(private AgentTable $agents) {}

    /** @return list<string> everything that may meet */
    public function things(): array
    {
        return [...array_keys($this->agents->agents), ...self::OTHERS];
    }

    /** @return array{verdict: string, reason: string} */
    public function pair(string $one, string $other): array
    {
        $living = $this->living($one, $other) ?? $this->living($other, $one);
        if ($living !== null) {
            return $living;
        }
        $refused = self::refused($one, $other) ?? self::refused($other, $one);
        if ($refused !== null) {
            return ['verdict' => 'refused', 'reason' => $refused];
        }
        if ($one !== $other && $this->oxidises($one) && $this->oxidises($other)) {
            return [
                'verdict' => 'refused',
                'reason' => 'Two oxidisers burn gills together, and what they make of one another nobody knows.',
            ];
        }
        $condition = $this->condition($one, $other) ?? $this->condition($other, $one);

        return $condition === null
            ? ['verdict' => 'allowed', 'reason' => 'Nothing is known against it.']
            : ['verdict' => 'conditions', 'reason' => $condition];
    }

    /**
     * What the water itself says to an agent.
     *
     * @return list<array{verdict: string, reason: string}>
     */
    public function water(
        string $agent,
        float $tempC,
        ?float $ph,
        ?float $alkalinity,
        ?float $hardness,
        ?float $oxygen,
    ): array {
        $found = [];
        $add = static function (string $verdict, string $reason) use (&$found): void {
            $found[] = ['verdict' => $verdict, 'reason' => $reason];
        };
        if ($agent === 'copper_sulfate') {
            if ($alkalinity === null) {
                $add('refused', 'Copper is dosed by alkalinity: measure it first.');
            } elseif ($alkalinity < 50) {
                $add(
                    'refused',
                    'Under 50 mg/L of alkalinity copper kills the fish: raise KH first, or choose another.',
                );
            }
        }
        if ($agent === 'chloramine_t') {
            if ($ph === null || $hardness === null) {
                $add('refused', 'Chloramine-T is dosed by pH and hardness: measure both first.');
            } elseif ($ph < 6.0) {
                $add('refused', 'In water this acid chloramine-T turns far more poisonous: buffer first.');
            } elseif ($ph < 7.0 && $hardness < 50) {
                $add('conditions', 'In soft, acid water only the low dose of the table, and watched all the time.');
            }
        }
        if (in_array($agent, self::OXYGEN_HUNGRY, true)) {
            if ($oxygen !== null && $oxygen < 5) {
                $add(
                    'refused',
                    'There are ' .
                        Format::number($oxygen, 2) .
                        ' mg/L of oxygen: bring it above 6 before anything that takes more.',
                );
            } elseif ($oxygen !== null && $oxygen < 6.5) {
                $add('conditions', 'Oxygen is low for this: run all the air there is.');
            }
            if ($tempC > 28) {
                $add('refused', 'In water this warm it takes oxygen that is not there: cool it, or wait.');
            } elseif ($tempC > 24) {
                $add('conditions', 'In warm water: at dawn, when it is coolest, and with all the air there is.');
            }
            if ($oxygen === null) {
                $add('conditions', 'Measure oxygen first, and again two hours after.');
            }
        }

        return $found;
    }

    /** @return ?array{verdict: string, reason: string} */
    private function living(string $agent, string $other): ?array
    {
        $hazards = ($this->agents->agents[$agent] ?? null)?->hazards;

        return match (true) {
            $hazards === null => null,
            $other === 'plants' => $hazards->plants,
            $other === 'invertebrates' => $hazards->invertebrates,
            default => null,
        };
    }

    private static function refused(string $one, string $other): ?string
    {
        return match ([$one, $other]) {
            ['salt', 'zeolite'] => 'Salt makes zeolite let go of its ammonia: one or the other, never both.',
            ['formalin', 'potassium_permanganate']
                => 'Formalin and permanganate destroy one another and the gills between them.',
            ['formalin', 'chloramine_t'],
            ['formalin', 'hydrogen_peroxide']
                => 'An oxidiser turns formalin into acid, and both are lost on the fish.',
            ['binder', 'chloramine_t'] => 'A binder takes chloramine-T out at once, and leaves what it makes of it.',
            ['binder', 'potassium_permanganate'],
            ['binder', 'hydrogen_peroxide']
                => 'A binder and an oxidiser use one another up: neither works.',
            ['thiosulfate', 'potassium_permanganate'],
            ['thiosulfate', 'chloramine_t'],
            ['thiosulfate', 'hydrogen_peroxide']
                => 'Thiosulfate takes an oxidiser out: it is the way to stop it, not to give it.',
            ['methylene_blue', 'seeding_filter'] => 'Methylene blue kills the bacteria that are being seeded.',
            default => null,
        };
    }

    private function condition(string $one, string $other): ?string
    {
        $treatment = isset($this->agents->agents[$one]) && !in_array($one, self::NOT_TREATMENTS, true);

        return match (true) {
            $other === 'carbon' && ($treatment || $one === 'binder')
                => 'Take the carbon out: it takes the dose out of the water.',
            $other === 'zeolite' && $treatment => 'Take the zeolite out while it runs.',
            $other === 'uv' && $treatment => 'UV off: it breaks the agent down.',
            $other === 'seeding_filter' && $treatment
                => 'Bypass the filter that is being seeded, and feed it meanwhile.',
            $other === 'binder' && $treatment
                => 'Binders keep some medicines from working: give them apart, by the label.',
            $other === 'chlorine' && $treatment => 'Make the water free of chlorine first.',
            $one !== $other &&
                $treatment &&
                isset($this->agents->agents[$other]) &&
                !in_array($other, self::NOT_TREATMENTS, true)
                => 'Two medicines at once only on a veterinarian’s word; otherwise change water and wait.',
            default => null,
        };
    }

    private function oxidises(string $thing): bool
    {
        return $thing === 'chlorine' || ($this->agents->agents[$thing] ?? null)?->oxidiser === true;
    }
}
