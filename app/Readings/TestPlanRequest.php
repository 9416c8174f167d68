<?php

declare(strict_types=1);

namespace App\Readings;

use App\Forms\TypedInputs;
use App\Http\FormRequest;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Judge\Parameter;

/** How often something is to be tested: as usual, never, or every so many hours. */
final class TestPlanRequest extends FormRequest
{
    private const LONGEST_H = 8784;

    /** @throws BadInput at `parameter` */
    public function parameter(): Parameter
    {
        $key = $this->route('parameter');

        return Parameter::tryFrom(is_string($key) ? $key : '') ??
            throw BadInput::at('parameter', 'This is not something that can be tested here.');
    }

    public function usual(): bool
    {
        return $this->input('way') === 'usual';
    }

    /**
     * @return ?float hours; null for never
     *
     * @throws BadInput at `every_h`
     */
    public function everyH(): ?float
    {
        if ($this->input('way') === 'never') {
            return null;
        }
        $values = (new TypedInputs([Input::number('every_h', 'Every', 'h', 1, self::LONGEST_H)]))->read($this->all());

        return is_numeric($values['every_h']) ? (float) $values['every_h'] : null;
    }
}
