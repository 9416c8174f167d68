<?php

declare(strict_types=1);

namespace App\Water;

use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\User;
use App\Models\WaterSource;
use Illuminate\Validation\Rule;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** A water that systems are filled from: its name, what it is, what it runs through. */
final class SourceWaterRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $user = $this->user();
        $id = $this->route('id');

        return [
            'name' => [
                'required',
                'string',
                'max:60',
                Rule::unique('waters', 'name')
                    ->where('site_id', $user instanceof User ? $user->site_id : null)
                    ->ignore(strtoupper(is_string($id) ? $id : '')),
            ],
            'kind' => ['required', Rule::in(WaterSource::KINDS)],
            'unit_name' => ['nullable', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Enter a name.',
            'name.unique' => 'This name is taken.',
            'kind.required' => 'Say what water it is.',
        ];
    }

    /**
     * @return array<string, mixed> columns of a water
     *
     * @throws BadInput at `unit_carbon_l`
     */
    public function columns(): array
    {
        $read = (new TypedInputs([Input::number('unit_carbon_l', 'Carbon in it', 'L', 0.05, 10000)->optional()]))->read(
            $this->all(),
        );
        $unit = $this->string('unit_name')->toString();

        return [
            'name' => $this->string('name')->toString(),
            'kind' => $this->string('kind')->toString(),
            'softened' => $this->boolean('softened'),
            'unit_name' => $unit === '' ? null : $unit,
            'unit_carbon_l' => $unit === '' ? null : $read['unit_carbon_l'] ?? null,
        ];
    }
}
