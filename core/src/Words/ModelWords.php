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
        'fish_in_change_burns' =>
            'After that change more ammonia is un-ionised than may be: the new water lifts pH. Bind first, or use ' .
            'another water.',
        'fish_in_change_too_small' =>
            'That change does not bring ammonia under the trigger: change a larger share, in two steps of half a day.',
        'fish_in_too_many' =>
            'Even unfed these fish give more than one such change a day carries off: change twice a day, or take ' .
            'fish out.',
        'fish_in_feed' => 'Feed no more than {ceiling} g a day for now: it grows as the filter does.',
        'fish_in_test_first' =>
            'Fish stand in a filter that has not grown yet, and ammonia was never tested. Test it now: the clock of ' .
            'changes begins with that.',
        'start_no_source' =>
            'Ammonia has read nothing for {weeks} weeks and nothing brings any: standing water never matures a ' .
            'filter. Give it bottled ammonia, feed, something left to rot, or fish.',
        'start_first_nitrite' =>
            'The first trace of nitrite: ammonia is being taken, and will be down within days. From now on nitrite ' .
            'is what harms; have salt and water ready, and test both every 12 h.',
        'start_seed_again' =>
            '{pct} % of the water was changed since the last seed, on {on}: seed again. Once is rarely enough.',
        'start_donor_sick' =>
            'Seeded on {on} from a donor with disease or a treatment in it: watch these fish for two weeks, and keep ' .
            'nets apart.',
        'donor_treated' => '{name} has {what} in its water: what clings to the media comes with it.',
        'donor_ailing' => 'At {name} was seen {ago}: {signs}. Media carry disease.',
        'fish_in_change_now' => 'Start with fish: change {litres} L now, ammonia is at its trigger.',
        'fish_in_change_later' => 'Start with fish: change {litres} L in about {hours} h.',
        'fish_in_tests' => 'Test ammonia and nitrite every 12 h until both have stayed clean for a week.',
        'fish_in_taken' => 'The filter takes all that the fish give: ammonia does not rise.',
    ];
}
