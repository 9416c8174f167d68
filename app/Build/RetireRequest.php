<?php

declare(strict_types=1);

namespace App\Build;

use App\Http\FormRequest;

/** Whether a part is taken out of service, or put back in. */
final class RetireRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['retired' => ['required', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['retired.required' => 'Say whether it is retired.'];
    }

    public function retired(): bool
    {
        return $this->boolean('retired');
    }
}
