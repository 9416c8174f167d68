<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about starts. */
final readonly class ModelWords
{
    public const TEXTS = [
        'maturation_these_readings_tell_another' =>
            'These readings tell another story than the model: something happened that is not in ' .
            'the book, or a kit is off. Do not go by the day.',
        'maturation_kh_falls_dkh_day' => 'KH falls to 2.8 dKH on day {dry}: buffer before, or the start stops there.',
        'maturation_nitrite_never_tested_half' => 'Nitrite was never tested: its half of the start is guessed.',
        'maturation_band_readings_how_fast' =>
            'The band is of the readings. How fast bacteria grow is calibrated to the usual six ' .
            'weeks (common practice), not published.',
        'run_within_these_days_complete' => 'Within these days it is not complete.',
        'run_day_both_stay_under' => 'From day {complete} on both stay under their limits.',
        'run_calibrated_usual_six_weeks' =>
            'Calibrated to the usual six weeks of a start (common practice), not published: your ' .
            'own readings are worth more.',
        'run_alkalinity_runs_out' =>
            'KH runs out on day {day}: from then on ammonia is hardly taken, and pH falls. Buffer before, or change ' .
            'water.',
    ];
}
