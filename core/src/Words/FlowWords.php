<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about pipes, pumps and lamps. */
final readonly class FlowWords
{
    public const TEXTS = [
        'turnover_after_turnover_63_water' =>
            'After one turnover 63 % of the water has passed the filter, because what comes back mixes with the ' .
            'rest. Circulation within a vessel is another matter.',
        'pump_duty_pipework_asks_little_pump' =>
            'The pipework gives so little head that the pump runs off the end of its curve. The flow is at least ' .
            'this, and the motor may run hot.',
        'network_cut_off_open_water' => '{id} is cut off from all open water: nothing flows.',
        'uv_estimate_says_how_things' =>
            'An estimate: good for comparing, not for a measured dose. UV clears green water and does nothing ' .
            'for ammonia.',
        'uv_lamp_past_000_change' =>
            'The lamp is past 9,000 h: replace it. Switch off first, keep bare fingers off the quartz, and never ' .
            'look at a lit lamp.',
        'uv_sleeve_been_wet_90' =>
            'The sleeve has been wet for 90 days or more since it was wiped. It fouls even with the lamp off.',
        'gravity_slower_droppings_settle_pipe' =>
            'Under 0.3 m/s droppings settle in the pipe. A narrower pipe, or more flow now and then, keeps it ' .
            'clean.',
        'gravity_level_drops_mm_pump' => 'The level drop is more than the {allowed} mm available: the pump draws air.',
        'airlift_correlation_nicklin_slug_flow' =>
            'Nicklin’s correlation for slug flow. Measure yours: it can be a third off either way.',
        'stands' =>
            '{pump} is {off} since {since}, so nothing flows. Fish and filter can stand it for {left} more. ' .
            'Restart it or give air, and check for flow.',
        'stands_over_oxygen' =>
            '{pump} is {off} since {since}, and oxygen is running out. Give air now, and restart the flow.',
        'stands_over_ammonia' =>
            '{pump} is {off} since {since}, and ammonia is past what the fish can stand. Restart the flow, and ' .
            'change water.',
        'stands_over_filter' =>
            '{pump} is {off} since {since}, and the filter is dying. Drain its water to waste before it flows ' .
            'again.',
        'airlift_little_air_high_lift' => 'With so little air, or so high a lift, no water moves.',
    ];
}
