<?php

declare(strict_types=1);

namespace App\Readings;

use App\Models\Age;
use App\Models\Reading;
use App\Models\Visit;
use Ironwort\Core\Measure\Unit;

/** One visit with its readings as typed. */
final readonly class VisitResource
{
    /** @return array<string, mixed> */
    public static function of(Visit $visit): array
    {
        return [
            'id' => $visit->id,
            'taken_at' => $visit->taken_at->toIso8601ZuluString(),
            'age' => Age::of($visit->taken_at),
            'by' => $visit->user?->name,
            'bay' => $visit->vessel?->name,
            'spot' => $visit->spot,
            'readings' => $visit->readings
                ->map(
                    static fn(Reading $reading): array => [
                        'parameter' => $reading->parameter->value,
                        'name' => $reading->parameter->name(),
                        'typed' => $reading->typed,
                        'unit' =>
                            $reading->unit === null
                                ? $reading->parameter->symbol()
                                : Unit::from($reading->unit)->symbol(),
                        'reads' => $reading->parameter->reads($reading->value, $reading->typed),
                        'value' => $reading->value,
                    ],
                )
                ->values(),
        ];
    }
}
