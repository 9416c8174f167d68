<?php

declare(strict_types=1);

namespace App\Site;

use App\Build\BuildTemplates;
use App\Forms\Began;
use App\Http\FormRequest;
use App\Models\System;
use App\Models\User;
use Illuminate\Validation\Rule;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\LimitTable;

/** A new system: its name, what it is for, whose limits hold, and the build it starts from. */
final class SystemRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(LimitTable $limits): array
    {
        $user = $this->user();

        return [
            'name' => [
                'required',
                'string',
                'max:60',
                Rule::unique('systems', 'name')->where('site_id', $user instanceof User ? $user->site_id : null),
            ],
            'kind' => ['required', Rule::in(array_keys(System::KIND_NAMES))],
            'life_stage' => ['required', Rule::in(array_keys($limits->stages))],
            'template' => ['nullable', Rule::in(array_keys(BuildTemplates::names()))],
            'began' => ['sometimes', 'nullable', Rule::in(Began::ANSWERS)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the system a name.',
            'name.unique' => 'There is a system of this name already.',
            'kind.required' => 'Say what it is for.',
            'life_stage.required' => 'Choose the life stage.',
        ];
    }

    /** @return array<string, mixed> columns of a system */
    public function columns(): array
    {
        return [
            'name' => $this->name(),
            'kind' => $this->string('kind')->toString(),
            'life_stage' => $this->string('life_stage')->toString(),
        ];
    }

    public function name(): string
    {
        return $this->string('name')->toString();
    }

    /**
     * The day its filter began, where a template brings one; null where nobody knows.
     *
     * @throws BadInput at `began`, or at `since`
     */
    public function since(): ?string
    {
        $user = $this->user();
        $zone = $user instanceof User ? $user->site->timezone : 'UTC';

        return $this->template() === '' ? null : Began::day($this->all(), 'began', 'since', now($zone)->toDateString());
    }

    public function template(): string
    {
        return $this->string('template')->toString();
    }
}
