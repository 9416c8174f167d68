<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Pump;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Intake;
use Ironwort\Core\Flow\PumpDutyCalculator;

/** The form of one pump: a curve for a water pump, a rated flow for a circulator, air for an air pump. */
final readonly class PumpInputs
{
    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed> columns of a pump
     *
     * @throws BadInput
     */
    public function read(array $typed): array
    {
        $kind = $typed['kind'] ?? null;
        if (! is_string($kind) || ! in_array($kind, Pump::KINDS, true)) {
            throw BadInput::at('kind', 'Say what kind of pump it is.');
        }
        $curve = Input::rows('curve', 'Curve', [Input::number('flow_l_h', 'Flow', 'L/h', 0, 1e7), Input::number('head_m', 'Head', 'm', 0, 200)], 2, 30);
        $inputs = [
            Input::number('power_w', 'Power', 'W', 0, 1e6),
            Input::text('circuit', 'Circuit', 40)->optional(),
            ...match ($kind) {
                'water' => [$curve],
                'circulator' => [Input::number('rated_l_h', 'Rated flow', 'L/h', 1, 1e7)],
                default => [Input::number('air_l_min', 'Air', 'L/min', 0.1, 1e5)],
            },
        ];
        $values = (new TypedInputs($inputs))->read($this->withoutEmptyPoints($typed));
        if ($kind === 'water') {
            PumpDutyCalculator::curve($this->rows($curve, $values));
        }

        return ['curve' => null, 'rated_l_h' => null, 'air_l_min' => null, 'circuit' => null, ...$values, 'kind' => $kind, 'running' => Yes::said($typed['running'] ?? true)];
    }

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<array-key, mixed>
     */
    private function withoutEmptyPoints(array $typed): array
    {
        if (is_array($typed['curve'] ?? null)) {
            $typed['curve'] = array_values(array_filter($typed['curve'], static fn (mixed $row): bool => is_array($row) && implode('', array_filter($row, is_scalar(...))) !== ''));
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
