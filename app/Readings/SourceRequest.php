<?php

declare(strict_types=1);

namespace App\Readings;

use App\Http\FormRequest;
use App\Models\System;
use App\Models\WaterSource;
use Ironwort\Core\Calc\BadInput;

/** The water a system is filled from, or none. */
final class SourceRequest extends FormRequest
{
    /** @throws BadInput at `water` for one that this site has not */
    public function source(System $system): ?string
    {
        $id = $this->input('water');
        if ($id === null || $id === '') {
            return null;
        }

        return is_string($id) && WaterSource::query()->where('site_id', $system->site_id)->where('id', $id)->exists()
            ? $id
            : throw BadInput::at('water', 'There is no such water.');
    }
}
