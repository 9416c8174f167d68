<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about water and what is dissolved in it. */
final readonly class WaterWords
{
    public const TEXTS = [
        'buffer_ph_rises_ammonia_burns' =>
            'As pH rises, more of the ammonia is un-ionised. Bring it down first with a water change and a ' .
            'binder, then buffer in small steps.',
        'buffer_soda_lifts_ph_once' =>
            'Soda raises pH at once. Wear gloves and eye protection, dissolve it in a bucket (powder into ' .
            'water), and give it slowly where flow is strong, away from the fish.',
        'buffer_dissolve_bucket_system_water' =>
            'Dissolve it in a bucket of system water and give it slowly where flow is strong.',
        'carbon_dioxide_above_20_mg_koi' =>
            'Over 20 mg/L koi breathe hard: break the surface more. If the reading looks absurd, test pH and KH ' .
            'again.',
        'oxygen_percent_above_150_rare_outside' =>
            'Over 150 % is rare outside thick green water in full sun. Check the probe.',
        'unionised_ammonia_shift_salt_fitted_sea' =>
            'The correction for salt was fitted to sea salt. Pond salt is treated alike.',
        'unionised_ammonia_outside_table_1975_30' =>
            'Outside the 1975 table (0 to 30 °C, pH 6 to 10) the formula is extrapolated.',
        'hardness_dose_heats_dissolves_salt_into' =>
            'It gets hot as it dissolves. Add it to water a little at a time, with gloves and eye protection. It ' .
            'adds chloride too.',
        'hardness_dose_raises_magnesium_koi_want' => 'It raises magnesium only. Koi need calcium as well.',
        'hardness_dose_gypsum_dissolves_slowly_over' =>
            'Gypsum dissolves slowly, over days, and only about 2 g per litre.',
        'hardness_dose_dgh_once_much_spread' => 'More than 5 dGH at once is a lot: spread it over days.',
        'buffer_soda_in_soft_water' => 'In water with so little KH soda raises pH to {ph}. Use bicarbonate.',
        'buffer_step_moves_ph' =>
            'One step would move pH by {by}, to {ph}. Fish can stand 0.3 in a day: use smaller steps.',
        'buffer_ends_above' => 'It would end at pH {ph}, and over 8.8 fish suffer. Use less, or another agent.',
        'buffer_ammonia_unknown' =>
            'Ammonia not tested, and more of it is un-ionised as pH rises. Test it before you add anything.',
    ];
}
