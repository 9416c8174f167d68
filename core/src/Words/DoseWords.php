<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about doses: why one is refused, on what conditions it is given, what stands in the water. */
final readonly class DoseWords
{
    public const TEXTS = [
        'later' => 'Once that is done the dose is {amount}, as the water is now.',
        'later_needs' => 'To see what the dose will be then, fill in: {missing}.',
        'nothing_known' => 'Nothing is known against it.',
        'salt_with_zeolite' => 'Salt makes zeolite let go of its ammonia.',
        'formalin_with_permanganate' => 'Formalin and permanganate destroy one another and the gills between them.',
        'formalin_with_oxidiser' => 'An oxidiser turns formalin into acid, and both are lost on the fish.',
        'binder_with_chloramine_t' => 'A binder takes chloramine-T out at once, and leaves what it makes of it.',
        'binder_with_oxidiser' => 'A binder and an oxidiser use one another up: neither works.',
        'thiosulfate_with_oxidiser' => 'Thiosulfate takes an oxidiser out: it is the way to stop one, not to give one.',
        'methylene_blue_while_seeding' => 'Methylene blue kills the bacteria that are being seeded.',
        'two_oxidisers' => 'Two oxidisers burn gills together, and what they make of one another nobody knows.',
        'instead_salt_with_zeolite' =>
            'For salt take the zeolite out first; with salt in the water bind ammonia, or change water.',
        'instead_formalin_with_permanganate' => 'Only after the first is gone and half the water was changed.',
        'instead_formalin_with_oxidiser' => 'Only after the first is gone and half the water was changed.',
        'instead_binder_with_chloramine_t' => 'Against ammonia change water instead.',
        'instead_binder_with_oxidiser' => 'Against ammonia change water instead.',
        'instead_thiosulfate_with_oxidiser' => 'Give the oxidiser after a change of water.',
        'instead_methylene_blue_while_seeding' => 'Treat the fish in a bath of their own.',
        'instead_two_oxidisers' => 'Only after the first is gone and half the water was changed.',
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
        'same_agent_in_water' =>
            'It is in the water already, and nobody knows how much is left: change water until it is gone, or wait.',
        'permanganate_in_alkaline_water' =>
            'At pH {ph} permanganate burns gills: choose another, or bring pH below 8.5 first.',
        'permanganate_ph_unknown' => 'Test pH first: above 8.5 permanganate burns gills.',
        'oxygen_would_run_out' =>
            'It takes {takes} mg/L of oxygen and there are {oxygen}: {left} would be left. Give less, or bring ' .
            'oxygen up first.',
        'oxygen_will_fall' =>
            'It takes {takes} mg/L of the {oxygen} there are: all the air there is, from before it goes in.',
        'expired' => '{name} went off on {day}: replace it, or go by what its label allows.',
        'ammonium_with_fish' =>
            'There are fish in this water: what they give is ammonia enough, and more would burn them.',
        'nitrite_first' => 'Nitrite stands above 5 mg/L: let it fall first, more ammonia only heaps it up.',
        'harms_as_it_is' => 'This would harm the fish as the water is now: see what stands in red.',
        'nothing_to_give' => 'There is nothing to give: something is missing still, or the level is reached.',
        'below_scale' => 'That is less than the scale can show: make a stock solution, or use a finer scale.',
        'own_uv_off' => 'UV off.',
        'own_with_another' => 'Something else is in the water: read both labels, or change water and wait.',
        'same_by_another' => '{who} booked the same {ago}: {text}. Book this only if it was given as well.',
        'bound_ammonia' =>
            'There is a binder in the water: ammonia kits read what is bound as if it burned. Go by the fish, ' .
            'by pH, and by whether the reading falls from day to day.',
        'over_ceiling' =>
            '{name} stands at about {level}, over {ceiling}. Change half the water now, and run all the air there is.',
        'met_in_water' =>
            '{name} and {other} are both in the water. {reason} Change half the water now, and ' .
            'run all the air there is.',
        'met_zeolite' =>
            '{name} and {other} are both in the water. {reason} Take the zeolite out now, test ammonia, and ' .
            'change water by what it says.',
        'chloride_guard_zeolite_loop_shields_fish' =>
            'Not with zeolite in the loop. It shields the fish and takes no nitrite away: change water as well.',
        'chloride_guard_chloride_unknown' =>
            'Nobody measured chloride or salt: taken as none, so this is the most it could have to be.',
        'chloride_guard_enough' => 'There is chloride enough already: nothing is to be added.',
        'binder_three_labels' =>
            'Three times the label and no more: that binds {binds} of {tan} mg/L. Change water first.',
        'charge_salt_water_charge_lets' =>
            'There is salt in the water: the charge lets its ammonia go. Take it out now.',
        'charge_even_little_salt_makes' => 'Even this little salt makes it hold less.',
        'charge_full_throw_away_regenerate' =>
            'It is full: throw it away, or regenerate it in brine, away from the fish.',
        'charge_said_hold_differs_several' =>
            'What it is said to hold differs several times over between makers: ammonia that ' .
            'rises again says it is full, whatever stands here.',
        'salt_zeolite_first_salt_makes' =>
            'Out with the zeolite first: salt makes it let go of its ammonia. Plants suffer.',
        'salt_once_shock_steps' => 'More than 0.5 g/L at once is hard on them: in steps, twelve hours apart.',
        'residual_how_much_carbon_zeolite' =>
            'How much carbon or zeolite takes is known within a factor of several: add no more ' .
            'than would be safe if it had taken nothing.',
        'peroxide_oxygen_water_holds_mg_would' =>
            'The water holds only {room} mg/L more: more would go to waste and burn gills.',
        'peroxide_oxygen_last_resort_while_air' =>
            'A last resort while air is fetched, once. Dilute it, give it slowly where flow is ' .
            'strong, away from fish. Gloves and eye protection. Never with another agent.',
        'zeolite_much_salt_zeolite_holds' =>
            'With this much salt zeolite holds next to nothing, and lets go what it has. Not together.',
        'zeolite_salt_risen_since_went' =>
            'Salt has risen since it went in: a loaded charge lets its ammonia go. Take it out first.',
        'zeolite_salt_water_holds_less' =>
            'There is salt in the water: it holds less than half, and any more salt sets ammonia free.',
        'zeolite_rinse_dust_off_first' =>
            'Rinse the dust off first. It fills up: test ammonia behind it. Regenerate in brine ' .
            'away from fish, or throw it away.',
        'binder_level_binder_swamped_change' =>
            'At this level a binder is swamped: change the water first, then bind what is left.',
        'binder_holds_ammonia_day_two' =>
            'It holds ammonia for a day or two and removes none: after each change, daily while ' .
            'it lasts. Some kits read bound ammonia as if it were free.',
        'treatment_takes_about_mg_oxygen' =>
            'It takes about {oxygen_per_mg_l} mg/L of oxygen within two days: run all the air there is.',
        'treatment_bypass_biofilter_count_losing' =>
            'Bypass the biofilter, or count on losing much of it; test ammonia twice a day for a week after.',
        'treatment_label_veterinarian_local_law' =>
            'The label, a veterinarian and local law come before this. Koi count as fish that ' .
            'may be eaten. Disposal: {disposal}',
        'treatment_nothing_known_here_agent' =>
            'Nothing is known here of this agent: its label is all there is to go by.',
        'permanganate_demand_mg_taken_dirt_permanganate' =>
            'More than 6 mg/L is taken by dirt: permanganate would mostly burn silt. Clean, change water, test again.',
        'permanganate_demand_never_formalin_another_oxidiser' =>
            'Never with formalin or another oxidiser. Gloves, eye protection; all the air there ' .
            'is; the biofilter bypassed.',
    ];
}
