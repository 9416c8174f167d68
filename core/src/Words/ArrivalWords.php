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
        'gate_say_why' => 'The quarantine is not over. Give a reason to move them anyway.',
        'gate_ends' => 'Quarantine is over, if its gate is clear',
        'starts_again' => 'One more fish into the same water starts it again for all of them.',
    ];
}
