<?php

declare(strict_types=1);

namespace App\Operation;

use App\Http\FormRequest;

/** Who keeps this book, and where. */
final class FirstOwnerRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'key' => ['required', 'string', 'max:200'],
            'site' => ['required', 'string', 'max:80'],
            'timezone' => ['required', 'string', 'timezone:all'],
            'name' => ['required', 'string', 'max:80'],
            'email' => ['required', 'string', 'email', 'max:190'],
            'password' => ['required', 'string', 'min:10', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'site.required' => 'What is the place called?',
            'timezone.*' => 'Choose the time zone of the place, as Europe/London.',
            'name.required' => 'What are you called?',
            'email.*' => 'Type your e-mail address, as name@example.org.',
            'password.*' => 'A password of 10 characters or more.',
            'max' => 'This is too long.',
        ];
    }

    public function key(): string
    {
        return $this->string('key')->toString();
    }

    public function text(string $field): string
    {
        return trim($this->string($field)->toString());
    }
}
