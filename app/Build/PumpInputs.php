<?php

declare(strict_types=1);

namespace App\Build;

use App\Forms\TypedInputs;
use App\Forms\VesselChoice;
use App\Models\Line;
use App\Models\Pump;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Intake;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Flow\PumpDutyCalculator;

/** The form of one pump: a curve for a water pump, a rated flow for a circulator, air for an air pump. */
final readonly class PumpInputs
{
    public function __construct(private Registry $registry) {}

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed> columns of a pump
     *
     * @throws BadInput
     */
    public function read(System $system, array $typed): array
    {
        $kind = $typed['kind'] ?? null;
        if (!is_string($kind) || !in_array($kind, Pump::KINDS, true)) {
            throw BadInput::at('kind', 'Choose the kind of pump.');
        }
        $curve = Input::rows(
            'curve',
            'Curve',
            [Input::number('flow_l_h', 'Flow', 'L/h', 0, 1e7), Input::number('head_m', 'Head', 'm', 0, 200)],
            2,
            30,
        );
        $inputs = [
            Input::number('power_w', 'Power', 'W', 0, 1e6),
            Input::text('circuit', 'Circuit', 40)->optional(),
            PartCost::input(),
            ...match ($kind) {
                'water' => [$curve, Input::number('above_mm', 'Stands above the water', 'mm', 0, 8000)->optional()],
                'circulator' => [
                    Input::number('rated_l_h', 'Rated flow', 'L/h', 1, 1e7),
                    Input::choice('spot', 'Stands at', Line::SPOTS)->optional(),
                    Input::choice('aim', 'Blows', Line::AIMS)->optional(),
                ],
                'airlift' => [
                    Input::number('air_l_min', 'Air', 'L/min', 0.1, 5000),
                    Input::number('submergence_m', 'Depth of the air inlet', 'm', 0.05, 20),
                    Input::number('lift_m', 'Lift above the water', 'm', 0, 5),
                    Input::number('riser_mm', 'Bore of the riser', 'mm', 8, 300),
                ],
                'heater' => [],
                default => [
                    Input::number('air_l_min', 'Air', 'L/min', 0.1, 1e5),
                    Input::choice('diffuser', 'Lets it out through', ['stone', 'fine'])->optional(),
                    Input::number('depth_m', 'At a depth of', 'm', 0.05, 10)->optional(),
                ],
            },
        ];
        $values = (new TypedInputs($inputs))->read($this->withoutEmptyPoints($typed));
        $inside = VesselChoice::vessel($system, $typed['vessel_id'] ?? null);
        if ($kind === 'airlift') {
            $this->refuseWhatLiftsNothing($values);
        }
        if ($kind === 'water') {
            PumpDutyCalculator::curve($this->rows($curve, $values));
        }

        return [
            'curve' => null,
            'above_mm' => null,
            'spot' => null,
            'aim' => null,
            'rated_l_h' => null,
            'air_l_min' => null,
            'submergence_m' => null,
            'lift_m' => null,
            'riser_mm' => null,
            'diffuser' => null,
            'depth_m' => null,
            'circuit' => null,
            'cost' => null,
            ...$values,
            'vessel_id' => $inside,
            'kind' => $kind,
            'by_day' => filter_var($typed['by_day'] ?? false, FILTER_VALIDATE_BOOL),
            'guarded' => $kind === 'circulator' ? self::said($typed['guarded'] ?? '') : null,
            'at_surface' => $kind === 'circulator' && filter_var($typed['at_surface'] ?? false, FILTER_VALIDATE_BOOL),
            ...$this->state($typed),
        ];
    }

    private static function said(mixed $typed): ?bool
    {
        return $typed === '' || $typed === null ? null : filter_var($typed, FILTER_VALIDATE_BOOL);
    }

    /**
     * Only where a form says it: what runs is switched with its time, on another page.
     *
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed>
     */
    private function state(array $typed): array
    {
        if (!array_key_exists('running', $typed)) {
            return [];
        }
        $runs = filter_var($typed['running'], FILTER_VALIDATE_BOOL);

        return ['running' => $runs, 'state' => $runs ? 'on' : 'off'];
    }

    /** @param  array<string, mixed>  $values */
    private function refuseWhatLiftsNothing(array $values): void
    {
        $flow = $this->registry
            ->run('flow.airlift', [
                'air_l_min' => $values['air_l_min'],
                'submergence_m' => $values['submergence_m'],
                'lift_m' => $values['lift_m'],
                'bore_mm' => $values['riser_mm'],
            ])
            ->number('flow_l_h');
        if ($flow <= 0) {
            throw BadInput::at(
                'lift_m',
                'This much air cannot lift water so high. Use more air, a deeper inlet or less lift.',
            );
        }
    }

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<array-key, mixed>
     */
    private function withoutEmptyPoints(array $typed): array
    {
        if (is_array($typed['curve'] ?? null)) {
            $typed['curve'] = array_values(
                array_filter(
                    $typed['curve'],
                    static fn(mixed $row): bool => is_array($row) &&
                        implode('', array_filter($row, is_scalar(...))) !== '',
                ),
            );
        }

        return $typed;
    }

    /**
     * @param  array<string, mixed>  $values
     * @return list<Given>
     */
    private function rows(Input $curve, array $values): array
    {
        return (new Intake([$curve]))->read(['curve' => $values['curve']])->rows('curve');
    }
}
