<?php

declare(strict_types=1);

namespace App\Fish;

use App\Http\FormRequest;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;

/** Fish that go: sold, lost, or moved to another system of the same site. */
final class LeaveRequest extends FormRequest
{
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
