<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about starts. */
final readonly class ModelWords
{
    public const TEXTS = [
        'maturation_these_readings_tell_another' =>
            'These readings do not fit the model: something happened that is not in the book, or a kit is wrong. ' .
            'Do not rely on the ready day.',
        'maturation_kh_falls_dkh_day' =>
            'KH reaches 2.8 dKH on day {dry}. Buffer before that, or the start stops there.',
        'maturation_nitrite_never_tested_half' => 'Nitrite was never tested, so its half of the start is a guess.',
        'maturation_band_readings_how_fast' =>
            'The band covers the readings. Growth of the bacteria is calibrated to the usual six weeks (common ' .
            'practice), not published.',
        'run_within_these_days_complete' => 'It is not complete within these days.',
        'run_day_both_stay_under' => 'From day {complete} both stay under their limits.',
        'run_calibrated_usual_six_weeks' =>
            'Calibrated to the usual six weeks of a start (common practice), not published. Your own readings ' .
            'are worth more.',
        'run_alkalinity_runs_out' =>
            'KH runs out on day {day}. From then on little ammonia is taken, and pH falls. Buffer before that, ' .
            'or change water.',
        'fish_in_change_burns' =>
            'After that change too much ammonia is un-ionised, because the source water raises pH. Bind first, ' .
            'or use other water.',
        'fish_in_change_too_small' =>
            'That change does not bring ammonia under the trigger. Change a larger share, in two steps half a ' .
            'day apart.',
        'fish_in_too_many' =>
            'Even unfed, these fish produce more than one such change a day removes. Change twice a day, or take ' .
            'fish out.',
        'fish_in_feed' => 'Feed no more than {ceiling} g a day for now. The limit rises as the filter grows.',
        'fish_in_test_first' =>
            'Fish are in a filter that has not matured, and ammonia was never tested. Test it now: the timing of ' .
            'water changes depends on it.',
        'start_no_source' =>
            'Ammonia has read zero for {weeks} weeks and nothing adds any. Standing water never matures a ' .
            'filter: give bottled ammonia, feed, something left to rot, or fish.',
        'start_first_nitrite' =>
            'First trace of nitrite: the bacteria are taking ammonia, and it will be down within days. From now ' .
            'on nitrite is the danger. Have salt and water ready, and test both every 12 h.',
        'start_seed_again' =>
            '{pct} % of the water was changed since the last seed, on {on}. Seed again: once is rarely enough.',
        'start_donor_sick' =>
            'The filter was seeded on {on} from a donor with disease or a treatment. Watch these fish for two ' .
            'weeks, and keep nets apart.',
        'donor_treated' => '{name} has {what} in its water, and the media carry it over.',
        'donor_ailing' => 'At {name}, {signs} was seen {ago}. Media carry disease.',
        'fish_in_change_now' => 'Change {litres} L now: ammonia has reached its trigger.',
        'fish_in_change_later' => 'Change {litres} L in about {hours} h, when ammonia reaches its trigger.',
        'fish_in_tests' => 'Test ammonia and nitrite every 12 h until both have stayed clean for a week.',
        'fish_in_taken' => 'The filter takes all the ammonia from the fish: it does not rise.',
    ];
}
