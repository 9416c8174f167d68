<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Forms\Day;
use App\Forms\TypedInputs;
use App\Models\Setback;
use App\Models\System;
use Illuminate\Foundation\Http\FormRequest;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** Something that killed part of a filter: what, how much of it, on which day. */
final class SetbackRequest extends FormRequest
{
    /**
     * @return array<string, mixed> columns of a setback
     *
     * @throws BadInput at the field
     */
    public function columns(System $system): array
    {
        $values = (new TypedInputs([
            Input::choice('kind', 'What happened', Setback::KINDS),
            Input::number('lost_pct', 'Bacteria lost', '%', 0, 100),
        ]))->read($this->all());

        return [
            ...$values,
            'happened_on' => Day::read($this->all(), 'happened_on') ?? now($system->site->timezone)->toDateString(),
        ];
    }
}
