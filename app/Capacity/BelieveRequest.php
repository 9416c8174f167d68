<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Http\FormRequest;
use App\Models\FilterTest;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;

/** The measurement of a filter that is to stand in for its estimate, or none. */
final class BelieveRequest extends FormRequest
{
    /** @throws BadInput at `test` for one of another system */
    public function test(System $system): ?string
    {
        $id = $this->input('test');
        if ($id === null) {
            return null;
        }

        return is_string($id) && FilterTest::query()->where('system_id', $system->id)->whereKey($id)->exists()
            ? $id
            : throw BadInput::at('test', 'There is no such measurement here.');
    }
}
