<?php

declare(strict_types=1);

namespace App\Build;

use App\Http\FormRequest;
use App\Models\System;
use App\Models\Vessel;
use Ironwort\Core\Calc\BadInput;

/** A bay to be shut off from its loop, or let in again. */
final class ShutRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['shut' => ['required', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['shut.required' => 'Choose whether it is shut off.'];
    }

    public function shut(): bool
    {
        return $this->boolean('shut');
    }

    /** @throws BadInput at `id` */
    public function vessel(System $system): Vessel
    {
        $id = $this->route('id');

        return $system->vessels->firstWhere('id', strtoupper(is_string($id) ? $id : '')) ??
            throw BadInput::at('id', 'There is no such vessel here.');
    }
}
