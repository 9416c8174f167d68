<?php

declare(strict_types=1);

namespace App\Volumes;

use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\VolumeMeasure;
use Illuminate\Validation\Rule;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Catalogue\Registry;

/** A volume as it was measured: by salt or by meter, with what was read. */
final class VolumeMeasureRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['method' => ['required', Rule::in(array_keys(VolumeMeasure::CALCULATORS))]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['method.required' => 'Say how it was measured.'];
    }

    public function measuredBy(): string
    {
        return $this->string('method')->toString();
    }

    public function calculator(): string
    {
        return VolumeMeasure::CALCULATORS[$this->measuredBy()];
    }

    /**
     * @return array<string, mixed> input of `volume.by_salt` or `volume.by_meter`
     *
     * @throws BadInput at the field
     */
    public function reading(Registry $registry): array
    {
        return (new TypedInputs($registry->named($this->calculator())->inputs()))->read($this->except(['method']));
    }
}
