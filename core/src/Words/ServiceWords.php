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
        'step_drain' => 'Open {waste} and drain it: {litres}. Shut it again.',
        'step_flush' => 'Open {waste} for {seconds} s, {litres}. Shut it again.',
        'two_in_a_week' =>
            '{other} was washed {days} days ago. Two within a week cost the filter more than it makes good: wait if ' .
            'you can.',
        'two_in_cold' => 'The water is {temp} °C: what is lost now grows back in weeks.',
        'strips_all' =>
            'Together with what was washed lately this takes {pct} % of what lives in the filter. Ammonia would show ' .
            'in a day.',
        'test_after' => 'Test ammonia in some hours, and again tomorrow.',
        'flow_first' => 'First see water flow: look at every return, or give the flow.',
        'still_off' => '{name} is still off.',
    ];
}
