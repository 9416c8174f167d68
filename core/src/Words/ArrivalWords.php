<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about arrivals and quarantine. */
final readonly class ArrivalWords
{
    public const TEXTS = [
        'bag_turns' =>
            'Opened and aired its pH rises to {ph} and {nh3} mg/L of its ammonia turns un-ionised, over {limit}. ' .
            'Float it closed, then net the fish across at once. Pour no bag water in, and drip nothing into the ' .
            'open bag.',
        'bag_holds' => 'Its ammonia stays harmless when it is aired: it may be opened and dripped.',
        'match_temp_c' =>
            'Temperature is {from} °C there and {to} °C here, more than the {most} °C that fish stand in a day. ' .
            'Bring the tub to theirs first, by heater or with cooler water, and then to yours by 2 °C an hour.',
        'match_ph' =>
            'pH is {from} there and {to} here, more than the {most} that fish stand in a day. Make the water of ' .
            'the tub like theirs first, and bring it to yours over days.',
        'match_no3_n_mg_l' =>
            'Nitrate is {from} mg/L as N there and {to} here, more than the {most} that fish stand in a day. Fill ' .
            'the tub with water low in nitrate, RO or tested tap, and bring it to yours over days.',
        'tub_nitrate' =>
            'Change {litres} L ({pct} %) of it first, with water that has no nitrate: that brings it to {to} mg/L.',
        'tub_heat' => 'Warm it to {to} °C first: {kwh} kWh, so {watts} W for a day.',
        'tub_cool' => 'Bring it down to {to} °C first, with cooler water or with the heater off.',
        'tub_salt' => 'Dissolve {grams} g of salt in {litres} L first, for the {to} g/L they are used to.',
        'drip_not_known' => 'Give the litres of the bag and what was measured in it, and test this system first.',
        'drip_turns' => 'Its ammonia turns when it is opened: it is not dripped. Net the fish across at once.',
        'drip_match' => 'The waters are too far apart to drip. Match the tub first.',
        'bag_in' => 'They are in already.',
        'bag_lived' => 'Something was booked of these fish since. Move or remove them on Fish.',
        'shipment_in' => 'Fish of it are in already.',
        'dead_on_arrival' => 'Dead on arrival, from {whom}',
        'hold_ramp' => 'Bring it from {from} to {to} °C at {rate} °C a day: {days} days.',
        'hold_there' => 'It stands at the {to} °C you hold.',
        'hold_heat' => 'Holding {to} °C under air of {air} °C takes {watts} W, {trickle} W of it for the trickle.',
        'hold_trickle_unknown' =>
            'The temperature of the new water is not in the book, so the heat of the trickle is left out. Test it.',
        'hold_heat_alone' => 'Holding {to} °C under air of {air} °C takes {watts} W.',
        'hold_air_assumed' => 'Air of the shed assumed to be {air} °C. Give yours.',
        'hold_heaters_do' => 'Your heaters give {have} W: they are on {share} % of the time.',
        'hold_heaters_short' =>
            'Your heaters give {have} W: they hold {holds} °C at most. Cover the tub, slow the trickle, or ' .
            'add {more} W.',
        'hold_no_heater' => 'No heater is described here. Add it on Plumbing.',
        'hold_cut' =>
            'When the power fails it falls by {fall} °C in the first hour, and by 3 °C in {hours} h. Cover the tub, ' .
            'stop the trickle, and keep air on a battery.',
        'hold_cut_slow' =>
            'When the power fails it falls by {fall} °C in the first hour and never by 3 °C. Keep air on a battery.',
        'treat_none' => 'Nothing is given without a finding. Scrape first, then dose what was found.',
        'treat_salt' => 'Salt is given to all that come. Dose works out how much, and what must not be in with it.',
        'treat_flukes' => 'A course against flukes is given to all that come. Course plans its days.',
        'tools_own' => 'Nets, bowls and hoses of this water stay here. Its water goes into no other system.',
        'tools_missing' => 'Give this water nets, bowls and hoses of its own, and share no water with another system.',
        'footbath' => 'Footbath and clean hands before and after. Change the bath by its label.',
        'footbath_missing' => 'No footbath: wash hands and boots before and after.',
        'visit_last' => 'Visit in this order, clean water first: {names}.',
        'before_carries' => 'The filter takes {takes} g N a day, and with these fish the load is {load}.',
        'before_short' =>
            'The filter takes {takes} g N a day, and with these fish the load is {load}. Seed it, feed less, or put ' .
            'some of them elsewhere.',
        'before_no_filter' => 'No filter is described here: every gram of ammonia has to be changed out.',
        'before_dense' => '{density} kg/m³ with them, over the {limit} of the school followed here.',
        'before_room' => '{density} kg/m³ with them, of {limit} by the school followed here.',
        'before_feed' =>
            'No feed on the first day. Then {half} g a day for three days, where they take it, and {whole} g after ' .
            'that while ammonia and nitrite stay clean.',
        'before_cold' => 'In water so cold they are not fed.',
        'before_fish_in' =>
            'The filter has to grow to them. Ammonia reaches its trigger in about {hours} h: have {litres} L ' .
            'of water ' .
            'ready for each change, and test twice a day for two weeks.',
        'before_water' => 'Have {litres} L of water ready, matched to this system: one change of a quarter.',
        'drip_too_fast' => 'Too fast for the first hour: {fastest} L/min at the most.',
        'net_across' => 'The waters are close enough: float for the temperature, then net them across.',
        'drip_then_net' => 'Drip, then net them across. Their old water does not go into the system.',
        'does_not_show' =>
            '{name} shows only between {from} and {to} °C: in this water a quarantine proves nothing. Hold them in ' .
            'that range, and have them tested.',
        'gate_days' => 'Days left: {days}.',
        'gate_losses' => '{count} died in the last seven days. Wait until none has for a week.',
        'gate_never_tested' => 'Ammonia and nitrite were never read here. Test them.',
        'gate_tests_old' => 'Ammonia and nitrite were last read {days} days ago. Test them again.',
        'gate_tests_bad' => 'The last readings are to be acted on. See Trouble first.',
        'gate_signs' => 'Seen on them in the last week: {signs}.',
        'gate_not_looked' =>
            'Nobody wrote down in the last week what they saw on them. Look at every fish and write it, good news too.',
        'gate_residual' => 'Still in the water: {what}.',
        'gate_shut' =>
            '{count} died within days: nothing leaves this water, no fish, no water, no nets. Call a veterinarian; ' .
            'some diseases must be reported by law.',
        'gate_spreads' =>
            '{ill} of {fish} show the same sign, and it spreads: nothing leaves this water, no fish, no water, no ' .
            'nets. Call a veterinarian; some diseases must be reported by law.',
        'gate_say_why' => 'The quarantine is not over. Give a reason to move them anyway.',
        'back_say_why' => 'It is not ready to go back. Give a reason to move it anyway.',
        'back_apart' => 'The water of {name} differs: {what}. Bring the tub nearer to it over {days} days first.',
        'hospital_empty' => 'No fish are in it. Keep its sponge fed, or start it anew when one comes.',
        'hospital_room' => '{litres} L for {kg} kg of fish: enough.',
        'hospital_small' =>
            '{litres} L for {kg} kg of fish is little: {needs} L at least. Change a part of it each day.',
        'hospital_salt' => 'Salt stands at {now} g/L. For {to} g/L dissolve {grams} g more, in three parts over a day.',
        'hospital_salted' => 'Salt stands at {now} g/L, enough for a wound.',
        'hospital_salt_unknown' => 'Salt was not tested. {to} g/L eases a wound. Test it before dosing.',
        'hospital_salt_zeolite' =>
            'Zeolite is in. Take it out before salt goes in, or it lets go of its ammonia. Then {to} g/L ' .
            'eases a wound.',
        'hospital_oxygen' => 'Oxygen {now} mg/L.',
        'hospital_oxygen_low' => 'Oxygen {now} mg/L, under {least}. Give it more air.',
        'hospital_oxygen_unknown' => 'Oxygen was not tested. Keep the air strong, and test it.',
        'hospital_course' => 'A course runs: its next dose stands on Course.',
        'hospital_no_course' => 'No course runs. A veterinarian decides whether it needs one.',
        'hospital_dressing' =>
            'Dress a wound out of the water on wet cloth, under a minute, and never the gills. Book each look with a ' .
            'picture.',
        'gate_ends' => 'Quarantine is over, if its gate is clear',
        'starts_again' => 'One more fish into the same water starts it again for all of them.',
    ];
}
