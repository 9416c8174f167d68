<?php

declare(strict_types=1);

namespace App\Volumes;

use App\Http\FormRequest;
use App\Models\System;
use Illuminate\Validation\Rule;

/** The measurement whose volume is gone by from now on; none for the geometry. */
final class VolumeChoiceRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $system = $this->route('system');

        return [
            'measure' => [
                'nullable',
                'string',
                Rule::exists('volume_measures', 'id')->where(
                    'system_id',
                    $system instanceof System ? $system->id : null,
                ),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['measure.exists' => 'There is no such measurement here.'];
    }

    public function measure(): ?string
    {
        $measure = $this->input('measure');

        return is_string($measure) ? $measure : null;
    }
}
