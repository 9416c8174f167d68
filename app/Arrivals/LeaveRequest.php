<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Fish\FishForm;
use App\Forms\Day;
use App\Http\FormRequest;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** Fish that go: sold, lost, or moved to another system of the same site. */
final class LeaveRequest extends FormRequest
{
    /**
     * How many of a group go, on which day, and why.
     *
     * @return array{count: int, happened_on: string, reason: ?string}
     *
     * @throws BadInput
     */
    public function leaving(System $system, int $there): array
    {
        $form = new FishForm([FishForm::counted(1), Input::text('reason', 'Reason', 200)->optional()], $this->all());
        $count = $form->count();
        if ($count > $there) {
            throw BadInput::at('count', $there === 1 ? 'There is only one.' : "There are only {$there}.");
        }

        return [
            'count' => $count,
            'happened_on' => Day::read($this->all(), 'happened_on') ?? FishForm::today($system),
            'reason' => $form->text('reason'),
        ];
    }

    /** @throws BadInput at `to` where they are moved and it is not said where */
    public function to(System $from): ?System
    {
        return $this->route('kind') === 'moved' ? $this->destination($from) : null;
    }

    /** @throws BadInput at `to` */
    public function destination(System $from): System
    {
        $slug = $this->input('to');

        return System::query()
            ->where('site_id', $from->site_id)
            ->where('slug', is_string($slug) ? $slug : '')
            ->first() ?? throw BadInput::at('to', 'Say where they go.');
    }
}
