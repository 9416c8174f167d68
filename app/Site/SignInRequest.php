<?php

declare(strict_types=1);

namespace App\Site;

use App\Http\FormRequest;

/** Who signs in, and by what. */
final class SignInRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'max:190'], 'password' => ['required', 'string', 'max:200']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['email.required' => 'Type your e-mail address.', 'password.required' => 'Type your password.'];
    }

    public function email(): string
    {
        return $this->string('email')->toString();
    }

    public function password(): string
    {
        return $this->string('password')->toString();
    }
}
