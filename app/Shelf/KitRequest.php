<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Forms\Day;
use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\Kit;
use Illuminate\Validation\Rule;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\TypedNumber;
use Ironwort\Core\Measure\UnreadableNumber;

/** A kit as its box describes it: what it tests, its steps or what it reads to, its range, what is left. */
final class KitRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            'kind' => ['required', Rule::in(Kit::KINDS)],
            'parameter' => [
                'required',
                Rule::in(array_map(static fn(Parameter $p): string => $p->value, Parameter::measured())),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Enter a name.',
            'kind.required' => 'Choose the kind of kit.',
            'parameter.required' => 'Say what it tests.',
        ];
    }

    /**
     * @return array<string, mixed> columns of a kit
     *
     * @throws BadInput at the field
     */
    public function columns(): array
    {
        $values = (new TypedInputs([
            Input::number('resolution', 'Reads to', null, 1e-4, 1000)->optional(),
            Input::number('range_from', 'Reads from', null, -1000, 1e6)->optional(),
            Input::number('range_to', 'up to', null, -1000, 1e6)->optional(),
            Input::number('tests_left', 'Tests left', null, 0, 100000)->optional(),
        ]))->read($this->all());
        if (isset($values['range_from'], $values['range_to']) && $values['range_from'] >= $values['range_to']) {
            throw BadInput::at('range_to', 'The highest figure must be over the lowest.');
        }
        $left = $values['tests_left'] ?? null;

        return [
            'name' => $this->string('name')->toString(),
            'kind' => $this->string('kind')->toString(),
            'parameter' => $this->string('parameter')->toString(),
            'unit' => $this->unit(),
            'steps' => $this->steps(),
            'resolution' => $values['resolution'] ?? null,
            'range_from' => $values['range_from'] ?? null,
            'range_to' => $values['range_to'] ?? null,
            'tests_left' => is_numeric($left) ? (int) $left : null,
            'expires_on' => Day::coming($this->all(), 'expires_on'),
            'in_use' => $this->boolean('in_use', true),
        ];
    }

    private function unit(): ?string
    {
        $parameter = Parameter::from($this->string('parameter')->toString());
        $units = array_map(static fn($unit): string => $unit->value, $parameter->units());
        $unit = $this->input('unit');

        return match (true) {
            $unit === null, $unit === '' => $units[0] ?? null,
            is_string($unit) && in_array($unit, $units, true) => $unit,
            default => throw BadInput::at('unit', "{$parameter->name()} is not read in that."),
        };
    }

    /** @return list<float> */
    private function steps(): array
    {
        $typed = $this->input('steps');
        $words = is_string($typed) ? preg_split('/[\s;]+/', trim($typed), -1, PREG_SPLIT_NO_EMPTY) : [];
        $steps = [];
        foreach ($words === false ? [] : $words as $word) {
            try {
                $steps[] = TypedNumber::read($word)->value;
            } catch (UnreadableNumber $fault) {
                throw BadInput::at('steps', $fault->getMessage());
            }
            if (count($steps) > 1 && $steps[count($steps) - 1] <= $steps[count($steps) - 2]) {
                throw BadInput::at('steps', 'Each step must be higher than the one before.');
            }
        }

        return $steps;
    }
}
