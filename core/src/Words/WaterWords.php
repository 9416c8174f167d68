<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about water and what is dissolved in it. */
final readonly class WaterWords
{
    public const TEXTS = [
        'buffer_ph_rises_ammonia_burns' =>
            'As pH rises the ammonia that is there burns: bring it down first, by a change and a ' .
            'binder, then buffer in small steps.',
        'buffer_soda_lifts_ph_once' =>
            'Soda lifts pH at once. Gloves and eye protection; dissolve it in a bucket, powder ' .
            'into water, and give it slowly where flow is strong, away from fish.',
        'buffer_dissolve_bucket_system_water' =>
            'Dissolve it in a bucket of system water and give it slowly where flow is strong.',
        'carbon_dioxide_above_20_mg_koi' =>
            'Above 20 mg/L koi breathe hard: break the surface more. If the reading is absurd, ' .
            'look at pH and KH again.',
        'oxygen_percent_above_150_rare_outside' =>
            'Above 150 % is rare outside thick green water in full sun: check the probe.',
        'unionised_ammonia_shift_salt_fitted_sea' =>
            'The shift with salt was fitted to sea salt; pond salt is treated alike.',
        'unionised_ammonia_outside_table_1975_30' =>
            'Outside the table of 1975 (0 to 30 °C, pH 6 to 10): the formula is carried on.',
        'hardness_dose_heats_dissolves_salt_into' =>
            'It heats as it dissolves: salt into water, a little at a time, with gloves and eye ' .
            'protection. It brings chloride too.',
        'hardness_dose_raises_magnesium_koi_want' => 'It raises magnesium only: koi want calcium as well.',
        'hardness_dose_gypsum_dissolves_slowly_over' =>
            'Gypsum dissolves slowly, over days, and about 2 g a litre at most.',
        'hardness_dose_dgh_once_much_spread' => 'More than 5 dGH at once is much: spread it over days.',
        'buffer_soda_in_soft_water' => 'In water with so little KH soda throws the pH up, to {ph}: take bicarbonate.',
        'buffer_step_moves_ph' =>
            'One step would move pH by {by}, to {ph}; 0.3 in a day is what they stand. Smaller steps.',
        'buffer_ends_above' => 'It would end at pH {ph}, and past 8.8 they suffer: less of it, or another way.',
        'buffer_ammonia_unknown' =>
            'Ammonia was not tested, and as pH rises it burns: test it before anything goes in.',
    ];
}
