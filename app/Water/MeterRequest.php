<?php

declare(strict_types=1);

namespace App\Water;

use App\Forms\Moment;
use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\MeterReading;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** What the meter in the pipe of new water counts, and when it was read. */
final class MeterRequest extends FormRequest
{
    /** @throws BadInput at `meter_l` where it would have run backwards: a new meter begins without the old readings */
    public function litres(System $system): float
    {
        $read = (new TypedInputs([Input::number('meter_l', 'Meter', 'L', 0, 1e12)]))->read($this->all())['meter_l'];
        $litres = is_numeric($read) ? (float) $read : 0.0;
        $last = self::last($system);
        if ($last !== null && $litres < $last->litres) {
            throw BadInput::at(
                'meter_l',
                'It was at ' . number_format($last->litres) . ' L before. If the meter is new, undo that reading.',
            );
        }

        return $litres;
    }

    /** @throws BadInput at `at` */
    public function at(System $system): Carbon
    {
        $at = Moment::past($this->input('at'), 'at', $system->site->timezone);
        $last = self::last($system);

        return $last !== null && $at->lte($last->read_at) ? throw BadInput::at('at', 'It was read after that.') : $at;
    }

    private static function last(System $system): ?MeterReading
    {
        return MeterReading::latest($system, 1)[0] ?? null;
    }
}
