<?php

declare(strict_types=1);

namespace App\Service;

use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** A job of the keeper's own, or an interval of his own for one of the table. */
final class OwnJobRequest extends FormRequest
{
    /** @throws BadInput at `part` */
    public function part(System $system): ServicedPart
    {
        return ServicedPart::named($system, $this->input('part'));
    }

    public function named(): string
    {
        return $this->string('job')->toString();
    }

    /**
     * @return array{name: string, every_d: float, minutes: float}
     *
     * @throws BadInput
     */
    public function job(): array
    {
        $errors = [];
        $name = trim($this->string('name')->toString());
        if ($name === '' || mb_strlen($name) > 80) {
            $errors['name'] = 'What is done? At most 80 characters.';
        }
        $read = [];
        try {
            $read = (new TypedInputs([
                Input::number('every_d', 'Every', 'days', 1, 3650),
                Input::number('minutes', 'Takes', 'min', 1, 1440)->or(15.0),
            ]))->read($this->all());
        } catch (BadInput $bad) {
            $errors += $bad->errors;
        }
        if ($errors !== []) {
            throw new BadInput($errors);
        }

        return [
            'name' => $name,
            'every_d' => is_numeric($read['every_d'] ?? null) ? (float) $read['every_d'] : 0.0,
            'minutes' => is_numeric($read['minutes'] ?? null) ? (float) $read['minutes'] : 15.0,
        ];
    }

    /**
     * @return ?float days; null where the job is not done here
     *
     * @throws BadInput at `every_d`
     */
    public function days(): ?float
    {
        if (filter_var($this->input('never'), FILTER_VALIDATE_BOOL)) {
            return null;
        }
        $read = (new TypedInputs([Input::number('every_d', 'Every', 'days', 1, 3650)]))->read($this->all());

        return is_numeric($read['every_d']) ? (float) $read['every_d'] : null;
    }

    /** Whether the interval of the table holds again. */
    public function usual(): bool
    {
        return filter_var($this->input('usual'), FILTER_VALIDATE_BOOL);
    }
}
