<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about doses: why one is refused, on what conditions it is given, what stands in the water. */
final readonly class DoseWords
{
    public const TEXTS = [
        'nothing_known' => 'Nothing is known against it.',
        'salt_with_zeolite' => 'Salt makes zeolite let go of its ammonia: one or the other, never both.',
        'formalin_with_permanganate' => 'Formalin and permanganate destroy one another and the gills between them.',
        'formalin_with_oxidiser' => 'An oxidiser turns formalin into acid, and both are lost on the fish.',
        'binder_with_chloramine_t' => 'A binder takes chloramine-T out at once, and leaves what it makes of it.',
        'binder_with_oxidiser' => 'A binder and an oxidiser use one another up: neither works.',
        'thiosulfate_with_oxidiser' => 'Thiosulfate takes an oxidiser out: it is the way to stop it, not to give it.',
        'methylene_blue_while_seeding' => 'Methylene blue kills the bacteria that are being seeded.',
        'two_oxidisers' => 'Two oxidisers burn gills together, and what they make of one another nobody knows.',
        'carbon_out' => 'Take the carbon out: it takes the dose out of the water.',
        'zeolite_out' => 'Take the zeolite out while it runs.',
        'uv_off' => 'UV off: it breaks the agent down.',
        'bypass_seeded_filter' => 'Bypass the filter that is being seeded, and feed it meanwhile.',
        'binder_apart' => 'Binders keep some medicines from working: give them apart, by the label.',
        'chlorine_out' => 'Make the water free of chlorine first.',
        'two_medicines' => 'Two medicines at once only on a veterinarian’s word; otherwise change water and wait.',
        'copper_needs_alkalinity' => 'Copper is dosed by alkalinity: measure it first.',
        'copper_in_soft_water' =>
            'Under 50 mg/L of alkalinity copper kills the fish: raise KH first, or choose another.',
        'chloramine_t_needs_ph_and_hardness' => 'Chloramine-T is dosed by pH and hardness: measure both first.',
        'chloramine_t_in_acid_water' => 'In water this acid chloramine-T turns far more poisonous: buffer first.',
        'chloramine_t_in_soft_water' => 'In soft, acid water only the low dose of the table, and watched all the time.',
        'oxygen_low' => 'There are {oxygen} mg/L of oxygen: bring it above 6 before anything that takes more.',
        'oxygen_short' => 'Oxygen is low for this: run all the air there is.',
        'oxygen_unknown' => 'Measure oxygen first, and again two hours after.',
        'too_warm' => 'In water this warm it takes oxygen that is not there: cool it, or wait.',
        'warm' => 'In warm water: at dawn, when it is coolest, and with all the air there is.',
        'temperature_unknown' => 'The temperature was never tested: what an agent does to fish follows from it.',
        'gone_in' => '{name} is gone by itself in about {days}; changes of water take it sooner.',
        'own_agent_in_water' => '{name} is in the water still: read both labels, or change water and wait.',
        'on_top' =>
            'There are {left} {unit} of it in the water still; with {dose} more it would be ' .
            'above {ceiling}. Give what is missing on the Course page, or a smaller dose.',
        'expired' => '{name} went off on {day}: replace it, or go by what its label allows.',
        'ammonium_with_fish' =>
            'There are fish in this water: what they give is ammonia enough, and more would burn them.',
        'nitrite_first' => 'Nitrite stands above 5 mg/L: let it fall first, more ammonia only heaps it up.',
        'harms_as_it_is' => 'This would harm the fish as the water is now: see what stands in red.',
        'nothing_to_give' => 'There is nothing to give: something is missing still, or the level is reached.',
        'below_scale' => 'That is less than the scale can show: make a stock solution, or use a finer scale.',
        'own_carbon_out' => 'Take the carbon out.',
        'own_uv_off' => 'UV off.',
        'own_zeolite_out' => 'Take the zeolite out.',
        'own_with_another' => 'Something else is in the water: read both labels, or change water and wait.',
        'same_by_another' => '{who} booked the same {ago}: {text}. Book this only if it was given as well.',
        'over_ceiling' =>
            '{name} stands at about {level}, over {ceiling}. Change half the water now, and run all the air there is.',
        'met_in_water' =>
            '{name} and {other} are both in the water. {reason} Change half the water now, and ' .
            'run all the air there is.',
    ];
}
