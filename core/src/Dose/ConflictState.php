<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Water\WaterInputs;

/** The state of a system as conflicts are judged by it. */
final readonly class ConflictState
{
    /** From so much on there is salt in the water. */
    private const SALTED_G_L = 0.5;

    /**
     * @param  list<string>  $present  all that is in the water or the loop, once each
     * @param  ?float  $leftMgL  of the agent that is to be given, where that is known
     */
    private function __construct(
        public float $tempC,
        public ?float $ph,
        public ?float $alkalinity,
        public ?float $hardness,
        public ?float $oxygen,
        public array $present,
        private ?float $leftMgL,
        private float $salinityGL,
    ) {}

    /** @return list<Input> */
    public static function inputs(Conflicts $conflicts): array
    {
        return [
            WaterInputs::temperature(),
            WaterInputs::ph()->optional(),
            WaterInputs::alkalinity()->optional(),
            Input::number('hardness_mg_l', 'Hardness', 'mg/L as CaCO₃', 0, 2000)->optional(),
            WaterInputs::salinity(),
            Input::number('do_mg_l', 'Oxygen', 'mg/L', 0, 30)->optional(),
            Input::choices('present', 'In the water or the loop', $conflicts->things())->optional(),
            Input::number('left_mg_l', 'Of it left in the water', 'mg/L, µL/L for a liquid', 0, 100000)->optional(),
            Input::flag('carbon_in', 'Carbon in the loop')->or(false),
            Input::flag('zeolite_in', 'Zeolite in the loop')->or(false),
            Input::flag('uv_on', 'UV is on')->or(false),
            Input::flag('filter_seeding', 'A filter is being seeded')->or(false),
        ];
    }

    public static function from(Given $given): self
    {
        return new self(
            tempC: $given->number('temp_c'),
            ph: $given->numberOrNull('ph'),
            alkalinity: $given->numberOrNull('alkalinity_mg_l'),
            hardness: $given->numberOrNull('hardness_mg_l'),
            oxygen: $given->numberOrNull('do_mg_l'),
            present: array_values(
                array_unique([
                    ...$given->texts('present'),
                    ...$given->flag('carbon_in') ? ['carbon'] : [],
                    ...$given->flag('zeolite_in') ? ['zeolite'] : [],
                    ...$given->flag('uv_on') ? ['uv'] : [],
                    ...$given->flag('filter_seeding') ? ['seeding_filter'] : [],
                    ...$given->number('salinity_g_l') >= self::SALTED_G_L ? ['salt'] : [],
                ]),
            ),
            leftMgL: $given->numberOrNull('left_mg_l'),
            salinityGL: $given->number('salinity_g_l'),
        );
    }

    /** How much of an agent is in the water, mg/L (µL/L); null where nobody knows. Salt is known by its reading. */
    public function left(string $thing): ?float
    {
        return match (true) {
            $this->leftMgL !== null => $this->leftMgL,
            $thing === 'salt' && $this->salinityGL > 0 => 1000 * $this->salinityGL,
            in_array($thing, $this->present, true) => null,
            default => 0.0,
        };
    }
}
