<?php

declare(strict_types=1);

namespace App\Build;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\Pump;
use App\Models\System;
use Ironwort\Core\Measure\Format;

/** How often the water of a system is moved: by what returns, and by what circulates within it. */
final readonly class TurnoverFigures
{
    /** What circulators move within the vessels, L/h. */
    public static function circulated(System $system): float
    {
        return $system->pumps->sum(static fn(Pump $pump): float => $pump->running ? (float) $pump->rated_l_h : 0.0);
    }

    /** How often circulators move the volume of the loop. */
    public static function circulation(float $volume, float $flow): Figure
    {
        $input = ['volume_l' => $volume, 'flow_l_h' => $flow];

        return new Figure(
            'Moved by circulators',
            $flow / $volume,
            'volumes an hour',
            'flow.turnover',
            'turnovers_per_h',
            $input,
            [
                new Origin(
                    'flow_l_h',
                    'Flow',
                    Format::number($flow, 5) . ' L/h',
                    'build',
                    'as the running ones are rated',
                ),
            ],
        );
    }

    public static function turnover(float $volume, float $flow): Figure
    {
        $input = ['volume_l' => $volume, 'flow_l_h' => $flow];

        return new Figure('Turnover', $flow / $volume, 'times an hour', 'flow.turnover', 'turnovers_per_h', $input, [
            new Origin(
                'volume_l',
                'Volume',
                Format::number($volume, 5) . ' L',
                'computed',
                'the volume used for doses',
            ),
            new Origin(
                'flow_l_h',
                'Flow',
                Format::number($flow, 5) . ' L/h',
                'computed',
                'flow of all returns, solved with the whole loop',
            ),
        ]);
    }
}
