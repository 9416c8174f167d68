<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Forms\TypedInputs;
use App\Http\FormRequest;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Catalogue\Library;

/** The keeper's own protocol of a quarantine. */
final class QuarantineRequest extends FormRequest
{
    /**
     * @return array{days: float, life_cycle: string}
     *
     * @throws BadInput at the field
     */
    public function columns(Library $library): array
    {
        $read = (new TypedInputs([
            Input::number('days', 'Days', 'days', 0, 365),
            Input::choice('life_cycle', 'Looked for', array_keys($library->lifeCycles()))->or('none'),
        ]))->read($this->all());

        return [
            'days' => is_numeric($read['days']) ? (float) $read['days'] : 0.0,
            'life_cycle' => is_string($read['life_cycle'] ?? null) ? $read['life_cycle'] : 'none',
        ];
    }
}
