<?php

declare(strict_types=1);

namespace App\Service;

use App\Forms\Moment;
use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Service\Job;
use Ironwort\Core\Service\Rinse;

/** Which job is begun on which part and how, or is told to have been done; and what is said when one is closed. */
final class ServiceRequest extends FormRequest
{
    public const WAYS = ['stop', 'throttle', 'told'];

    /** @throws BadInput at `part` */
    public function part(System $system): ServicedPart
    {
        return ServicedPart::named($system, $this->input('part'));
    }

    public function job(): string
    {
        return $this->string('job')->toString();
    }

    /** Whether a step is ticked, or its tick taken back. */
    public function done(): bool
    {
        return filter_var($this->input('done', true), FILTER_VALIDATE_BOOL);
    }

    /** @throws BadInput at `way` */
    public function way(): string
    {
        $way = $this->input('way', 'throttle');

        return is_string($way) && in_array($way, self::WAYS, true)
            ? $way
            : throw BadInput::at('way', 'With the pump stopped, throttled, or done already?');
    }

    /** @throws BadInput at `rinse` */
    public function rinse(Rinse $usual): Rinse
    {
        $rinse = $this->input('rinse');

        return $rinse === null || $rinse === ''
            ? $usual
            : (is_string($rinse) ? Rinse::tryFrom($rinse) : null) ??
                    throw BadInput::at('rinse', 'In system water, hosed, or hosed with chlorinated water?');
    }

    /** @throws BadInput at the field */
    public function big(Job $job): BigAsked
    {
        return BigAsked::read($job, $this->all());
    }

    /** @throws BadInput at `at` */
    public function at(System $system): Carbon
    {
        return Moment::past($this->input('at'), 'at', $system->site->timezone);
    }

    /** @throws BadInput at `flow_l_h` or `seen` where neither is said */
    public function flow(): ?float
    {
        $read = (new TypedInputs([Input::number('flow_l_h', 'Flow', 'L/h', 0, 1e7)->optional()]))->read($this->all());
        $flow = $read['flow_l_h'] ?? null;
        $litres = is_numeric($flow) ? (float) $flow : null;
        if ($litres === null && !filter_var($this->input('seen'), FILTER_VALIDATE_BOOL)) {
            throw BadInput::at('seen', 'Look at every return, or give the flow.');
        }

        return $litres !== null && $litres <= 0
            ? throw BadInput::at('flow_l_h', 'Then no water flows: look again.')
            : $litres;
    }

    /** @throws BadInput at `water_l`, `cost` */
    public function notes(): ClosingNotes
    {
        $read = (new TypedInputs([
            Input::number('water_l', 'Water that left', 'L', 0, 1e6)->optional(),
            Input::number('cost', 'Cost', null, 0, 1e7)->optional(),
        ]))->read($this->all());
        $number = static fn(string $key): ?float => is_numeric($read[$key] ?? null) ? (float) $read[$key] : null;
        $note = trim($this->string('note')->toString());

        return new ClosingNotes($number('water_l'), $number('cost'), $note === '' ? null : mb_substr($note, 0, 500));
    }
}
