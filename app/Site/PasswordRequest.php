<?php

declare(strict_types=1);

namespace App\Site;

use App\Http\FormRequest;

/** The password a person has, and the one they will have. */
final class PasswordRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'password_now' => ['required', 'string', 'max:200'],
            'password_new' => ['required', 'string', 'min:10', 'max:200', 'different:password_now'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'password_now.required' => 'Type the password you have now.',
            'password_new.required' => 'Type a new password.',
            'password_new.min' => 'The password needs 10 characters or more.',
            'password_new.different' => 'This is the password you have now. Choose another.',
        ];
    }

    public function now(): string
    {
        return $this->string('password_now')->toString();
    }

    public function new(): string
    {
        return $this->string('password_new')->toString();
    }
}
