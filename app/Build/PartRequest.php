<?php

declare(strict_types=1);

namespace App\Build;

use App\Http\FormRequest;
use App\Models\Pump;
use App\Models\System;
use App\Models\Vessel;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Unique;

/** The form of a part of the build: its name, its kind where it has kinds, and the version its editor has seen. */
class PartRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $kinds = match (true) {
            $this->routeIs('vessels') => Vessel::KINDS,
            $this->routeIs('pumps') => Pump::KINDS,
            default => null,
        };
        $system = $this->route('system');
        $id = $this->route('id');

        return [
            'name' => [
                'required',
                'string',
                'max:60',
                ...$system instanceof System ? $this->alone($system, strtoupper(is_string($id) ? $id : '')) : [],
            ],
            ...$kinds === null ? [] : ['kind' => ['required', Rule::in($kinds)]],
        ];
    }

    /** @return list<Unique> what lies in water or joins it is told apart by its name */
    private function alone(System $system, string $id): array
    {
        return match (true) {
            $this->routeIs('vessels') => [
                Rule::unique('vessels', 'name')->where('system_id', $system->id)->whereNull('retired_at')->ignore($id),
            ],
            $this->routeIs('junctions') => [
                Rule::unique('junctions', 'name')->where('system_id', $system->id)->ignore($id),
            ],
            default => [],
        };
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Enter a name.',
            'name.unique' => 'This name is taken.',
            'name.max' => 'A name has at most 60 characters.',
            'kind.required' => 'Say what it is.',
        ];
    }

    /** The version of the part that whoever saves has seen; null when it is new or nobody says. */
    public function seen(): ?string
    {
        $seen = $this->input('seen');

        return is_string($seen) && $seen !== '' ? $seen : null;
    }
}
