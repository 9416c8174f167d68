<?php

declare(strict_types=1);

namespace App\Site;

use App\Http\FormRequest;
use Illuminate\Validation\Rule;
use Ironwort\Core\Measure\UnitChoice;

/** The units a person reads in, each one of those there are. */
final class UnitsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return array_map(
            static fn(array $choices): array => ['required', 'string', Rule::in(array_keys($choices))],
            UnitChoice::CHOICES,
        );
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['required' => 'Choose one.', 'in' => 'Choose one of the units listed.'];
    }

    public function choice(): UnitChoice
    {
        return UnitChoice::from($this->only(array_keys(UnitChoice::CHOICES)));
    }
}
