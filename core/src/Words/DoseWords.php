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
        'salt_with_zeolite' => 'Salt makes zeolite release its ammonia.',
        'formalin_with_permanganate' => 'Formalin and permanganate destroy each other and the gills.',
        'formalin_with_oxidiser' => 'An oxidiser turns formalin into acid, and neither helps the fish.',
        'binder_with_chloramine_t' => 'A binder removes chloramine-T at once and leaves its by-products.',
        'binder_with_oxidiser' => 'A binder and an oxidiser use each other up, and neither works.',
        'thiosulfate_with_oxidiser' => 'Thiosulfate neutralises an oxidiser: use it to stop one.',
        'methylene_blue_while_seeding' => 'Methylene blue kills the bacteria you are seeding.',
        'two_oxidisers' => 'Two oxidisers burn the gills, and what they form together is not known.',
        'instead_salt_with_zeolite' =>
            'Take the zeolite out first, and give salt once ammonia reads good. Until then bind ammonia or ' .
            'change water.',
        'instead_formalin_with_permanganate' => 'Wait until the first is gone and half the water has been changed.',
        'instead_formalin_with_oxidiser' => 'Wait until the first is gone and half the water has been changed.',
        'instead_binder_with_chloramine_t' => 'Against ammonia, change water instead.',
        'instead_binder_with_oxidiser' => 'Against ammonia, change water instead.',
        'instead_thiosulfate_with_oxidiser' => 'Give the oxidiser after a water change.',
        'instead_methylene_blue_while_seeding' => 'Treat the fish in a separate bath.',
        'instead_two_oxidisers' => 'Wait until the first is gone and half the water has been changed.',
        'carbon_out' => 'Take the carbon out: it would remove the dose.',
        'zeolite_out' => 'Take the zeolite out while the treatment runs.',
        'uv_off' => 'Switch the UV off: it breaks the treatment down.',
        'bypass_seeded_filter' => 'Bypass the filter that is being seeded, and keep it fed.',
        'binder_apart' => 'Binders stop some medicines from working. Give them apart, by the label.',
        'chlorine_out' => 'Neutralise the chlorine in the water first.',
        'two_medicines' =>
            'Give two medicines at once only on a veterinarian’s advice. Otherwise change water and wait.',
        'copper_needs_alkalinity' => 'Copper is dosed by alkalinity: test KH first.',
        'copper_in_soft_water' =>
            'Under 50 mg/L of alkalinity copper kills the fish. Raise KH first, or choose another treatment.',
        'chloramine_t_needs_ph_and_hardness' => 'Chloramine-T is dosed by pH and hardness: test both first.',
        'chloramine_t_in_acid_water' => 'Chloramine-T is far more toxic in water this acid. Raise KH first.',
        'chloramine_t_in_soft_water' =>
            'In soft, acid water give only the low dose of the table, and watch the fish all the time.',
        'oxygen_low' => 'Oxygen is {oxygen} mg/L. Bring it over 6 before you give anything that uses more.',
        'oxygen_short' => 'Oxygen is low for this treatment: run all the air you have.',
        'oxygen_unknown' => 'Test oxygen first, and again two hours after.',
        'too_warm' => 'In water this warm it uses oxygen that is not there. Cool the water, or wait.',
        'warm' => 'In warm water give it at dawn, when the water is coolest, with all the air you have.',
        'temperature_unknown' => 'Temperature not tested. Test it first: how a treatment affects fish depends on it.',
        'gone_in' => '{name} is gone in about {days}, or sooner with water changes.',
        'own_agent_in_water' => '{name} is still in the water. Read both labels, or change water and wait.',
        'on_top' =>
            '{left} {unit} of it are still in the water. With {dose} more it would be over {ceiling}. Give only ' .
            'what is missing, on Course, or a smaller dose.',
        'same_agent_in_water' =>
            'It is in the water already, and how much is left is not known. Change water until it is gone, or ' .
            'wait.',
        'permanganate_in_alkaline_water' =>
            'At pH {ph} permanganate burns gills. Choose another treatment, or bring pH under 8.5 first.',
        'permanganate_ph_unknown' => 'Test pH first: over 8.5 permanganate burns gills.',
        'oxygen_would_run_out' =>
            'It uses {takes} mg/L of oxygen. With {oxygen} in the water, {left} would be left. Give less, or ' .
            'raise oxygen first.',
        'oxygen_will_fall' =>
            'It uses {takes} of the {oxygen} mg/L of oxygen in the water. Run all the air you have, starting ' .
            'before you give it.',
        'expired' => '{name} expired on {day}. Replace it, or follow what its label allows.',
        'ammonium_with_fish' => 'There are fish in this water. They produce enough ammonia, and more would harm them.',
        'nitrite_first' => 'Nitrite is over 5 mg/L. Let it fall first: more ammonia only adds to it.',
        'harms_as_it_is' => 'This would harm the fish as the water is now. Read what is marked in red.',
        'nothing_to_give' => 'There is nothing to give: something is still missing, or the level is reached.',
        'below_scale' => 'That is less than your scale can show. Make a stock solution, or use a finer scale.',
        'own_uv_off' => 'Switch the UV off.',
        'own_with_another' => 'Something else is in the water. Read both labels, or change water and wait.',
        'booked_otherwise' =>
            'This entry was booked already, though its answer was lost: {text}. Look at it; sent again, this is ' .
            'booked besides it.',
        'same_by_another' => '{who} booked the same {ago}: {text}. Book this only if it was given as well.',
        'bound_ammonia' =>
            'A binder is in the water, so ammonia kits read bound ammonia as if it were harmful. Go by the fish, ' .
            'by pH, and by whether the reading falls from day to day.',
        'over_ceiling' =>
            '{name} is at about {level}, over {ceiling}. Change half the water now, and run all the air you have.',
        'met_in_water' =>
            '{name} and {other} are both in the water. {reason} Change half the water now, and run all the air ' .
            'you have.',
        'met_zeolite' =>
            '{name} and {other} are both in the water. {reason} Take the zeolite out now, test ammonia, and ' .
            'change water by what it says.',
        'chloride_guard_zeolite_loop_shields_fish' =>
            'Not with zeolite in the loop. Salt protects the fish but removes no nitrite: change water as well.',
        'chloride_guard_chloride_unknown' =>
            'Neither chloride nor salt was tested. None is assumed, so this is the most that could be needed.',
        'chloride_guard_enough' => 'There is enough chloride already: add nothing.',
        'binder_three_labels' =>
            'Three times the label dose is the limit. It binds {binds} of {tan} mg/L. Change water first.',
        'charge_salt_water_charge_lets' =>
            'There is salt in the water, and the charge releases its ammonia. Take it out now.',
        'charge_even_little_salt_makes' => 'Even this little salt makes it hold less.',
        'charge_full_throw_away_regenerate' =>
            'It is full. Throw it away, or regenerate it in brine, away from the fish.',
        'charge_said_hold_differs_several' =>
            'Its capacity differs several times over between makers. When ammonia rises again it is full, ' .
            'whatever is shown here.',
        'salt_zeolite_first_salt_makes' =>
            'Take the zeolite out first: salt makes it release its ammonia. Salt harms plants.',
        'salt_once_shock_steps' =>
            'More than 0.5 g/L at once is hard on the fish: give it in steps, twelve hours apart.',
        'residual_how_much_carbon_zeolite' =>
            'How much carbon or zeolite removes is known only within a factor of several. Add no more than would ' .
            'be safe if it had removed nothing.',
        'peroxide_oxygen_water_holds_mg_would' =>
            'The water can hold only {room} mg/L more. More would be wasted and burn gills.',
        'peroxide_oxygen_last_resort_while_air' =>
            'A last resort, once, while you fetch air. Dilute it and give it slowly where flow is strong, away ' .
            'from the fish. Wear gloves and eye protection. Never with another treatment.',
        'zeolite_much_salt_zeolite_holds' =>
            'With this much salt, zeolite holds almost nothing and releases what it has. Do not use them ' .
            'together.',
        'zeolite_salt_risen_since_went' =>
            'Salt has risen since the zeolite went in, so it releases its ammonia. Take it out first.',
        'zeolite_salt_water_holds_less' =>
            'There is salt in the water: zeolite holds less than half as much, and any more salt releases ' .
            'ammonia.',
        'zeolite_rinse_dust_off_first' =>
            'Rinse the dust off first. It fills up: test ammonia after it. Regenerate it in brine away from the ' .
            'fish, or throw it away.',
        'binder_level_binder_swamped_change' =>
            'At this level a binder is swamped. Change water first, then bind what is left.',
        'binder_holds_ammonia_day_two' =>
            'It makes ammonia harmless for a day or two and removes none. Give it after each change, daily while ' .
            'the problem lasts. Some kits read bound ammonia as free.',
        'treatment_takes_about_mg_oxygen' =>
            'It uses about {oxygen_per_mg_l} mg/L of oxygen within two days. Run all the air you have.',
        'treatment_bypass_biofilter_count_losing' =>
            'Bypass the biofilter, or expect to lose much of it. Test ammonia twice a day for a week afterwards.',
        'treatment_label_veterinarian_local_law' =>
            'The label, a veterinarian and local law come first. In law koi count as fish that may be eaten. ' .
            'Disposal: {disposal}',
        'treatment_nothing_known_here_agent' => 'Nothing is known here about this treatment. Go by its label.',
        'permanganate_demand_mg_taken_dirt_permanganate' =>
            'Dirt uses more than 6 mg/L: permanganate would mostly burn silt. Clean, change water, and test ' .
            'again.',
        'permanganate_demand_never_formalin_another_oxidiser' =>
            'Never with formalin or another oxidiser. Wear gloves and eye protection, run all the air you have, ' .
            'and bypass the biofilter.',
    ];
}
