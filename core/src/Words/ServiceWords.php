<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about service. */
final readonly class ServiceWords
{
    public const TEXTS = [
        'cold' => 'The water is cold: little is fed and little grows.',
        'cool' => 'The water is cool: it may wait half as long again.',
        'warm' => 'The water is warm: sooner than usual.',
        'season_spring' => 'The water warms up: it is spring, whatever the date.',
        'season_summer' => 'The water is warm.',
        'season_autumn' => 'The water cools down.',
        'season_winter' => 'The water is cold.',
        'slow_feed' => 'By the steady temperature of the water: air swings by 15 °C from one day to the next.',
        'new_filter' => 'A filter that stood all winter starts again as a new one.',
        'not_all_shade' => 'Not the whole surface: plants and oxygen need light.',
        'unfed' => 'Hardly anything is fed.',
        'fed_lightly' => 'Little is fed.',
        'fed_heavily' => 'Much is fed: sooner than usual.',
        'blocks_sooner' => 'At this load it blocks in about {days} days.',
        'hours_over' => 'It has run {hours} h.',
        'flow_fallen' => 'Its flow has fallen by {pct} %.',
        'seen_fouled' => 'Seen {pct} % fouled.',
        'pressure_up' => 'Its drop has risen by {pct} %.',
        'only_when_slow' => 'Left alone until it slows, by the school followed here.',
        'salt_not_with_zeolite' =>
            'Not while zeolite is in the water, and not with plants. Give it from Dose, which looks at what is there.',
        'never_tap' => 'Never in tap water: chlorine kills what lives in it.',
        'not_all_at_once' => 'Never all of it at once: the rest keeps the filter going.',
        'not_cleaned' => 'The carrier itself is not cleaned.',
        'no_fingers' => 'No bare fingers on quartz or lamp; never look at a lit lamp.',
        'unplug' => 'Pull the plug before a hand goes in. Dry hands, and a residual-current device.',
        'one_at_a_time' => 'One bay at a time, so that the others keep their flow.',
        'step_do' => 'Do it.',
        'step_off_first' => 'Switch {name} off before the water falls below it.',
        'step_shut_valves' => 'Shut {valves}, and let the pump draw the chamber down.',
        'step_pump_off' => 'Switch {name} off. The clock in the foot runs from now.',
        'step_throttle' => 'Throttle the pump; it keeps running.',
        'step_unthrottle' => 'Open the pump up again.',
        'step_lift_out' => 'Lift the media out into a tub of system water. Keep them wet.',
        'step_lift_layers' => 'Lift {layers} out, the top ones first, into a tub of system water. Keep them wet.',
        'step_rinse_system' =>
            'Swish about {share} % of the media in system water until the dirt is off. Brown water is no fault: ' .
            'leave the film on.',
        'step_rinse_hosed' =>
            'Hose about {share} % of the media with water free of chlorine, as warm as the system. The rest stays ' .
            'as it is.',
        'step_rinse_chlorinated' =>
            'Stop: chlorinated water kills 30 to 90 % of what lives in the media. Swish them in system water instead.',
        'step_put_back' => 'Put everything back as it lay.',
        'step_clear_screen' => 'Take the dirt off the screen of {name} with a soft brush. Nothing else is cleaned.',
        'step_replace' => 'Take the old filling of {name} out and put the new one in, rinsed.',
        'step_stir_by_hand' => 'Stir the bed of {name} for some minutes, until no more dirt comes up.',
        'step_stir_by_air' =>
            'Lead the air to {outlet} and let it stir the bed for some minutes, until no more dirt comes up.',
        'step_less_air' =>
            'While the air is away, oxygen of the fish goes to {after} mg/L in half an hour and to {settles} mg/L if ' .
            'it stays away. Watch them.',
        'step_less_air_low' =>
            'While the air is away, oxygen of the fish falls to {after} mg/L in half an hour and to {settles} mg/L ' .
            'if it stays away: that is too little. Give them other air first, and keep it short.',
        'step_less_air_unknown' =>
            'How far oxygen falls while the air is away is not known. Stay with the fish, and lead the air back at ' .
            'once if they gasp.',
        'step_air_off' => 'Shut the air to {outlet} again.',
        'step_air_back' => 'Lead the air back from {outlet} to the fish.',
        'step_turn_to_backwash' => 'Turn the valve of {name} to backwash while the pump stands. Never under pressure.',
        'step_backwash_runs' => 'Run it for {seconds} s, until the water comes clear: {litres}.',
        'step_turn_back' => 'Stop it, and turn the valve of {name} back to filter.',
        'step_wipe_sleeve' =>
            'Open the housing of {name}, draw the sleeve out with gloves on, wipe it with vinegar and a soft cloth. ' .
            'Look at the seal. It is glass.',
        'step_change_lamp' =>
            'Open the housing of {name}, change the lamp with gloves on, put a new seal in. The old lamp is ' .
            'hazardous waste.',
        'step_lamp_off' => 'Switch {name} off and pull its plug. Light that blinds, glass, and mains by water.',
        'step_lamp_on' => 'Switch {name} on again, now that water flows past it.',
        'step_clean_pump' => 'Pull the plug. Take the strainer and the impeller of {name} out, brush both clean.',
        'step_device_off' => 'Switch {name} off and pull its plug.',
        'step_clean_device' => 'Clean {name}, and look for what is worn.',
        'step_device_on' => 'Switch {name} on, and see that it works.',
        'step_vacuum' =>
            'Vacuum the floor of {name} slowly, from one end to the other. Stop before too much water is out.',
        'step_circuits' => 'Press the test button of each. One that does not trip is changed by an electrician, today.',
        'step_open_valves' => 'Open {valves} slowly, and let the chamber fill.',
        'step_prime' => 'Fill {name} with water before it is switched on.',
        'step_pump_on' => 'Switch {name} on.',
        'step_look_at_returns' => 'Look at every return: {returns}. Or give the flow.',
        'step_see_flow' => 'See that water flows, or give the flow.',
        'step_on_again' => 'Switch {name} on again, now that water flows.',
        'step_not_on_garden' =>
            'In the water: {what}. Its waste leads to the garden, where that must not go. Catch it, and ask what ' .
            'local rules allow.',
        'step_where_it_may_go' => 'In the water: {what}. Let it out only where local rules allow.',
        'step_dirt_out' => 'Let or lift the dirt out of {name}; it has no waste.',
        'step_shut_float' =>
            'Shut the float valve of {vessel} first: what it lets in is not treated as fast as it comes.',
        'step_open_float' =>
            'Refill {vessel} by hand with treated water, as warm as what is there. Then open its float valve again.',
        'step_float_refills' => 'The float valve of {vessel} puts {litres} L back in about {minutes} min. See it stop.',
        'step_drain' => 'Open {waste} and drain it: {litres}. Shut it again.',
        'step_flush' => 'Open {waste} for {seconds} s, {litres}. Shut it again.',
        'big_mains' =>
            'Before anyone steps into the water: everything on mains power in it off and unplugged. Nobody works ' .
            'there alone.',
        'big_tub' => 'Fill a tub with water of {name}, give it air and a net over it, and move the {kg} kg of fish in.',
        'big_tub_stays' =>
            'Fill the tub of {tub} L with water of {name}, give it air and a net over it, and move the {kg} kg of ' .
            'fish in. They may stay {stays} h before ammonia is too much, unfed.',
        'big_tub_least' =>
            'Fill a tub of at least {least} L with water of {name}, give it air and a net over it, and move the ' .
            '{kg} kg of fish in: in less they cannot stay {hours} h.',
        'big_tub_small' =>
            'The tub of {tub} L is too small: {kg} kg of fish may stay {stays} h in it before ammonia is too much, ' .
            'and this takes {hours} h. Take {least} L, or hold them in another system.',
        'big_tub_air' =>
            'Somebody watches their air: without it they are in danger in {minutes} min. Have a second pump at hand.',
        'big_filter_kept' =>
            'Let the filter run round the tub of the fish if its pump can be turned down for it. Else keep its media ' .
            'wet and aired: standing {hours} h, wet and open, costs about {lost} % of its bacteria ({low} to {high}).',
        'big_media_packed' =>
            'Media into open tubs of the kept water, with air, never packed tight: {hours} h like this cost about ' .
            '{lost} % of the bacteria ({low} to {high}), packed and closed nearly all.',
        'big_keep' => 'Keep {litres} L of the water in clean tubs: for the media, for rinsing, and to fill with first.',
        'big_drain' => 'Drain it, about {litres} L, and look for fish left behind before the last of it goes.',
        'big_silt' =>
            'Lift the silt out with scoops and buckets, or a pump for dirty water. Leave the film on the walls.',
        'big_silt_litres' =>
            'Lift the silt out, about {litres} L, with scoops and buckets or a pump for dirty water. Leave the ' .
            'film on the walls.',
        'big_plants' => 'Plants stand in tubs of the kept water, in the shade, and go back before the fish.',
        'big_kept_back' => 'The kept water goes in first.',
        'big_fill' => '{text}',
        'big_chlorine_looked' =>
            'Test for chlorine, pH and temperature before a fish goes in. Any chlorine: treat again.',
        'big_fish_back' =>
            'Fish go back when pH is within 0.3 and temperature within 2 °C of their tub; float them first.',
        'big_after' =>
            'No feed today. Test ammonia in six hours and each day for a week, and feed a third until it stays at 0.',
        'big_move_before' =>
            'The day before: no feed; test the water; see that the new place is level and bears {tonnes} t of ' .
            'water and the vessel.',
        'big_lift' => 'Lift with enough people and straps: empty it wholly first, wet liners and media are heavy.',
        'big_set_up' => 'Set it up level, join the lines, and look for leaks with a little water before it is filled.',
        'big_move_after' =>
            'Treat it as a young filter: a third of the feed in the first week, ammonia and nitrite each day for two ' .
            'weeks.',
        'clear_shade' =>
            'Half the surface shaded by day, by cloth or floating leaves. The bloom fades in two to three weeks.',
        'clear_feed' =>
            'A feed smaller by {share} %, and no plant fertiliser: slow, and the only one that takes away what blooms.',
        'clear_feed_none' =>
            'They are fed so little that less feed changes nothing: look for what else brings nutrients.',
        'clear_plants' => '{area} m² planted, a tenth of the surface: it competes from the second month on.',
        'clear_lamp' => '{wanted} W clear green water here; {burns} W burn. It clears in one to two weeks.',
        'clear_lamp_enough' =>
            'The {burns} W that burn are enough: wipe the sleeve, look at the flow, and wait a week.',
        'clear_dead_algae' =>
            'It does not touch algae on walls. What it kills sinks and rots: more air and a clean prefilter meanwhile.',
        'lamp_no_before' =>
            'Sight was not measured in the week before it was lit. Let the disc down and name the spot, next time ' .
            'first.',
        'lamp_wait' => 'Measure sight again in {days} days, at the same spot.',
        'lamp_measure_now' => 'Measure sight now, at the same spot.',
        'lamp_no_after' => 'Sight was not measured again at that spot within two weeks.',
        'lamp_clearer' => 'One sees {more} cm further.',
        'lamp_murkier' => 'One sees {more} cm less. It is not algae that float, or the lamp does not reach them.',
        'lamp_the_same' =>
            'As before: it is not algae that float, or the lamp is too weak, too old or its sleeve clouded.',
        'two_in_a_week' =>
            '{other} was washed {days} days ago. Two within a week cost the filter more than it makes good: wait if ' .
            'you can.',
        'two_in_cold' => 'The water is {temp} °C: what is lost now grows back in weeks.',
        'strips_all' =>
            'Together with what was washed lately this takes {pct} % of what lives in the filter. Ammonia would show ' .
            'in a day.',
        'strip_follows' =>
            'Run on with the feed as it is and no change of water: ammonia up to {tan} mg/L on day {tan_day}, ' .
            'nitrite to {no2} on day {no2_day}, both down again by day {back}.',
        'strip_stays' =>
            'Run on with the feed as it is and no change of water: ammonia up to {tan} mg/L on day {tan_day}, ' .
            'nitrite to {no2} on day {no2_day}, and not down again within {days} days.',
        'test_after' => 'Test ammonia in some hours, and again tomorrow.',
        'flow_first' => 'First see water flow: look at every return, or give the flow.',
        'still_off' => '{name} is still off.',
    ];
}
