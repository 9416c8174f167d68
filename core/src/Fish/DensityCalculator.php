<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;

/**
 * How densely fish are kept: by the water they have and by the water that passes them.
 *
 *     biomass_kg 50, volume_l 8979, flow_l_h 12112  →  kg_m3 5.57, kg_per_m3_h 4.13
 *
 * What is too dense differs by keeper and by oxygen: a school.
 */
final readonly class DensityCalculator implements Calculator
{
    public function name(): string
    {
        return 'fish.density';
    }

    public function title(): string
    {
        return 'Stocking density';
    }

    public function inputs(): array
    {
        return [
            Input::number('biomass_kg', 'Fish', 'kg', 0, 1e6),
            Input::number('volume_l', 'Volume', 'L', 0.1, 1e8),
            Input::number('flow_l_h', 'Flow', 'L/h', 0, 1e8)->or(0.0),
        ];
    }

    public function outputs(): array
    {
        return [new Output('kg_m3', 'kg/m³'), new Output('kg_per_m3_h', 'kg per m³/h')];
    }

    public function calculate(Given $given): Result
    {
        $kg = $given->number('biomass_kg');
        $density = self::kgM3($kg, $given->number('volume_l'));
        $flow = $given->number('flow_l_h');
        $work = new Working();
        $work->step(
            'Fish by the water they have.',
            'kg / m³',
            Format::number($kg, 3) . ' kg, ' . Format::number($given->number('volume_l'), 5) . ' L',
            Format::number($density, 3) . ' kg/m³',
        );
        if ($flow > 0) {
            $work->step(
                'And by the water that passes them.',
                'kg / (m³/h)',
                Format::number($flow, 5) . ' L/h',
                Format::number((1000 * $kg) / $flow, 3) . ' kg per m³/h',
            );
        }
        $work->cite('cp-density');

        return $work->result(['kg_m3' => $density, 'kg_per_m3_h' => $flow > 0 ? (1000 * $kg) / $flow : null]);
    }

    /**
     * What the flow brings oxygen for by itself, kg per m³/h: 2 mg/L from inlet to outlet, at 0.17 g a kg and hour of
     * fed fish at 20 °C. More needs air in the bay.
     */
    public const FLOW_ALONE = 12.0;

    /** From so much of the limit on it is watched. Common practice, no source. */
    private const NEAR = 0.8;

    public static function state(float $kgM3, float $limit): State
    {
        return match (true) {
            $kgM3 > $limit => State::Act,
            $kgM3 >= self::NEAR * $limit => State::Watch,
            default => State::Good,
        };
    }

    /** @param  float  $volumeL  above 0 */
    public static function kgM3(float $kg, float $volumeL): float
    {
        return (1000 * $kg) / $volumeL;
    }
}
