<?php

declare(strict_types=1);

namespace App\Water;

use App\Forms\Day;
use App\Http\FormRequest;
use App\Readings\ReadTypedReadings;
use App\Readings\VisitRequest;
use Ironwort\Core\Calc\BadInput;

/** A test of a water: its readings, on which side of the treatment, whether its chlorine is bound. */
final class SourceTestRequest extends FormRequest
{
    /** @throws BadInput at the reading, or at `readings` where there is none */
    public function readings(): ReadTypedReadings
    {
        $typed = new ReadTypedReadings(VisitRequest::rows($this));

        return match (true) {
            $typed->errors !== [] => throw new BadInput($typed->errors),
            $typed->readings === [] => throw BadInput::at('readings', 'Type at least one reading.'),
            default => $typed,
        };
    }

    public function side(): string
    {
        return $this->input('side') === 'treated' ? 'treated' : 'raw';
    }

    /** @throws BadInput at `tested_on` */
    public function testedOn(): ?string
    {
        return Day::read($this->all(), 'tested_on');
    }
}
