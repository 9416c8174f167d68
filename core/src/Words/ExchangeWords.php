<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about changing water. */
final readonly class ExchangeWords
{
    public const TEXTS = [
        'dechlorinate_chloramine_does_gas_off' =>
            'Chloramine does not gas off when it is sprayed, and leaves its ammonia: the filter, ' .
            'a binder or zeolite must take it.',
        'dechlorinate_safety_factor_test_water' =>
            'No safety factor is in it: test the water after. Conditioners differ; go by the ' .
            'label of the one you have.',
        'blend_these_waters_cannot_make' =>
            'These waters cannot make it; this is as near as they come. Minerals by weight do the rest.',
        'blend_ph_chlorine_do_blend' => 'pH and chlorine do not blend by parts: dechlorinate each, and test the mix.',
        'carbon_even_trickle_water_through' =>
            'Even at a trickle the water is through before the carbon has it: chlorine reaches the fish.',
        'carbon_fast_fill_outruns_throttle' => 'A fast fill outruns it: throttle the line to {bed} L/min.',
        'carbon_carbon_breaks_chloramine_leaves' =>
            'What carbon breaks of chloramine leaves as ammonia: test behind it.',
        'carbon_treated_good_change' => 'It has treated what it is good for: change it.',
        'carbon_sediment_stage_10_15' =>
            'A sediment stage of 10 to 15 micron before it keeps it from clogging. Test for ' .
            'chlorine behind it at every change.',
        'heat_walls_surface_air_carry' => 'What walls, surface and air carry off comes on top.',
        'heat_heaters_near_water_go' =>
            'Heaters near water go on a residual-current device, put in by a qualified electrician.',
        'heat_cooling_figure_heat_taken' => 'This is cooling: the figure is heat to be taken out.',
        'trickle_nothing_trickles_made_gathers' => 'Nothing trickles in: what is made only gathers.',
        'heat_balance_walls_surface_rules_thumb' =>
            'Walls and surface are rules of thumb: half or double is possible. A cover saves most.',
        'heat_balance_heater_cannot_hold_less' =>
            'The heater cannot hold it: less trickle, a cover, a coil, or a stronger heater.',
        'heat_balance_temperature_new_water_known' =>
            'The temperature of the new water is not known: the trickle is left out of the heat.',
        'schools_feed_fish_plants_held' => 'Feed, fish and plants are held as they are now.',
        'change_inputs_new_water_hotter_cool' =>
            'The new water is 8 °C hotter or more: cool it first, whatever the mix comes to; ' .
            'where it comes in it scalds.',
        'change_inputs_temperature_moves_once_shock' =>
            'The temperature moves by {value} °C: more than 2 at once is a shock.',
        'change_inputs_ph_moves_once_shock' => 'pH moves by {value}: more than 0.3 at once is a shock.',
        'change_inputs_nitrate_moves_40_mg' =>
            'Nitrate moves by more than 40 mg/L as NO₃ at once: a sudden fall shocks as a rise does.',
        'change_inputs_moves_days_worth_once' => '{name} moves by more than a day’s worth at once.',
        'chloramine_filter_takes_it' =>
            'Its chloramine leaves {grams} g of ammonia nitrogen behind. The filter has {spare} g a day ' .
            'to spare and takes it within a day.',
        'chloramine_filter_has_no_room' =>
            'Its chloramine leaves {grams} g of ammonia nitrogen behind. The filter has no such room: ' .
            'smaller changes, a binder with the new water, or zeolite.',
        'plan_new_water_too_high' =>
            'New water has {source}: changes cannot bring it from {from} to {to}. Blend it with water that ' .
            'has less, or take it out by media.',
        'plan_new_water_too_low' =>
            'New water has {source}: changes cannot bring it from {from} to {to}. Blend it with water that ' .
            'has more, or dose it.',
        'plan_may_not_move' => '{name} may not move at all, and every change moves it: match the new water first.',
        'plan_test_before_each_change' =>
            'Test before each change: what the fish make meanwhile is not in these numbers.',
        'decides_ammonia_over_nitrate' =>
            'Ammonia decides: it asks for a large change now, and nitrate’s limit of a day gives way to it. ' .
            'Afterwards nitrate is brought down in its own steps.',
        'decides_ammonia' => 'Ammonia decides: it asks for a large change now.',
        'decides_nitrate_keeps' => 'Ammonia is only watched, so nitrate keeps its steps.',
        'change_burns' =>
            'This change burns: un-ionised ammonia would rise to {after} mg/L. Bind the {tan} mg/L of ammonia first, ' .
            'or change with water of a lower pH.',
        'plan_more_is_made' =>
            'More is made in a day than may be changed: it settles at {settles} and does not come down to {to}. Feed ' .
            'less, bind, or change more at once.',
        'plan_takes_years' => 'Within these limits it takes more than two years of daily changes.',
        'plan_limit_holds' => '{name} holds the steps down: no more of it in a day shocks nobody.',
        'decides_ammonia_over_limits' =>
            'Ammonia decides: it asks for a large change now, and what else would shock gives way to it, all but ' .
            'temperature.',
        'trickle_with_chlorine' =>
            '{name} brings chlorine, or nobody tested it: say what takes it out before it trickles in, as a carbon ' .
            'train that is long enough, or dosing with the flow.',
        'float_valve_with_chlorine' =>
            'The float valve of {vessel} lets in {name}, which brings chlorine or ' .
            'was never tested for it: shut it until ' .
            'a carbon train or dosing stands behind it, and name that at the water.',
        'least_none' => 'No change is due: the school followed here ({school}) asks for one only when readings do.',
        'least_done' =>
            'No change is due: {done} L were changed in the last seven days, and the school followed here ({school}) ' .
            'asks for {week} L.',
        'least_due' =>
            'Change {litres} L ({pct} %) this week: the school followed here ({school}) asks for {week} L in seven ' .
            'days, and {done} L were changed.',
        'meter_agrees' => 'By the meter {litres} L ran in over {days}: as it is booked.',
        'meter_unbooked' =>
            'By the meter {litres} L ran in over {days}, and {booked} L are booked: the rest is counted as changed. ' .
            'Book it, or look for a leak.',
        'meter_trickle' => 'By the meter the trickle brings {is} L/h, not {said}: what goes by it goes by the meter.',
    ];
}
