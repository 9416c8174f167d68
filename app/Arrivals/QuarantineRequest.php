<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\Quarantine;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Catalogue\Library;

/** The keeper's own protocol of a quarantine. */
final class QuarantineRequest extends FormRequest
{
    /**
     * @return array<string, mixed> columns of a quarantine
     *
     * @throws BadInput at the field
     */
    public function columns(Library $library): array
    {
        $usual = Quarantine::USUAL;
        $read = (new TypedInputs([
            Input::number('days', 'Days', 'days', 0, 365),
            Input::choice('life_cycle', 'Looked for', array_keys($library->lifeCycles()))->or('none'),
            Input::number('looks_every_d', 'Every fish looked at each', 'days', 0.5, 60)->or($usual['looks_every_d']),
            Input::number('tests_a_day', 'Tests a day', null, 0, 12)->or($usual['tests_a_day']),
            Input::number('hold_c', 'Temperature to hold', '°C', 1, 35)->optional(),
            Input::number('c_a_day', 'Brought there by', '°C a day', 0.1, 5)->or($usual['c_a_day']),
            Input::number('air_c', 'Air of the shed', '°C', -30, 45)->optional(),
            Input::choice('treating', 'Treatment', Quarantine::TREATING)->or($usual['treating']),
        ]))->read($this->all());

        return [
            ...$usual,
            ...$read,
            'own_nets' => $this->boolean('own_nets'),
            'footbath' => $this->boolean('footbath'),
        ];
    }
}
