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
        'phase_unfed' => 'Nothing brings ammonia, and none was read: a filter does not mature by standing.',
        'phase_waiting' => 'Ammonia stands, and nothing takes it yet. Nitrite will be the first sign.',
        'phase_ammonia' => 'Ammonia is being taken: nitrite shows.',
        'phase_nitrite' => 'Ammonia is down; nitrite stands, and what takes it grows more slowly.',
        'phase_proving' => 'Ammonia and nitrite are both down. It is done when they have stayed there.',
        'phase_ready' => 'It is ready. More fish in steps, each as large as the last was taken without a reading.',
        'do_bring_ammonia' =>
            'Give it a source of ammonia: bottled ammonia to 2 mg/L, a pinch of feed each day, something left to ' .
            'rot, or fish in a start with fish.',
        'do_test_12h' => 'Then ammonia and nitrite every 12 h.',
        'do_feed_till_fish' => 'Feed it until the fish come: a filter without ammonia starves.',
        'do_test_daily' => 'Ammonia and nitrite daily for a week after each step.',
        'do_keep_up' => 'Ammonia and nitrite every 12 h; oxygen high; KH above 4 dKH.',
        'do_feed_lightly' =>
            'Feed lightly. Change water before ammonia harms, and leave a trace of it: without any, nothing grows.',
        'do_leave_filter' => 'No wash of the filter, no new media, no treatment on it. UV off.',
        'do_dose_again' =>
            'Ammonia again when it is below a half, never above 5 mg/L, and not while nitrite stands above 5: more ' .
            'holds back what is to grow.',
        'do_no_change' => 'No change of water but to bring nitrite or KH back. UV off.',
        'start_no_filter' => 'No filter is described here. Add its stages on Build, with their start dates.',
        'start_none_young' =>
            'No filter is maturing here: no stage is younger than half a year. A new one, or a system that is kept ' .
            'as a start, is followed from its first reading of ammonia.',
        'start_age_unknown' =>
            'Nobody said since when the filter runs, so no start is followed here. Enter the start date of its ' .
            'media on Build.',
        'start_unread' =>
            'A filter is being started here, and ammonia was not read since it began. Test it once, 0 counts ' .
            'too: it is followed from there.',
        'start_no_nitrifiers' => 'No stage here holds nitrifiers. Enter its medium on Build.',
        'start_no_kh' => 'KH not tested since the start. Test it first: nitrification stops without it.',
        'start_few_readings' =>
            'Ammonia is read {count} since it began; four times are needed to say when it is ready. Test every day ' .
            'or two.',
        'fish_in_taken' => 'The filter takes all the ammonia from the fish: it does not rise.',
    ];
}
