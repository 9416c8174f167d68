<?php

declare(strict_types=1);

namespace App\Build;

use App\Forms\TypedInputs;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** The form of an outlet of air: of which pump, where it comes out, how much of the air is its, and its valve. */
final readonly class OutletInputs
{
    public const VALVES = ['open', 'shut', 'none'];

    /**
     * @param  array<array-key, mixed>  $typed  `to` is written `vessel:KEY` or `stage:KEY`
     * @return array<string, mixed> columns of an outlet
     *
     * @throws BadInput
     */
    public static function read(System $system, array $typed): array
    {
        $errors = [];
        $pump = $system->pumps->first(
            static fn(Pump $one): bool => $one->id === ($typed['pump_id'] ?? null) && $one->kind === 'air',
        );
        if (!($pump instanceof Pump)) {
            $errors['pump_id'] = 'Choose its air pump.';
        }
        $valve = $typed['valve'] ?? '';
        if (!in_array($valve, self::VALVES, true)) {
            $errors['valve'] = 'Open, shut, or no valve?';
        }
        [$kind, $id] = [...explode(':', is_string($typed['to'] ?? null) ? $typed['to'] : '', 2), ''];
        $to = match ($kind) {
            'vessel' => $system->vessels->firstWhere('id', $id),
            'stage' => $system->stages->firstWhere('id', $id),
            default => null,
        };
        if (!($to instanceof Vessel) && !($to instanceof Stage)) {
            $errors['to'] = 'Choose where the air comes out.';
        }
        $values = [];
        try {
            $values = (new TypedInputs([Input::number('share', 'Parts of the air', null, 0.01, 100)->or(1.0)]))->read(
                $typed,
            );
        } catch (BadInput $bad) {
            $errors += $bad->errors;
        }
        if ($errors !== []) {
            throw new BadInput($errors);
        }

        return [
            'pump_id' => $pump?->id,
            'vessel_id' => $to instanceof Vessel ? $to->id : null,
            'stage_id' => $to instanceof Stage ? $to->id : null,
            'share' => 1.0,
            ...$values,
            'open' => $valve !== 'shut',
            'valve' => $valve !== 'none',
        ];
    }
}
