<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

/**
 * A kind of thing that stands on a shelf: what it is counted in, and what its label must say before it can be dosed.
 *
 * `$label` are keys of the calculator it is dosed by; `$usualPct` the strength it is mostly sold at.
 */
final readonly class ShelfKind
{
    /** @param  list<string>  $label */
    public function __construct(
        public string $id,
        public string $name,
        public string $unit,
        public array $label = [],
        public bool $hasStrength = false,
        public ?float $usualPct = null,
    ) {}

    /**
     * @return array<string, self> by id: what is dosed by its label, what is weighed, the agents, and what is only
     *     kept ready
     */
    public static function all(AgentTable $agents): array
    {
        $kinds = [
            new self('conditioner', 'Conditioner against chlorine', 'mL', [
                'label_ml',
                'label_treats_l',
                'label_chlorine_mg_l',
            ]),
            new self('binder', 'Ammonia binder', 'mL', ['label_ml', 'label_treats_l', 'label_binds_mg_l']),
            new self('culture', 'Bacterial culture', 'mL', ['label_ml', 'label_treats_l']),
            new self('bicarbonate', 'Sodium bicarbonate', 'g'),
            new self('thiosulfate', 'Sodium thiosulfate', 'g'),
            new self('zeolite', 'Zeolite or ammonia resin', 'g'),
            new self('carbon', 'Activated carbon', 'g'),
        ];
        foreach ($agents->agents as $agent) {
            $kinds[] = new self(
                $agent->id,
                $agent->name,
                $agent->unit,
                hasStrength: true,
                // What is sold pure is pure unless its label says otherwise.
                usualPct: $agent->strengthPct ?? ($agent->needsStrength ? null : 100.0),
            );
        }
        $kinds[] = new self('agent', 'Another agent, by its label', 'mL', ['label_ml', 'label_treats_l']);
        $kinds[] = new self('battery_air', 'Battery air pump', 'pieces');

        return array_column($kinds, null, 'id');
    }
}
