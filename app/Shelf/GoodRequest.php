<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Forms\Day;
use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\User;
use Illuminate\Validation\Rule;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\ShelfKind;

/** Something on the shelf with what its label says: no brand and no dose is assumed. */
final class GoodRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(AgentTable $agents): array
    {
        $user = $this->user();
        $id = $this->route('id');

        return [
            'name' => [
                'required',
                'string',
                'max:60',
                Rule::unique('goods', 'name')
                    ->where('site_id', $user instanceof User ? $user->site_id : null)
                    ->ignore(strtoupper(is_string($id) ? $id : '')),
            ],
            'kind' => ['required', Rule::in(array_keys(ShelfKind::all($agents)))],
            'lot' => ['nullable', 'string', 'max:40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Enter a name.',
            'name.unique' => 'This name is taken.',
            'kind.required' => 'Say what it is.',
            'lot.max' => 'Forty letters at most.',
        ];
    }

    /**
     * @return array<string, mixed> columns of a good
     *
     * @throws BadInput at the field
     */
    public function columns(AgentTable $agents): array
    {
        $kind = ShelfKind::all($agents)[$this->string('kind')->toString()];
        $strength = Input::number('strength_pct', 'Strength', '%', 0.01, 100);
        $values = (new TypedInputs([
            ...array_values(array_intersect_key(self::labels(), array_flip($kind->label))),
            ...$kind->hasStrength ? [$kind->usualPct === null ? $strength : $strength->optional()] : [],
            Input::number('cap_ml', 'A cap holds', 'mL', 0.1, 1000)->optional(),
            Input::number('amount', 'Left of it', null, 0, 1e9)->optional(),
        ]))->read($this->all());
        $number = static fn(string $key): ?float => is_numeric($values[$key] ?? null) ? (float) $values[$key] : null;
        $lot = $this->string('lot')->trim()->toString();

        return [
            'name' => $this->string('name')->toString(),
            'kind' => $kind->id,
            'label' => array_filter(array_combine($kind->label, array_map($number, $kind->label)), is_float(...)),
            'cap_ml' => $number('cap_ml'),
            'unit' => $kind->id === 'agent' && $this->input('unit') === 'g' ? 'g' : $kind->unit,
            'amount' => $number('amount'),
            'strength_pct' => $kind->hasStrength ? $number('strength_pct') ?? $kind->usualPct : null,
            'opened_on' => Day::read($this->all(), 'opened_on'),
            'lot' => $lot === '' ? null : $lot,
            'expires_on' => Day::coming($this->all(), 'expires_on'),
        ];
    }

    /** @return array<string, Input> by what of a label it is */
    private static function labels(): array
    {
        return [
            'label_ml' => Input::number('label_ml', 'By its label', 'mL', 0.0001, 100000),
            'label_treats_l' => Input::number('label_treats_l', 'treats', 'L', 0.1, 1e7),
            'label_chlorine_mg_l' => Input::number(
                'label_chlorine_mg_l',
                'holding so much chlorine',
                'mg/L',
                0.01,
                20,
            )->optional(),
            'label_binds_mg_l' => Input::number('label_binds_mg_l', 'and binds', 'mg/L as N', 0.01, 100),
        ];
    }
}
