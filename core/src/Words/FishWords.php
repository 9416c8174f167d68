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
    ];
}
