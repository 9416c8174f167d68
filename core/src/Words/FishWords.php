<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about fish and feed. */
final readonly class FishWords
{
    public const TEXTS = [
        'ration_tables_rations_habit_measurement' =>
            'Tables of rations are habit, not measurement: go by what is cleared in a few ' .
            'minutes, and by the steady temperature of the last days.',
        'shut_off_oxygen_measured_reckoned_full' =>
            'Oxygen was not measured: reckoned from full saturation, so there may be less time.',
        'shut_off_surface_takes_little_itself' =>
            'A surface takes a little in by itself; it is left out, so that the time is on the short side.',
        'weight_carp_usually_between_weigh' => 'Carp are usually between {lean} and {stout}: weigh one to be sure.',
        'load_feed_fish_eat' => 'There is feed and no fish to eat it.',
        'load_tenth_fishs_own_weight' =>
            'This is more than a tenth of the fish’s own weight a day: only fry eat so much.',
        'load_below_koi_hardly_digest' => 'Below 8 °C koi hardly digest: feed given now mostly rots.',
        'load_little_fed_fish_excrete' => 'So little is fed that what the fish excrete unfed decides.',
        'bay_over' =>
            'Fish in {bay}, which is shut off, are past what they can stand: open it now, or give it air and change ' .
            'its water.',
        'bay_nearly_over' => 'Half of the time that fish in {bay} can stay shut off is over: open it, or give it air.',
        'move_apart' => '{name} is {from} here and {to} there: more than {most} at once.',
        'move_steps' =>
            'First bring the {name} of one of the two waters nearer to the other, over {days} days; or net them ' .
            'across in small numbers and watch them for a day.',
        'move_out_of_worse' =>
            'The water they leave is worse than the one they go to. Nobody is held ' .
            'back: move them now, float and drip ' .
            'for an hour, and watch them for a day.',
        'move_not_tested' => '{name} of {where} was never tested: test it before fish go there.',
        'move_say_why' => 'These waters are too far apart for an ordinary move. Say why they go all the same.',
    ];
}
