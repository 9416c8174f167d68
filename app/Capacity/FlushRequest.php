<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Forms\Moment;
use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\Stage;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** Which stage was flushed, or how far it was seen to be fouled, and when. */
final class FlushRequest extends FormRequest
{
    /** @throws BadInput at `stage` */
    public function stage(System $system): Stage
    {
        return $system->stages->firstWhere('id', strtoupper($this->string('stage')->toString())) ??
            throw BadInput::at('stage', 'There is no such stage here.');
    }

    /** @throws BadInput at `at` */
    public function at(System $system): Carbon
    {
        return Moment::past($this->input('at'), 'at', $system->site->timezone);
    }

    /** @throws BadInput at `seen_pct` */
    public function seenPct(): ?float
    {
        $typed = new TypedInputs([Input::number('seen_pct', 'Fouling as seen', '%', 0, 100)->optional()]);
        $seen = $typed->read($this->all())['seen_pct'] ?? null;

        return is_numeric($seen) ? (float) $seen : null;
    }
}
