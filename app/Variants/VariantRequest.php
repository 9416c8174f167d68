<?php

declare(strict_types=1);

namespace App\Variants;

use App\Http\FormRequest;

/** What a planned build is called. */
final class VariantRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:60']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'What is the plan called?',
            'name.max' => 'A name has at most 60 characters.',
        ];
    }

    public function name(): string
    {
        return trim($this->string('name')->toString());
    }
}
