<?php

declare(strict_types=1);

namespace App\Fish;

use App\Build\PartRequest;
use App\Forms\Began;
use App\Forms\VesselChoice;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Fish\Condition;

/** A group of fish, as the build page keeps it. */
final class GroupRequest extends PartRequest
{
    /**
     * Length or weight, or both: what is missing follows from the condition factor, and the reading is kept.
     *
     * @return array<string, mixed> columns of a group
     *
     * @throws BadInput
     */
    public function columns(System $system): array
    {
        $condition = Input::number('condition', 'Condition factor', null, 0.5, 3)->optional();
        $form = new FishForm([FishForm::counted(0), $condition, ...FishForm::sizes()], $this->all());
        $count = $form->count();
        $size = $form->size($form->number('condition') ?? Condition::USUAL);

        return [
            'name' => $this->string('name')->toString(),
            'count' => $count,
            'length_cm' => $size->lengthCm,
            'weight_g' => $size->weightG,
            'condition' => $size->condition,
            'vessel_id' => VesselChoice::vessel($system, $this->input('vessel_id')),
            'arrived_on' => $this->arrived($system),
        ];
    }

    /** @throws BadInput at `came`, which is today, since (a day) or here, where the form asks */
    private function arrived(System $system): ?string
    {
        if ($this->input('came') === 'here') {
            return null;
        }
        try {
            return Began::day($this->all(), 'came', 'arrived_on', FishForm::today($system));
        } catch (BadInput $bad) {
            throw isset($bad->errors['came'])
                ? BadInput::at(
                    'came',
                    'Say whether they are here already or arrived: what the filter must take grows on that day.',
                )
                : $bad;
        }
    }
}
