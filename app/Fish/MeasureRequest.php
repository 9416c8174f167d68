<?php

declare(strict_types=1);

namespace App\Fish;

use App\Forms\Day;
use App\Http\FormRequest;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;

/** Fish of a group were measured or weighed, on a day. */
final class MeasureRequest extends FormRequest
{
    /**
     * What was read, as it was read.
     *
     * @return array{length_cm: ?float, weight_g: ?float, measured_on: string}
     *
     * @throws BadInput
     */
    public function measure(System $system): array
    {
        $form = $this->form();
        $form->size();

        return [
            'length_cm' => $form->number('length_cm'),
            'weight_g' => $form->number('weight_g'),
            'measured_on' => Day::read($this->all(), 'measured_on') ?? FishForm::today($system),
        ];
    }

    /** @throws BadInput */
    private function form(): FishForm
    {
        return new FishForm(FishForm::sizes(), $this->all());
    }
}
