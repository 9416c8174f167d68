<?php

declare(strict_types=1);

namespace App\Running;

use App\Forms\Moment;
use App\Http\FormRequest;
use App\Models\AirOutlet;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;

/** What is switched, to what, since when and why. */
final class SwitchRequest extends FormRequest
{
    private const LONGEST_REASON = 200;

    /** @throws BadInput at `part` */
    public function part(System $system): Pump|Stage|Line|AirOutlet
    {
        $id = strtoupper($this->string('part')->toString());

        return $system->pumps->firstWhere('id', $id) ??
            ($system->stages->first(static fn(Stage $stage): bool => $stage->id === $id && $stage->kind === 'uv') ??
                ($system->lines->first(static fn(Line $line): bool => $line->id === $id && $line->shuts()) ??
                    ($system->airOutlets->first(static fn(AirOutlet $one): bool => $one->id === $id && $one->valve) ??
                        throw BadInput::at('part', 'Nothing of this kind is in this system.'))));
    }

    /** @throws BadInput at `state` */
    public function state(): string
    {
        $state = $this->input('state');

        return is_string($state) && in_array($state, Switching::STATES, true)
            ? $state
            : throw BadInput::at('state', 'On, off, alternate days, or lent?');
    }

    /** @throws BadInput at `to` */
    public function lentTo(System $system): ?System
    {
        $to = $this->input('to');
        if ($to === null || $to === '') {
            return null;
        }

        return System::ofSite($system->site)
            ->where('slug', is_string($to) ? $to : '')
            ->first() ?? throw BadInput::at('to', 'There is no such system at this site.');
    }

    /** @throws BadInput at `at` */
    public function at(System $system): Carbon
    {
        return Moment::past($this->input('at'), 'at', $system->site->timezone);
    }

    public function reason(): ?string
    {
        $reason = $this->input('reason');

        return is_string($reason) && trim($reason) !== '' ? mb_substr(trim($reason), 0, self::LONGEST_REASON) : null;
    }
}
