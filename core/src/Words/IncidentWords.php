<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about trouble. */
final readonly class IncidentWords
{
    public const TEXTS = [
        'answer_un_ionised_ammonia_mg' =>
            'Un-ionised ammonia is {free} mg/L; total and un-ionised are both judged, and the worse decides.',
        'answer_known_test' => '{test} is not known: test it.',
        'acid_bicarbonate' => 'Bicarbonate, dissolved, over an hour: 2 dKH now and no more today.',
        'acid_test_ammonia' => 'Test ammonia before anything is buffered.',
        'answer_water_assumed' =>
            'Not all of pH and temperature is known: ammonia is judged as at pH {ph} and {temp} °C.',
        'acid_ammonia_first_assumed' =>
            'Change water for the ammonia first: {tan} mg/L would be {then} un-ionised at pH 8.2, ' .
            'at an assumed {temp} °C.',
        'acid_ammonia_first' => 'Change water for the ammonia first: {tan} mg/L would be {then} un-ionised at pH 8.2.',
        'acid_air' => 'Break the surface: air drives off the carbon dioxide that holds pH down.',
        'acid_tests' => 'pH and KH tomorrow, then another 2 dKH, up to 6 dKH; less feed until then.',
        'ammonia_dead_filter_first' => 'The dead filter first: drain it to waste and clean it out.',
        'ammonia_new_start' =>
            'Seed it: mature media or its squeezings, culture three times this week; from here on it is a new start.',
        'ammonia_live_media' => 'Live media from a healthy system, or culture two or three times a week.',
        'ammonia_tests' => 'Ammonia, nitrite and pH every 12 h.',
        'ammonia_find_cause' =>
            'Find the cause: fish too early or too many at once, a filter washed too well or ' .
            'stopped, an insert thrown away, too much feed.',
        'ammonia_no_change_with_this_water' => 'No change with this water: it holds {tan_mg_l} mg/L of ammonia itself.',
        'ammonia_new_water_treated' => 'Treated, and within 2 °C: water this new shocks as well as it saves.',
        'ammonia_binder' => 'Binder for what is left after the change, and again each day while it lasts.',
        'ammonia_binder_with_treatment' =>
            '{treatment} is in the water: read both labels, some binders keep a medicine from working.',
        'ammonia_binder_by_label' => 'Binder by the label of your bottle, after the change.',
        'ammonia_no_zeolite_with_treatment' => 'No zeolite while {treatment} is in the water: it would take that too.',
        'ammonia_zeolite_is_in' =>
            'Look at the zeolite that is in: full, it does nothing. And no salt while it hangs there.',
        'ammonia_no_zeolite_with_salt' => 'No zeolite: {salt} g/L of salt would make it let go.',
        'ammonia_zeolite' => 'Zeolite or ammonia resin in the flow, for what is left above the limit.',
        'chlorine_conditioner' => 'Conditioner or thiosulfate for the whole water, over the returns.',
        'chlorine_shut_water_off' => 'Shut the water off.',
        'chlorine_conditioner_by_label' => 'Conditioner for the whole water, by its label.',
        'chlorine_tests' => 'Test chlorine in a quarter of an hour, and again.',
        'chlorine_ammonia_after_chloramine' =>
            'Ammonia today and for a week: chloramine leaves it behind, and the filter was hurt.',
        'chlorine_ammonia_after' => 'Ammonia for a week: the filter was hurt.',
        'nitrate_water_holds_it' =>
            'This water holds {source} itself: changes with it cannot bring nitrate under {no3_limit}.',
        'nitrate_changed_above' => 'The change above brings nitrate to {nitrate}.',
        'nitrate_test_tap' => 'Test the tap for nitrate.',
        'nitrate_find_cause' =>
            'Then what made it: stock, feed and upkeep, all three. Change more each week, or feed less.',
        'nitrate_no_feed' => 'No feed for 24 h.',
        'nitrite_changed_above' => 'The change above brings nitrite to {nitrite} mg/L.',
        'nitrite_change' => 'Change {pct} L, {pct2} % of the water, today and while it stands.',
        'nitrite_no_salt_with_zeolite' =>
            'No salt while zeolite hangs in the loop: take it out first, or leave salt away.',
        'nitrite_salt' => 'Salt, dissolved, over the day: ten of chloride to one of the nitrite that is left.',
        'nitrite_salt_enough' => 'Salt enough is in the water already.',
        'nitrite_air' => 'All the air there is.',
        'nitrite_tests' => 'Nitrite every 12 h.',
        'heat_shade' => 'Shade, and all the air there is, above all at night.',
        'heat_cooler_water' => 'Cooler water in a trickle, no more than {temp_c} °C down in a day.',
        'heat_feed_early' => 'Feed early and little; no treatment that takes oxygen.',
        'heat_oxygen_at_dawn' => 'Oxygen at dawn.',
        'shock_compare' => 'Compare the water they came from: temperature, pH, nitrate, hardness, salt.',
        'shock_between' =>
            'Those still alive into water between the two, with air, and from there in steps: 2 ' .
            '°C and 0.3 pH a day at most.',
        'shock_rest' => 'No feed for a day, dark, nets on.',
        'sickness_oxygen_reads_well' =>
            'Oxygen reads {gasp_at} mg/L: if that is how it is now, it is not that. Chlorine, ' .
            'nitrite and sick gills look the same.',
        'sickness_look_at_fish' =>
            'The water reads well: look at the fish. A scrape under the glass tells flukes from the rest.',
        'sickness_water_first' => 'Put the water right first: half of what looks sick is that.',
        'sickness_look_closer' => 'Look closer at all of them: ulcers, gills, fins, who stands apart. Write it down.',
        'sickness_treat' => 'What is known: the Dose bench, by what it is against. What is not: a veterinarian.',
        'bloom_nothing' =>
            'Nothing, if the readings are good: green water is a taste, not a fault. A lamp for ' .
            'a week, and compare clarity at the same spot.',
        'overdose_zeolite_out' => 'Zeolite and resin out of the loop, now.',
        'overdose_ammonia_tests' => 'Ammonia now and again in two hours; change water by what it says.',
        'overdose_air' => 'All the air there is, now. Fish that lie over go into clean water of the same temperature.',
        'overdose_change' => 'Change half the water, and half again in an hour while they breathe hard.',
        'overdose_new_water' => 'Within 2 °C of the old, and free of chlorine.',
        'overdose_neutralise' =>
            'Permanganate, chloramine-T and peroxide are stopped with sodium thiosulfate, by its ' .
            'label; for the rest fresh carbon in the flow.',
        'overdose_gloves' => 'Gloves and eye protection with every strong chemical.',
        'overdose_no_second' => 'No second treatment and no feed until they breathe calmly.',
        'overdose_tests' => 'Oxygen now and in two hours; ammonia tonight.',
        'oxygen_spray' => 'Spray from the hose over the whole surface.',
        'oxygen_air' =>
            'All the air there is, now: every air pump and stone, battery air, and the pump back on if it stands.',
        'oxygen_dry_hands' => 'Hands dry and the plug side dead before anything electrical is moved by water.',
        'oxygen_no_feed' => 'No feed until it is above {value} mg/L.',
        'oxygen_peroxide' =>
            'If air and hose are not at hand: peroxide, by the strength of your bottle, from the Dose bench.',
        'oxygen_peroxide_burns' => 'Burns skin and eyes: gloves and eye protection.',
        'oxygen_tests' => 'Test oxygen again in half an hour, and at dawn tomorrow.',
        'oxygen_find_cause' =>
            'Then find what took it: a stopped or blocked pump, heat, algae at dawn, silt, a treatment, too many fish.',
        'stopped_filter_drain' =>
            'Did it stand for more than two hours or so: drain what is in it to waste before the pump goes on.',
        'stopped_filter_not_onto_garden' => 'Not onto the garden with salt or a treatment in it.',
        'stopped_filter_rinse' => 'Rinse the media in water of the system, never from the tap; throw away what stinks.',
        'stopped_filter_pump_on' => 'Pump on, and look: flow at every return, no leak, air in the water behind it.',
        'stopped_filter_write_down' => 'Write down what it cost under Capacity.',
        'stopped_filter_tests' => 'Ammonia and nitrite every 12 h for two weeks; half the feed.',
        'acid_test_kh' => 'Test KH.',
        'ammonia_change_once' => 'Change {litres} L, {pct} % of the water.',
        'ammonia_change_each_day' => 'Change {litres} L, {pct} % of the water, each day for {days} days.',
        'ammonia_feed_next_to_nothing' =>
            'Feed next to nothing for a week, little and often: fish this small cannot go without.',
        'ammonia_no_feed' => 'No feed for {time}, then a quarter of it.',
        'ammonia_feed_share' => 'Feed {share} %, until it is down.',
        'ammonia_feed_share_weighed' => 'Feed {share} %, {feed} g a day, until it is down.',
        'nitrite_live_media' => 'Live media or culture; fish out where another loop has room.',
        'nitrite_half_feed_live_media' => 'Half the feed; live media or culture; fish out where another loop has room.',
        'nitrate_change_one_day' => 'Change {litres} L, {pct} %, each day for 1 day.',
        'nitrate_change_each_day' => 'Change {litres} L, {pct} %, each day for {days} days.',
    ];
}
