<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

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
        self::OWN,
        ...self::LIVING,
    ];

    /** What lives in the water beside fish; what an agent does to it stands with its hazards. */
    public const LIVING = ['plants', 'invertebrates'];

    /** Agents that take oxygen, or the fish's breath. */
    private const OXYGEN_HUNGRY = [
        'formalin',
        'potassium_permanganate',
        'chloramine_t',
        'copper_sulfate',
        'hydrogen_peroxide',
        self::OWN,
    ];

    /** An agent of one's own, of which nothing is known but its label. */
    public const OWN = 'own';

    /** Above this permanganate burns gills at the dose that is usual. */
    public const PERMANGANATE_PH = 8.5;

    /** Things that are given to water rather than against a sickness. */
    private const NOT_TREATMENTS = ['salt', 'binder', 'thiosulfate', 'bicarbonate', 'chlorine'];

    public function __construct(private AgentTable $agents) {}

    /** @return list<string> everything that may meet */
    public function things(): array
    {
        return [...array_keys($this->agents->agents), ...self::OTHERS];
    }

    public function pair(string $one, string $other): Meeting
    {
        $living = $this->living($one, $other) ?? $this->living($other, $one);
        if ($living !== null) {
            return $living;
        }
        $refused = self::refused($one, $other) ?? self::refused($other, $one);
        if ($refused !== null) {
            return Meeting::refused($refused);
        }
        if ($one !== $other && $this->oxidises($one) && $this->oxidises($other)) {
            return Meeting::refused('two_oxidisers');
        }
        $condition = $this->condition($one, $other) ?? $this->condition($other, $one);

        return $condition === null ? Meeting::allowed() : Meeting::onCondition($condition);
    }

    /**
     * Which of some things may not go into water that holds others, and why.
     *
     * @param  list<string>  $things
     * @param  list<string>  $present
     * @return array<string, Message> by thing; the first refusal of each
     */
    public function refusedIn(array $things, array $present): array
    {
        $refused = [];
        foreach ($things as $thing) {
            foreach ($present as $other) {
                $meeting = $this->pair($thing, $other);
                if ($meeting->verdict === Verdict::Refused && $thing !== $other) {
                    $refused[$thing] ??= $meeting->reason;
                }
            }
        }

        return $refused;
    }

    /** What everything in the water, and the water itself, says to a thing that is to be given. */
    public function judge(string $thing, ConflictState $state): Judged
    {
        $others = array_values(array_filter($state->present, static fn(string $one): bool => $one !== $thing));

        return Judged::by([
            ...$this->sameAgain($thing, $state),
            ...array_map(fn(string $other): Meeting => $this->pair($thing, $other)->with($other), $others),
            ...$this->water($thing, $state),
        ]);
    }

    /**
     * A treatment that is in the water already, nobody knows how much of it: a dose on top is not worked out blind.
     *
     * @return list<Meeting>
     */
    private function sameAgain(string $thing, ConflictState $state): array
    {
        $agent = $thing === self::OWN || isset($this->agents->agents[$thing]);

        return $agent && in_array($thing, $state->present, true) && $state->left($thing) === null
            ? [Meeting::refused('same_agent_in_water')]
            : [];
    }

    /** @return list<Meeting> what the water itself says to an agent */
    private function water(string $agent, ConflictState $state): array
    {
        return [
            ...match (true) {
                $agent === 'copper_sulfate' && $state->alkalinity === null => [
                    Meeting::refused('copper_needs_alkalinity'),
                ],
                $agent === 'copper_sulfate' && $state->alkalinity < 50 => [Meeting::refused('copper_in_soft_water')],
                $agent === 'chloramine_t' => self::chloramineT($state->ph, $state->hardness),
                $agent === 'potassium_permanganate' && $state->ph === null => [
                    Meeting::onCondition('permanganate_ph_unknown'),
                ],
                $agent === 'potassium_permanganate' && $state->ph > self::PERMANGANATE_PH => [
                    Meeting::refused('permanganate_in_alkaline_water', ['ph' => Format::number((float) $state->ph, 2)]),
                ],
                default => [],
            },
            ...in_array($agent, self::OXYGEN_HUNGRY, true) ? self::breath($state->tempC, $state->oxygen) : [],
        ];
    }

    /** @return list<Meeting> */
    private static function chloramineT(?float $ph, ?float $hardness): array
    {
        return match (true) {
            $ph === null || $hardness === null => [Meeting::refused('chloramine_t_needs_ph_and_hardness')],
            $ph < 6.0 => [Meeting::refused('chloramine_t_in_acid_water')],
            $ph < 7.0 && $hardness < 50 => [Meeting::onCondition('chloramine_t_in_soft_water')],
            default => [],
        };
    }

    /** @return list<Meeting> whether fish have the breath for what takes oxygen */
    private static function breath(float $tempC, ?float $oxygen): array
    {
        $found = [];
        if ($oxygen !== null && $oxygen < 5) {
            $found[] = Meeting::refused('oxygen_low', ['oxygen' => Format::number($oxygen, 2)]);
        } elseif ($oxygen !== null && $oxygen < 6.5) {
            $found[] = Meeting::onCondition('oxygen_short');
        }
        if ($tempC > 28) {
            $found[] = Meeting::refused('too_warm');
        } elseif ($tempC > 24) {
            $found[] = Meeting::onCondition('warm');
        }

        return $oxygen === null ? [...$found, Meeting::onCondition('oxygen_unknown')] : $found;
    }

    private function living(string $agent, string $other): ?Meeting
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
            ['salt', 'zeolite'] => 'salt_with_zeolite',
            ['formalin', 'potassium_permanganate'] => 'formalin_with_permanganate',
            ['formalin', 'chloramine_t'], ['formalin', 'hydrogen_peroxide'] => 'formalin_with_oxidiser',
            ['binder', 'chloramine_t'] => 'binder_with_chloramine_t',
            ['binder', 'potassium_permanganate'], ['binder', 'hydrogen_peroxide'] => 'binder_with_oxidiser',
            ['thiosulfate', 'potassium_permanganate'],
            ['thiosulfate', 'chloramine_t'],
            ['thiosulfate', 'hydrogen_peroxide']
                => 'thiosulfate_with_oxidiser',
            ['methylene_blue', 'seeding_filter'] => 'methylene_blue_while_seeding',
            default => null,
        };
    }

    private function condition(string $one, string $other): ?string
    {
        $treatment = $this->treats($one);

        return match (true) {
            $other === 'carbon' && ($treatment || $one === 'binder') => 'carbon_out',
            $other === 'zeolite' && $treatment => 'zeolite_out',
            $other === 'uv' && $treatment => 'uv_off',
            $other === 'seeding_filter' && $treatment => 'bypass_seeded_filter',
            $other === 'binder' && $treatment => 'binder_apart',
            $other === 'chlorine' && $treatment => 'chlorine_out',
            $one !== $other && $treatment && $this->treats($other) => 'two_medicines',
            default => null,
        };
    }

    private function treats(string $thing): bool
    {
        return $thing === self::OWN ||
            (isset($this->agents->agents[$thing]) && !in_array($thing, self::NOT_TREATMENTS, true));
    }

    private function oxidises(string $thing): bool
    {
        return $thing === 'chlorine' || ($this->agents->agents[$thing] ?? null)?->oxidiser === true;
    }
}
