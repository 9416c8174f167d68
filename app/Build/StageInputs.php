<?php

declare(strict_types=1);

namespace App\Build;

use App\Forms\Began;
use App\Forms\Day;
use App\Forms\TypedInputs;
use App\Forms\VesselChoice;
use App\Models\Stage;
use App\Models\System;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Water\AssumedWater;

/** The form of one filter stage, checked by the very inputs that the capacity takes. */
final readonly class StageInputs
{
    private const ANY_WATER = [
        'temp_c' => AssumedWater::TEMPERATURE_C,
        'ph' => AssumedWater::PH,
        'do_in_mg_l' => 7,
        'tan_mg_l' => 0.25,
        'alkalinity_mg_l' => AssumedWater::ALKALINITY_MG_L,
    ];

    public function __construct(private Registry $registry, private LoopSums $sums, private LimitsInForce $judging) {}

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed> columns of a stage
     *
     * @throws BadInput
     */
    public function read(System $system, array $typed, string $id = ''): array
    {
        $chamber = Layers::chamber($system, $id, $typed['chamber_id'] ?? null);
        $ofLoop = trim(is_scalar($typed['flow_l_h'] ?? null) ? (string) $typed['flow_l_h'] : '') === '';
        if ($ofLoop) {
            $typed['flow_l_h'] = $this->flowSoFar($system, $id);
        }
        $more = [
            'vessel_id' => VesselChoice::vessel($system, $typed['vessel_id'] ?? null),
            'since' => $this->since($system, $typed),
            'cleaned_on' => Day::read($typed, 'cleaned_on'),
            'bypassable' => filter_var($typed['bypassable'] ?? null, FILTER_VALIDATE_BOOL),
            'bypassed' => filter_var($typed['bypassed'] ?? null, FILTER_VALIDATE_BOOL),
            'under_pressure' => filter_var($typed['under_pressure'] ?? null, FILTER_VALIDATE_BOOL),
        ];
        if ($more['bypassed'] && !$more['bypassable']) {
            throw BadInput::at('bypassed', 'It has no bypass.');
        }
        $values = (new TypedInputs([...$this->fields(), ...self::hydraulics()]))->read($typed);
        $row = array_diff_key(
            $values,
            array_flip(array_map(static fn(Input $input): string => $input->key, self::hydraulics())),
        );
        try {
            $this->registry->run('filter.capacity', [...self::ANY_WATER, 'stages' => [$row]]);
        } catch (BadInput $bad) {
            throw new BadInput(
                array_combine(
                    array_map(
                        static fn(string $key): string => str_replace('stages.0.', '', $key),
                        array_keys($bad->errors),
                    ),
                    array_values($bad->errors),
                ),
            );
        }

        $lamp = $row['kind'] === 'uv' ? [...$this->lamp($typed), ...$this->burns($system, $id)] : [];

        return [
            'lamp_w' => null,
            'lamp_fitted_on' => null,
            'sleeve_wiped_on' => null,
            ...$lamp,
            'medium' => null,
            'area_m2_m3' => null,
            'branch' => null,
            'media_l' => 0,
            'air_l_min' => 0,
            'maturity_pct' => null,
            'fouling_pct' => null,
            'loss_mm' => 20,
            'rim_mm' => null,
            'may_drop_mm' => null,
            'water_l' => null,
            'plan_m2' => null,
            'fed' => null,
            'may_press_m' => null,
            'cost' => null,
            'chamber_id' => null,
            ...$values,
            'flow_of_loop' => $ofLoop,
            ...$more,
            'fouling_seen_on' => isset($values['fouling_pct']) ? now()->toDateString() : null,
            ...$more['under_pressure'] ? ['rim_mm' => null, 'may_drop_mm' => null] : ['may_press_m' => null],
            ...$chamber === null ? [] : Layers::columns($chamber),
        ];
    }

    /** Until the loop is solved: what it had, or its water once an hour. */
    private function flowSoFar(System $system, string $id): float
    {
        $stage = $system->stages->firstWhere('id', $id);

        return max(100.0, $stage instanceof Stage ? $stage->flow_l_h : round($this->sums->volume($system)->value));
    }

    /**
     * Asked of what can carry bacteria; of the rest only where somebody says it.
     *
     * @param  array<array-key, mixed>  $typed
     *
     * @throws BadInput
     */
    private function since(System $system, array $typed): ?string
    {
        return Began::day($typed, 'began', 'since', now($system->site->timezone)->toDateString());
    }

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed>
     */
    private function lamp(array $typed): array
    {
        $values = (new TypedInputs([Input::number('lamp_w', 'Lamp', 'W', 1, 5000)->optional()]))->read([
            'lamp_w' => $typed['lamp_w'] ?? null,
        ]);
        $errors = [];
        foreach (['lamp_fitted_on', 'sleeve_wiped_on'] as $key) {
            try {
                $values[$key] = Day::read($typed, $key);
            } catch (BadInput $bad) {
                $errors += $bad->errors;
            }
        }

        return $errors === [] ? $values : throw new BadInput($errors);
    }

    /** @return array{lamp_state?: string} of a lamp that is new: as the school uses it */
    private function burns(System $system, string $id): array
    {
        $share = $this->judging->following($system)->in('uv_use')->figure('share');

        return $system->stages->contains('id', $id)
            ? []
            : ['lamp_state' => $share >= 1 ? 'on' : ($share > 0 ? 'alternate' : 'off')];
    }

    /** @return list<Input> */
    private static function hydraulics(): array
    {
        return [
            Input::number('loss_mm', 'Head loss at this flow', 'mm', 0, 20000)->optional(),
            Input::number('rim_mm', 'Rim above the water', 'mm', -500, 5000)->optional(),
            Input::number('may_drop_mm', 'Level may drop', 'mm', 0, 5000)->optional(),
            Input::number('water_l', 'Water in it', 'L', 0.1, 1e6)->optional(),
            Input::number('plan_m2', 'Its plan', 'm²', 0.001, 1e4)->optional(),
            Input::choice('fed', 'Fed by', Stage::FED)->optional(),
            Input::number('may_press_m', 'Made for a pressure of', 'm', 0.1, 100)->optional(),
            PartCost::input(),
        ];
    }

    /** @return list<Input> */
    private function fields(): array
    {
        foreach ($this->registry->named('filter.capacity')->inputs() as $input) {
            if ($input->key === 'stages') {
                return $input->fields;
            }
        }
        throw new \LogicException('filter.capacity takes no stages.');
    }
}
