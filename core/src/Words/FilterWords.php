<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about filters. */
final readonly class FilterWords
{
    public const TEXTS = [
        'start_dose_bottled_ammonium_brings_alkalinity' =>
            'Bottled ammonium brings no alkalinity: nitrifying it costs 7.14 mg/L of KH a mg. ' .
            'Unscented, without soaps; never near fish.',
        'start_dose_ammonia_burns_eyes_lungs' =>
            'Ammonia burns eyes and lungs: outdoors, gloves, eye protection, and never with bleach.',
        'balance_nothing_said_bring_oxygen' =>
            'Nothing is said to bring oxygen in, and none was measured: it is reckoned as none.',
        'balance_filter_cannot_take_load' =>
            'The filter cannot take this load at any ammonia that fish survive: it only rises.',
        'balance_ammonia_settles_above_allowed' => 'Ammonia settles above what is allowed.',
        'balance_nitrite_oxidisers_cannot_keep' => 'Nitrite oxidisers cannot keep up with this: nitrite only rises.',
        'balance_oxygen_settles_under_wanted' =>
            'Oxygen settles under what is wanted: more air comes before more fish.',
        'no_change_day_cannot_hold' =>
            'One change a day cannot hold it, even a full one: change every {share} hours, take ' .
            'fish out, or give it a filter.',
        'no_half_day_much_new' =>
            'More than half a day is much: new water must match in temperature, pH and hardness, ' .
            'and be free of chlorine.',
        'from_readings_kit_cannot_tell_ammonia' =>
            'The kit cannot tell this ammonia from none, so the filter takes this much at ' .
            '{highs} mg/L or less: it could take more.',
        'from_readings_ammonia_rose_faster_load' =>
            'Ammonia rose faster than the load says it could: more is eaten than is written ' .
            'down, dirt rots somewhere, or the volume is wrong.',
        'size_rule_boxes_goes_water' =>
            'The rule for boxes goes by water, this by feed: few fish in much water need less ' .
            'than the rule, many in little need more. Where a small filter measures better, ' .
            'believe the measurement.',
        'nitrate_sinks_grows_takes_between_quarter' =>
            'What grows takes between a quarter and three times this: measure nitrate over some weeks.',
        'nitrate_sinks_microbes_breathe' =>
            'Microbes fed on carbon breathe {oxygen} g of oxygen a day, most of it within hours of the feeding: ' .
            'give it in small parts, and watch oxygen at dawn.',
        'nitrate_sinks_nothing_carries_off_made' => 'Nothing carries off what is made: nitrate rises without end.',
        'capacity_constants_surface_limit_fitted' =>
            'The constants of the surface limit were fitted, and media differ up to twofold: ' .
            'trust a measurement of your own filter above this.',
        'capacity_less_mg_oxygen_water' =>
            'There is less than 2 mg/L of oxygen in this water: the filter stops, and fish suffocate first.',
        'capacity_above_32_gain_warmth' => 'Above 32 °C the gain from warmth is held: nitrifiers gain no more.',
        'capacity_rise_salt_past_about' =>
            'A rise of salt past about 5 g/L sets nitrifiers back for days; this is not counted here.',
        'capacity_air_given_stage_counted' =>
            'Air given to stage {n} is not counted: it feeds bacteria only in a moving bed.',
        'capacity_stage_takes_part_loops' =>
            'Stage {n} takes only part of the loop’s flow and is counted as a side stream.',
        'single_pass_without_ammonia_coming_nothing' => 'Without ammonia coming in nothing can be said of its share.',
        'single_pass_comes_goes_dirt_rots' =>
            'More comes out than goes in: dirt rots in it, or the two tests were mixed up.',
        'solids_shares_caught_held_differ' =>
            'Shares caught and held differ widely between makes: let what you see correct this.',
        'solids_stage_here_holds_dirt' => 'No stage here holds dirt back: all of it rots in the water or on the floor.',
        'wash_hours' => 'Say how many hours it stood or lay dry: what it cost follows from that.',
        'wash_tests' =>
            'Ammonia may rise within a day, and nitrite after it: test both every 12 h for two weeks, feed less, ' .
            'and clean no other part of the filter meanwhile.',
        'since_unknown' =>
            'Since when {stages} runs is not in the book. Say it under Build: until then it counts as new when the ' .
            'book began, or as grown in after eight weeks of clean tests.',
        'since_proven' =>
            'Since when {stages} runs is not in the book. Eight weeks of clean tests let it count as grown in; say ' .
            'it under Build.',
        'read_against_reckoned' =>
            'Reckoned, {load} g N a day is more than the {capacity} that lives here can take; yet ammonia read ' .
            '{ammonia} and nitrite {nitrite} {ago} with these fish. More lives in it than the book tells, or it is ' .
            'yet to show: test both every 12 h, and measure the filter before and after.',
        'capacity_not_known' =>
            'What this filter can take today is not known: between {low} and {high} g N a day. The fish give {load}.',
        'overloaded' =>
            'The filter takes {capacity} ({low} to {high}) of the {load} g N a day that the fish give: ammonia ' .
            'rises. Test it every 12 h, and feed less.',
        'little_kept_back' =>
            'The fish give {load} g N a day of the {capacity} ({low} to {high}) that the filter can take: less is ' .
            'kept back than this system is to keep.',
        'not_grown_yet' =>
            'The filter takes {capacity} of the {load} g N a day that the fish give: it has not grown to them yet. ' .
            'Ammonia read {ammonia} and nitrite {nitrite} {ago}; test both every 12 h.',
        'history_band' =>
            'How fast bacteria grow and starve is a range: the band is of that, and of what was lost or brought in.',
        'seed_old_water' =>
            'Old water carries next to none of what lives in a filter: it grows on surfaces. Move media instead.',
        'seed_culture' =>
            'Bottled cultures differ from nothing to a start a week shorter: promise yourself nothing, and test.',
        'seed_kept_wet' =>
            'Moved wet and within the hour. A donor can bring disease or a treatment with it: look at its fish first.',
        'set_back' =>
            '{deed}: about {lost} % of the filter’s bacteria went ({low} to {high}). Ammonia may rise within a ' .
            'day, and nitrite after it: test both every 12 h until {until}, and feed less.',
        'idle_wet_and_aired' =>
            'Of a filter that stayed wet, with air or flow. One that stood shut or ' .
            'dried out loses far more, and sooner.',
        'idle_new_start' => 'Less than half lives: wake it as a new start, with little feed and tests each day.',
    ];
}
