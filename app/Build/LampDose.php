<?php

declare(strict_types=1);

namespace App\Build;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\Stage;
use App\Models\Switching;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Measure\Format;

/** What a lamp gives the water that passes it. */
final readonly class LampDose
{
    public function __construct(private Registry $registry) {}

    /** What a lamp gives the water that passes it now; null until its watts and both days are known. */
    public function of(Stage $stage, float $litres, float $volume): ?Figure
    {
        if (
            $stage->lamp_w === null ||
            $stage->lamp_fitted_on === null ||
            $stage->sleeve_wiped_on === null ||
            $stage->lamp_state === 'off' ||
            $volume < 1
        ) {
            return null;
        }
        $hours = Switching::ranHours($stage->id, $stage->lamp_state, $stage->lamp_fitted_on);
        $days = max(0.0, floor($stage->sleeve_wiped_on->diffInDays(now())));
        $input = [
            'lamp_w' => $stage->lamp_w,
            'lamp_hours' => $hours,
            'days_since_wiped' => $days,
            'flow_l_h' => $litres,
            'volume_l' => $volume,
        ];
        $result = $this->registry->run('flow.uv', $input);
        if ($result->figures['dose_mj_cm2'] === null) {
            return null;
        }
        $enough = match (true) {
            $result->figures['dose_touches_parasites'] === true && $result->figures['touches_parasites'] === true
                => 'enough to start working on parasites, by rule and by dose',
            $result->figures['touches_parasites'] === true
                => 'enough for parasites by rule, too little by dose: slow the flow',
            $result->figures['clears_algae'] === true => 'enough against green water',
            default => 'too little even for green water',
        };

        return new Figure(
            label: "UV dose of {$stage->name}",
            value: $result->number('dose_mj_cm2'),
            unit: 'mJ/cm²',
            calc: 'flow.uv',
            key: 'dose_mj_cm2',
            input: $input,
            origins: [
                new Origin(
                    'lamp_w',
                    'Lamp',
                    Format::number($stage->lamp_w) . ' W',
                    'build',
                    "from the build of {$stage->name}",
                ),
                new Origin(
                    'lamp_hours',
                    'Burnt',
                    Format::number($hours, 5) . ' h',
                    'computed',
                    'by its switching since it was fitted on ' . $stage->lamp_fitted_on->format('j M Y'),
                ),
                new Origin(
                    'days_since_wiped',
                    'Sleeve wet',
                    Format::number($days) . ' days',
                    'computed',
                    'wiped ' . $stage->sleeve_wiped_on->format('j M Y'),
                ),
                new Origin(
                    'flow_l_h',
                    'Flow',
                    Format::number($litres, 5) . ' L/h',
                    'computed',
                    'solved with the whole loop',
                ),
                new Origin(
                    'transmittance_pct',
                    'Water lets through',
                    '85 % per cm',
                    'assumed',
                    'assumed: clear pond water',
                ),
            ],
            say: Format::number($result->number('w_per_m3'), 2) . " W/m³ as it burns now: {$enough}.",
        );
    }
}
