<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about changing water. */
final readonly class ExchangeWords
{
    public const TEXTS = [
        'no_source_water' => 'No source water is on the shelf. Add it there, with its test.',
        'nothing_tested_in_both' => 'No parameter has been tested both here and in the source water. Test one in both.',
        'volume_unknown' => 'Volume not known. Describe the vessels on Build.',
        'water_scalds' => 'This water is {warmer} °C warmer than the system: cool it first, or test it again.',
        'dechlorinate_chloramine_does_gas_off' =>
            'Chloramine does not gas off when sprayed, and it leaves ammonia behind: the filter, a binder or ' .
            'zeolite must remove it.',
        'dechlorinate_safety_factor_test_water' =>
            'No safety margin is included: test the water afterwards. Conditioners differ, so go by the label of ' .
            'yours.',
        'blend_these_waters_cannot_make' =>
            'These waters cannot make it. This is as near as they come. Add minerals by weight for the rest.',
        'blend_ph_chlorine_do_blend' =>
            'pH and chlorine do not blend in proportion. Neutralise chlorine in each, and test the mix.',
        'carbon_even_trickle_water_through' =>
            'Even a trickle passes before the carbon has worked: chlorine reaches the fish.',
        'carbon_fast_fill_outruns_throttle' => 'A fast fill is too much for it: throttle the line to {bed} L/min.',
        'carbon_carbon_breaks_chloramine_leaves' =>
            'Carbon turns chloramine into ammonia: test for it after the carbon.',
        'carbon_treated_good_change' => 'It has treated as much as it can: replace it.',
        'carbon_sediment_stage_10_15' =>
            'A 10 to 15 micron sediment stage before it keeps it from clogging. Test for chlorine after it at ' .
            'every change.',
        'heat_walls_surface_air_carry' => 'Losses through walls, surface and air come on top.',
        'heat_heaters_near_water_go' =>
            'Heaters by water need a residual-current device fitted by a qualified electrician.',
        'heat_cooling_figure_heat_taken' => 'This is cooling: the figure is heat to remove.',
        'trickle_nothing_trickles_made_gathers' => 'Without a trickle everything the fish produce builds up.',
        'heat_balance_walls_surface_rules_thumb' =>
            'Losses through walls and surface are rules of thumb: half or double is possible. A cover saves most.',
        'heat_balance_heater_cannot_hold_less' =>
            'The heater cannot hold the temperature. Use less trickle, a cover, a coil or a stronger heater.',
        'heat_balance_temperature_new_water_known' =>
            'The temperature of the source water is not known, so the trickle is left out of the heat.',
        'schools_feed_fish_plants_held' => 'Feed, fish and plants are assumed to stay as they are now.',
        'change_inputs_new_water_hotter_cool' =>
            'The new water is 8 °C warmer or more. Cool it first, whatever the mix comes to: it scalds where it ' .
            'runs in.',
        'change_inputs_temperature_moves_once_shock' =>
            'Temperature moves by {value} °C: more than 2 at once is a shock.',
        'change_inputs_ph_moves_once_shock' => 'pH moves by {value}: more than 0.3 at once is a shock.',
        'change_inputs_nitrate_moves_40_mg' =>
            'Nitrate moves by more than 40 mg/L as NO₃ at once: a sudden fall shocks the fish as a rise does.',
        'change_inputs_moves_days_worth_once' => '{name} moves by more than a day’s limit at once.',
        'change_draws_air' =>
            'Stop the pump for it, or let out {litres} L at most at a time: this much lowers the level by {falls} ' .
            'mm, and {by} allows {may} mm while the pump runs.',
        'chloramine_filter_takes_it' =>
            'Its chloramine leaves {grams} g of ammonia nitrogen. The filter has {spare} g a day to spare and ' .
            'removes it within a day.',
        'chloramine_filter_has_no_room' =>
            'Its chloramine leaves {grams} g of ammonia nitrogen, and the filter has no room for it. Make ' .
            'smaller changes, bind the new water, or use zeolite.',
        'plan_new_water_too_high' =>
            'The source water has {source}: changes cannot bring it from {from} to {to}. Blend with water that ' .
            'has less, or remove it with media.',
        'plan_new_water_too_low' =>
            'The source water has {source}: changes cannot bring it from {from} to {to}. Blend with water that ' .
            'has more, or dose it.',
        'plan_may_not_move' => '{name} may not move at all, and every change moves it. Match the source water first.',
        'plan_test_before_each_change' =>
            'Test before each change: waste from the fish in the meantime is not in these numbers.',
        'decides_ammonia_over_nitrate' =>
            'Ammonia decides: it asks for a large change now, and the daily limit for nitrate gives way. Nitrate ' .
            'is brought down in steps afterwards.',
        'decides_ammonia' => 'Ammonia decides: it asks for a large change now.',
        'decides_nitrate_keeps' => 'Ammonia is only at watch, so nitrate keeps its daily limit.',
        'change_burns' =>
            'This change raises un-ionised ammonia to {after} mg/L. Bind the {tan} mg/L of ammonia first, or use ' .
            'water of lower pH.',
        'plan_more_is_made' =>
            'More is produced in a day than may be changed: it settles at {settles} and does not come down to ' .
            '{to}. Feed less, bind, or allow a larger change.',
        'plan_takes_years' => 'Within these limits it takes more than two years of daily changes.',
        'plan_limit_holds' => '{name} limits the size of each step: more in a day would shock the fish.',
        'decides_ammonia_over_limits' =>
            'Ammonia decides: it asks for a large change now, and all other limits give way except temperature.',
        'trickle_with_chlorine' =>
            '{name} has chlorine, or was not tested for it. Name what removes it before it trickles in: a carbon ' .
            'train that is long enough, or dosing with the flow.',
        'float_valve_with_chlorine' =>
            'The float valve of {vessel} lets in {name}, which has chlorine or was not tested for it. Shut the ' .
            'valve until a carbon train or dosing is fitted, and enter that at the source water.',
        'fill_meter' =>
            'Read the meter, rinse what dust and cuttings there are out, and fill: {litres} L. Read the meter ' .
            'again and keep it under Build: it is the best volume there is.',
        'fill_no_chlorine' => 'No chlorine was found in this water. Test for it all the same before fish go in.',
        'fill_conditioner' => '{conditioner}. Then test for chlorine.',
        'fill_runs' => 'Pumps and air on; look for leaks, levels and flow for a day. Nothing living goes in yet.',
        'fill_salt' => 'Salt, where it is used here, in steps over a day, and none where zeolite stands in the loop.',
        'fill_test_hardness' => 'Test KH and GH; below 4 dKH the filter starves of alkalinity as it starts.',
        'fill_soft' => 'This water is soft: lift {what} under Buffers, before the filter is started.',
        'fill_enough' => 'KH {kh} dKH is enough to start on.',
        'fill_seed' =>
            'Seed last: mature media from a healthy system best, then squeezings, then bottled cultures. Old tank ' .
            'water carries almost none. UV off for the first weeks.',
        'fill_part' =>
            'New water, {n} of {of}: {litres} L of {water}, within 2 °C of what is there. Test it for chlorine.',
        'fill_part_given' =>
            'New water, {n} of {of}: {litres} L of {water}, within 2 °C of what is there, with {given}.',
        'refill_not_known' =>
            'The float valve of {vessel} lets in {name} through {unit}, and whether that keeps up is not known. ' .
            'Time a bucket under the open valve and enter the rate at {vessel}, and the litres of carbon at the ' .
            'source water.',
        'refill_outruns_carbon' =>
            'The float valve of {vessel} lets in {rate} L/min, and the {carbon} L of carbon of {unit} treat ' .
            '{fastest} L/min: after a drain chlorine comes through. Throttle the valve, or shut it and refill by ' .
            'hand.',
        'refill_goes' => 'The float valve of {vessel} puts back {litres} L in about {minutes} min.',
        'least_none' => 'No change is due: the school followed here ({school}) asks for one only when readings do.',
        'least_done' =>
            'No change is due: {done} L were changed in the last seven days, and the school followed here ({school}) ' .
            'asks for {week} L.',
        'least_due' =>
            'Change {litres} L ({pct} %) this week: the school followed here ({school}) asks for {week} L in seven ' .
            'days, and {done} L were changed.',
        'meter_agrees' => 'By the meter {litres} L ran in over {days}, which agrees with the book.',
        'meter_unbooked' =>
            'By the meter {litres} L ran in over {days}, but only {booked} L are booked. The rest counts as ' .
            'changed. Book it, or look for a leak.',
        'meter_trickle' => 'By the meter the trickle brings {is} L/h, not {said}. The meter is used.',
    ];
}
