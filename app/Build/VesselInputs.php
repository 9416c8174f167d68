<?php

declare(strict_types=1);

namespace App\Build;

use App\Forms\TypedInputs;
use App\Models\Vessel;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Catalogue\Registry;

/** The form of one vessel: its shape by the very inputs that its volume takes, and what there is at its top. */
final readonly class VesselInputs
{
    public function __construct(private Registry $registry) {}

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed> columns of a vessel that its volume depends on
     *
     * @throws BadInput
     */
    public function shape(array $typed): array
    {
        $values = (new TypedInputs($this->registry->named('volume.vessel')->inputs()))->read($typed);
        $this->registry->run('volume.vessel', $values);

        return [
            'shape' => $values['shape'],
            'measures' => array_diff_key($values, ['shape' => 0, 'freeboard_m' => 0, 'displaced_l' => 0]),
            'freeboard_m' => $values['freeboard_m'] ?? 0.0,
            'displaced_l' => $values['displaced_l'] ?? 0.0,
        ];
    }

    /**
     * Bays of one measure, or one length divided among them.
     *
     * @param  array<string, mixed>  $columns  of the first
     * @param  array<array-key, mixed>  $typed
     * @return array<string, array<string, mixed>> columns of each by key
     *
     * @throws BadInput
     */
    public function alike(string $id, array $columns, int $count, array $typed): array
    {
        $divided = ($typed['measured'] ?? 'each') === 'together';
        /** @var array<string, mixed> $measures */
        $measures = $columns['measures'];
        if ($divided && !isset($measures['length_m'])) {
            throw BadInput::at('measured', 'Only what has a length is divided along it. Give the measures of each.');
        }
        $each = $divided ? Several::divided($measures, $count) : array_fill(0, $count, $measures);
        $names = Several::names(is_string($columns['name'] ?? null) ? $columns['name'] : '', $count);
        $rows = [];
        foreach (Several::keys($id, $count) as $i => $key) {
            $rows[$key] = [
                ...$columns,
                'name' => $names[$i],
                'measures' => $each[$i],
                'displaced_l' => is_numeric($columns['displaced_l'])
                    ? $columns['displaced_l'] / ($divided ? $count : 1)
                    : 0.0,
            ];
        }

        return $rows;
    }

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed> all columns of a vessel but its name and kind
     *
     * @throws BadInput
     */
    public function read(array $typed): array
    {
        $errors = [];
        $columns = $more = [];
        try {
            $columns = $this->shape($typed);
        } catch (BadInput $bad) {
            $errors = $bad->errors;
        }
        try {
            $more = (new TypedInputs([
                Input::number('level_mm', 'Water level', 'mm', -10000, 10000)->optional(),
                Input::number('may_fall_mm', 'Level may fall', 'mm', 0, 5000)->optional(),
                Input::choice('shade', 'Shade', Vessel::SHADES)->optional(),
                Input::number('stones_m2', 'Stones on its floor', 'm²', 0, 100000)->optional(),
                Input::number('silt_m2', 'Silt', 'm²', 0, 100000)->optional(),
                Input::number('plants_m2', 'Plants', 'm²', 0, 100000)->optional(),
                Input::number('refill_l_min', 'Lets in', 'L/min', 0.01, 1000)->optional(),
                PartCost::input(),
            ]))->read($typed);
        } catch (BadInput $bad) {
            $errors += $bad->errors;
        }
        if ($errors !== []) {
            throw new BadInput($errors);
        }

        return [
            'level_mm' => 0.0,
            'may_fall_mm' => null,
            'shade' => 'none',
            'stones_m2' => 0.0,
            'silt_m2' => 0.0,
            'plants_m2' => 0.0,
            'refill_l_min' => null,
            'cost' => null,
            ...$columns,
            ...$more,
            'netted' => filter_var($typed['netted'] ?? null, FILTER_VALIDATE_BOOL),
            'overflow' => filter_var($typed['overflow'] ?? null, FILTER_VALIDATE_BOOL),
            'float_valve' => filter_var($typed['float_valve'] ?? null, FILTER_VALIDATE_BOOL),
            'invertebrates' => filter_var($typed['invertebrates'] ?? null, FILTER_VALIDATE_BOOL),
        ];
    }
}
