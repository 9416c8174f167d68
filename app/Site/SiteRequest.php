<?php

declare(strict_types=1);

namespace App\Site;

use App\Forms\TypedInputs;
use App\Http\FormRequest;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** Where a place lies, and what power costs there. */
final class SiteRequest extends FormRequest
{
    /**
     * @return array<string, mixed> columns of a site
     *
     * @throws BadInput at the field
     */
    public function columns(): array
    {
        $read = (new TypedInputs([
            Input::number('altitude_m', 'Altitude', 'm', -430, 5000)->or(0.0),
            Input::number('latitude_deg', 'Latitude', '°', -90, 90)->optional(),
            Input::number('price_per_kwh', 'Power costs', null, 0, 100)->optional(),
            Input::number('price_per_m3', 'Water costs', null, 0, 1000)->optional(),
            Input::text('emergency_call', 'Whom to call', 300)->optional(),
        ]))->read($this->all());

        return [
            'altitude_m' => $read['altitude_m'] ?? 0.0,
            'latitude_deg' => $read['latitude_deg'] ?? null,
            'price_per_kwh' => $read['price_per_kwh'] ?? null,
            'price_per_m3' => $read['price_per_m3'] ?? null,
            'emergency_call' => $read['emergency_call'] ?? null,
        ];
    }
}
