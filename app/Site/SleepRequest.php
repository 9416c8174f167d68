<?php

declare(strict_types=1);

namespace App\Site;

use App\Http\FormRequest;

/** Whether a system is put to sleep, or woken. */
final class SleepRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['asleep' => ['required', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['asleep.required' => 'Say whether it sleeps.'];
    }

    public function asleep(): bool
    {
        return $this->boolean('asleep');
    }
}
