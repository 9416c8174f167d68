<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about how a loop is built. */
final readonly class LoopWords
{
    public const TEXTS = [
        'turnover_water_comes_round_times' =>
            'Turnover is {turnovers} times an hour. The school followed here ({name}) asks for {target} or more.',
        'turnover_filter_circulation_pumps_move' =>
            'Filter and circulation pumps move {moved} volumes an hour. The school followed here asks for ' .
            '{circulation}.',
        'loop_bypassed_water_passes_lives' => '{name} is bypassed: its bacteria get neither food nor oxygen.',
        'loop_water_rises_hour_over' =>
            '{name}: the water rises at {rise} m/h. Over about {settles_to_m_h}, fine dirt is carried through.',
        'upflow_too_fast' =>
            '{name}: the water rises at {rise} m/h. Over about {settles_to_m_h} the particles lift or let dirt pass: ' .
            'send less through it, as a side stream.',
        'pressure_over' =>
            '{name}: {press} m of water press on it, and it is made for {may}. Throttle before it, not behind it.',
        'pressure_over_when_shut' =>
            '{name}: with its outlet shut the pump presses {press} m on it, and it is made for {may}. Never shut ' .
            'what lies behind it while the pump runs.',
        'pressure_no_waste' => '{name}: no waste line, so it cannot be backwashed.',
        'loop_rim_stands_mm_above' =>
            '{name}: the rim is {rim_m} mm above the water. 75 mm or more keeps a stopped pump from flooding it.',
        'loop_waste_drain_dirt_can' => '{name}: no waste drain, so its dirt has to be lifted out.',
        'loop_water_would_stand_mm' => '{name}: the water would rise {level} mm over the rim.',
        'loop_level_drawn_mm_mm' =>
            '{name}: the level drop is {level} mm, more than the {may_drop_m} mm available: the pump draws air.',
        'loop_valve_feeds_cannot_emptied' =>
            '{name}: no valve, so what it feeds cannot be emptied without emptying the vessel.',
        'loop_check_valve_pump_loses' => '{name}: no check valve, so the pump loses its prime in a power cut.',
        'loop_guard_suction_fry_frogs' => '{name}: no guard on the suction, so fry, frogs and pads are drawn in.',
        'loop_slow_enough_droppings_settle' => '{name}: at {velocity} m/s droppings settle in the pipe.',
        'loop_mouth_reach_cannot_reached' =>
            '{name}: its mouth is out of reach, and what cannot be reached does not get cleaned.',
        'loop_leads_garden_while_salt' =>
            '{name} leads to the garden. Do not use it while salt or a treatment is in the water.',
        'loop_off_nothing_feeds_flow' => '{name} is off: nothing it feeds has flow, oxygen or food.',
        'loop_runs_against_shut_line' => '{name} runs against a shut line: no water moves.',
        'loop_runs_off_end_curve' => '{name} runs off the end of its curve. Throttle it, or its motor runs hot.',
        'loop_return_breaks_surface_water' =>
            'No return breaks the surface: water leaves a biofilter short of oxygen, and nothing here puts it ' .
            'back.',
        'loop_pump_air_circuit_trip' => 'Pump and air share one circuit ({pumps}): one trip stops both.',
        'loop_air_pump_pump_stops' => 'There is no air pump: when the pump stops, so does the oxygen.',
        'vessel_net_koi_jump_most' => '{name} has no net. Koi jump, most of all when new.',
        'vessel_float_valve_overflow_sticks' =>
            '{name} has a float valve and no overflow. If the valve sticks open it floods the vessel and dilutes ' .
            'every dose.',
        'vessel_water_would_stand_mm' =>
            '{name}: the water would rise {rise} mm over the lip of its overflow, and over its rim.',
        'vessel_pipe_narrow_cannot_carry' =>
            '{name}: a pipe this narrow cannot carry {line_flow} L/h, so {name2} would rise until it overflows.',
        'vessel_water_comes_goes_same' => '{name}: water comes and goes at the same end, so the other end is stagnant.',
        'vessel_blows_across_along_length' =>
            '{name} blows across {name2}. Along its length it would move the whole volume.',
        'current_strong' =>
            '{name}: the water flows at {current} cm/s, {lengths} lengths a second of its smallest fish ({fish} cm). ' .
            'They hold half a length all day; let it run across, or throttle it.',
        'current_tires' =>
            '{name}: the water flows at {current} cm/s, {lengths} lengths a second of its smallest fish ({fish} cm). ' .
            'Above one length they tire and are pressed against screens: turn it down.',
        'lamp_before_biofilter' =>
            '{name} stands before the biofilter: less light gets through water that is not yet clean, and its sleeve ' .
            'fouls sooner. Behind it the lamp does more.',
        'circulator_without_guard' =>
            '{name}: no guard, so fins and small fish are drawn in. Put a cage or a coarse sponge round it.',
        'junction_leads_nowhere' => '{name}: fewer than two lines meet here, so it carries nothing on.',
        'loop_line_is_shut' => '{name} is shut.',
    ];
}
