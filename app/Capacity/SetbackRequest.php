<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Forms\Day;
use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Intake;
use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Filter\WashCalculator;

/** Something that killed part of a filter: what was done, to how much of it, for how long, on which day. */
final class SetbackRequest extends FormRequest
{
    /**
     * @return array<string, mixed> columns of a setback
     *
     * @throws BadInput at the field
     */
    public function columns(System $system): array
    {
        $wash = new WashCalculator();
        $values = (new TypedInputs($wash->inputs()))->read($this->all());
        $given = (new Intake($wash->inputs()))->read($values);
        $costs = $wash->calculate($given);

        // Hours typed for a stop say nothing of a wash that was picked after it.
        if (!Deed::from($given->text('kind'))->byHours()) {
            unset($values['hours']);
        }

        return [
            ...$values,
            'lost_pct' => $costs->number('lost_pct'),
            'low_pct' => $costs->number('low'),
            'high_pct' => $costs->number('high'),
            'happened_on' => Day::read($this->all(), 'happened_on') ?? now($system->site->timezone)->toDateString(),
        ];
    }
}
