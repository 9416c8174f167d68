<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about filters. */
final readonly class FilterWords
{
    public const TEXTS = [
        'blocking_silt' =>
            'Silt lies in the pond, and every fish that passes stirs it into the filter. Clean the pond before ' .
            'blaming the filter.',
        'blocking_too_small' =>
            'The filter has little room for the dirt it is sent. More room before it: brushes, a vortex.',
        'blocking_overfed' => 'Much is fed for these fish. Feed less, and see whether it lasts longer.',
        'blocking_uneaten' => 'Feed is left over. Give what is eaten in five minutes, and take out the rest.',
        'blocking_overstocked' => 'These fish are near to all the filter takes. Fewer fish, or more filter.',
        'blocking_algae' => 'Algae cloud the water and are caught. Shade, less nutrient, a lamp.',
        'blocking_unexplained' =>
            'It fills much sooner than the dirt of the feed would fill it. Look for silt, leaves and algae in the ' .
            'pond.',
        'blocking_nothing' => 'Nothing that is known explains it. Measure sight, and look at the floor of the pond.',
        'start_dose_bottled_ammonium_brings_alkalinity' =>
            'Bottled ammonium adds no alkalinity, and nitrifying each mg uses 7.14 mg/L of KH. Use it unscented, ' .
            'without soap, and never near fish.',
        'start_dose_ammonia_burns_eyes_lungs' =>
            'Ammonia burns eyes and lungs. Work outdoors with gloves and eye protection, and never near bleach.',
        'balance_nothing_said_bring_oxygen' =>
            'No aeration is described and oxygen was not tested, so none is counted.',
        'balance_filter_cannot_take_load' =>
            'The filter cannot take this load at any ammonia that fish survive: ammonia keeps rising.',
        'balance_ammonia_settles_above_allowed' => 'Ammonia settles over its limit.',
        'balance_nitrite_oxidisers_cannot_keep' => 'The nitrite oxidisers cannot keep up: nitrite keeps rising.',
        'balance_oxygen_settles_under_wanted' => 'Oxygen settles under its limit: add air before you add fish.',
        'no_change_day_cannot_hold' =>
            'One change a day is not enough, not even a full one. Change every {share} hours, take fish out, or ' .
            'add a filter.',
        'no_half_day_much_new' =>
            'More than half a day is a lot: the new water must match in temperature, pH and hardness, and be ' .
            'free of chlorine.',
        'from_readings_kit_cannot_tell_ammonia' =>
            'The kit cannot tell this ammonia from none, so the filter takes this much at {highs} mg/L or less. ' .
            'It may take more.',
        'from_readings_ammonia_rose_faster_load' =>
            'Ammonia rose faster than the load explains: more is fed than is booked, dirt is rotting, or the ' .
            'volume is wrong.',
        'size_rule_boxes_goes_water' =>
            'The rule for filter boxes goes by volume, this one by feed. Few fish in much water need less than ' .
            'the rule, many in little water need more. Where a small filter measures better, believe the ' .
            'measurement.',
        'nitrate_sinks_grows_takes_between_quarter' =>
            'Plants take between a quarter and three times this. Test nitrate over some weeks.',
        'nitrate_sinks_microbes_breathe' =>
            'Microbes fed on carbon use {oxygen} g of oxygen a day, mostly within hours of the dose. Give it in ' .
            'small parts, and watch oxygen at dawn.',
        'nitrate_sinks_nothing_carries_off_made' => 'Nothing removes nitrate here: it rises without end.',
        'capacity_constants_surface_limit_fitted' =>
            'The constants of the surface limit were fitted, and media differ up to twofold. Trust a measurement ' .
            'of your own filter more than this.',
        'capacity_less_mg_oxygen_water' => 'Oxygen is under 2 mg/L: the filter stops, and the fish suffocate first.',
        'capacity_above_32_gain_warmth' => 'Above 32 °C no further gain from warmth is counted.',
        'capacity_rise_salt_past_about' =>
            'A rise of salt past about 5 g/L sets nitrifiers back for days. This is not counted here.',
        'capacity_air_given_stage_counted' =>
            'Air to stage {n} is not counted: it feeds bacteria only in a moving bed.',
        'capacity_stage_takes_part_loops' =>
            'Stage {n} takes only part of the loop’s flow and counts as a side stream.',
        'single_pass_without_ammonia_coming_nothing' => 'Without ammonia going in, its share cannot be worked out.',
        'single_pass_comes_goes_dirt_rots' =>
            'More comes out than goes in: dirt is rotting in it, or the two tests were swapped.',
        'solids_shares_caught_held_differ' =>
            'Shares caught and held differ widely between makes. Correct them by what you see.',
        'solids_stage_here_holds_dirt' => 'No stage holds dirt back: all of it rots in the water or on the floor.',
        'wash_hours' => 'Enter how many hours it stood or was dry: the loss depends on it.',
        'wash_tests' =>
            'Ammonia may rise within a day, and nitrite after it. Test both every 12 h for two weeks, feed less, ' .
            'and clean no other part of the filter.',
        'since_unknown' =>
            'Filter age not known: the start date of {stages} is not in the book. Enter it on Build. Until then ' .
            'it counts as new when the book began, or as mature after eight weeks of clean tests.',
        'since_proven' =>
            'The start date of {stages} is not in the book. Eight weeks of clean tests let it count as mature. ' .
            'Enter the date on Build.',
        'read_against_reckoned' =>
            'By estimate the load of {load} g N/day is more than the {capacity} this filter can take, yet ' .
            'ammonia read {ammonia} and nitrite {nitrite} {ago} with these fish. Either more bacteria live in it ' .
            'than the book shows, or the rise is still to come. Test both every 12 h, and measure the filter ' .
            'before and after.',
        'capacity_not_known' =>
            'Filter capacity today is uncertain: between {low} and {high} g N/day, for a load of {load}.',
        'overloaded' =>
            'Filter overloaded: it can take {capacity} ({low} to {high}) of a load of {load} g N/day, so ammonia ' .
            'rises. Test it every 12 h, and feed less.',
        'little_kept_back' =>
            'Load {load} g N/day of a filter capacity of {capacity} ({low} to {high}): the margin is smaller ' .
            'than this system is meant to keep.',
        'not_grown_yet' =>
            'The filter has not grown to its fish yet: it can take {capacity} of a load of {load} g N/day. ' .
            'Ammonia read {ammonia} and nitrite {nitrite} {ago}. Test both every 12 h.',
        'history_band' => 'The band covers how fast bacteria grow and starve, and how much was lost or added.',
        'seed_old_water' => 'Old water has almost no nitrifiers: they grow on surfaces. Move media instead.',
        'seed_culture' => 'Bottled cultures do anything from nothing to saving a week. Expect nothing, and test.',
        'seed_kept_wet' =>
            'Move media wet, within the hour. A donor can bring disease or a treatment: look at its fish first.',
        'set_back' =>
            '{deed}: about {lost} % of the filter’s bacteria were lost ({low} to {high}). Ammonia may rise ' .
            'within a day, and nitrite after it. Test both every 12 h until {until}, and feed less.',
        'idle_wet_and_aired' =>
            'For a filter that stayed wet, with air or flow. One that was closed or dried out loses far more, ' .
            'and sooner.',
        'idle_new_start' => 'Less than half is alive. Treat it as a new start: little feed, and tests each day.',
    ];
}
