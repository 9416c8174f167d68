<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about pipes, pumps and lamps. */
final readonly class FlowWords
{
    public const TEXTS = [
        'turnover_after_turnover_63_water' =>
            'After one turnover 63 % of the water has been through: what comes back mixes with ' .
            'what is there. Circulation within a vessel is another matter.',
        'pump_duty_pipework_asks_little_pump' =>
            'The pipework asks so little that the pump runs off the end of its curve: the flow ' .
            'is at least this, and the motor may run hot.',
        'network_cut_off_open_water' => '{id} is cut off from all open water: nothing flows.',
        'uv_estimate_says_how_things' =>
            'An estimate: it says how things compare, not what a bench would measure. UV clears ' .
            'green water and does nothing for ammonia.',
        'uv_lamp_past_000_change' =>
            'The lamp is past 9,000 h: change it. Bare fingers off the quartz, current off ' .
            'first, and never look at a lit lamp.',
        'uv_sleeve_been_wet_90' =>
            'The sleeve has been wet for 90 days or more since it was wiped; it fouls with the lamp off too.',
        'gravity_slower_droppings_settle_pipe' =>
            'Slower than 0.3 m/s: droppings settle in the pipe. A narrower pipe, or more flow in ' .
            'it now and then, keeps it clean.',
        'gravity_level_drops_mm_pump' =>
            'The level drops more than the {allowed} mm there are: the pump runs short and draws air.',
        'airlift_correlation_nicklin_slug_flow' =>
            'Correlation of Nicklin for slug flow: measure yours, it can be a third off either way.',
        'stands' =>
            '{pump} is {off} since {since}: nothing flows. Fish and filter stand it ' .
            'for {left} more. Let it flow again, or give ' .
            'air, and look for flow.',
        'stands_over_oxygen' => '{pump} is {off} since {since}, and oxygen runs out: air now, and let it flow.',
        'stands_over_ammonia' =>
            '{pump} is {off} since {since}, and ammonia is past what the fish stand: let it flow, and change water.',
        'stands_over_filter' =>
            '{pump} is {off} since {since}: the filter dies. Drain what stands in it to waste before it flows again.',
        'lamp_due' => '{name}: the lamp has burnt about {hours} h in {months} months. Fit a new one.',
        'sleeve_due' => '{name}: the sleeve has been wet for {days} days. Wipe it; it fouls with the lamp off too.',
        'airlift_little_air_high_lift' => 'So little air, or so high a lift, moves no water.',
    ];
}
