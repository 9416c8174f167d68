<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about fish and feed. */
final readonly class FishWords
{
    public const TEXTS = [
        'ration_tables_rations_habit_measurement' =>
            'Ration tables are custom, not measurement. Go by what is eaten in a few minutes, and by the steady ' .
            'temperature of the last days.',
        'shut_off_oxygen_measured_reckoned_full' =>
            'Oxygen not tested: full saturation is assumed, so there may be less time.',
        'shut_off_surface_takes_little_itself' =>
            'Oxygen through the surface is left out, so the real time is a little longer.',
        'weight_carp_usually_between_weigh' => 'Carp usually weigh between {lean} and {stout}. Weigh one to be sure.',
        'load_feed_fish_eat' => 'There is feed but no fish to eat it.',
        'load_tenth_fishs_own_weight' =>
            'This is more than a tenth of the fish’s weight a day. Only fry eat that much.',
        'load_below_koi_hardly_digest' => 'Below 8 °C koi hardly digest, and most feed rots.',
        'load_little_fed_fish_excrete' => 'With so little feed, what unfed fish excrete decides.',
        'bay_over' =>
            '{bay} is shut off and its fish are past what they can stand. Open it now, or give it air and change ' .
            'its water.',
        'bay_nearly_over' => '{bay} is shut off and half the time its fish can stand is over. Open it, or give it air.',
        'move_apart' => '{name} is {from} here and {to} there: more than {most} at once.',
        'move_steps' =>
            'Bring the {name} of one of the two waters nearer to the other first, over {days} days. Or net them ' .
            'across in small numbers and watch them for a day.',
        'move_out_of_worse' =>
            'The water they leave is worse than the one they go to. Move them now: float and drip for an hour, ' .
            'and watch them for a day.',
        'move_not_tested' => '{name} of {where} was never tested. Test it before fish go there.',
        'growth_from_memory' =>
            'The coefficient is from memory, 0.6 to 1.2 for koi. Two weighings of your own fish tell it better.',
        'ahead_carries' =>
            'By {date} these fish weigh {kg} kg more. The load is then {load} g N a day, and the filter can grow to ' .
            '{takes}.',
        'ahead_short' =>
            'By {date} these fish weigh {kg} kg more. The load is then {load} g N a day, and the filter can grow to ' .
            '{takes}: {short} g short. Add media, feed less, or sell some before then.',
        'ahead_no_filter' => 'By {date} these fish weigh {kg} kg more. No filter is described here.',
        'ahead_cold' => 'In water so cold they do not grow.',
        'ahead_usual' =>
            'By the usual growth of koi of their length (from memory), not your own. Measure them twice, two ' .
            'weeks or more apart.',
        'ahead_fitted' => 'By what you measured of them, in water as warm as now.',
        'single_group' => 'There is no such group here.',
        'single_one' => 'One fish at a time. Give 1.',
        'single_elsewhere' => 'This fish is not counted in this group.',
        'look_quarantine' => 'In quarantine every fish is looked at each {days} days. They are due.',
        'look_incident' =>
            'Ammonia or nitrite was dangerous {days} days ago, and infection follows. Look at every fish.',
        'look_spring' => 'The water is warming, and fish mend more slowly than germs grow. Look at every fish.',
        'look_nothing' => 'Say what you saw, or that nothing was wrong with them.',
        'look_too_many' => 'There are only {count} of them.',
        'look_nobody' => 'Say whom you looked at.',
        'size_missing' => 'Give a length or a weight.',
        'size_cannot_be' =>
            'So heavy a fish of this length cannot be: the condition factor would be {factor}, and carp have 1.3 to ' .
            '1.8.',
        'count_whole' => 'Fish are counted whole.',
        'move_say_why' => 'These waters are too far apart for an ordinary move. Give a reason to move them anyway.',
    ];
}
