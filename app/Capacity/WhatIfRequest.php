<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Models\System;
use Illuminate\Validation\Rule;
use Ironwort\Core\Calc\BadInput;

/** A what-if to keep: its name, and what it changes. */
final class WhatIfRequest extends CapacityRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $system = $this->route('system');
        $id = $this->route('id');

        return [
            'name' => [
                'required',
                'string',
                'max:60',
                Rule::unique('what_ifs', 'name')
                    ->where('system_id', $system instanceof System ? $system->id : null)
                    ->ignore(strtoupper(is_string($id) ? $id : '')),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'Enter a name.', 'name.unique' => 'This name is taken.'];
    }

    /**
     * @return array<string, string> what is changed, as typed
     *
     * @throws BadInput at `name` where nothing is
     */
    public function changes(): array
    {
        $changes = array_filter($this->conditions(), static fn(string $text): bool => trim($text) !== '');

        return $changes === [] ? throw BadInput::at('name', 'Change something first.') : $changes;
    }
}
