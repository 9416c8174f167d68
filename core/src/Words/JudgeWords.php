<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said from the run of readings, and asked about a reading. */
final readonly class JudgeWords
{
    public const TEXTS = [
        'round_say_why' => 'Say why it is skipped.',
        'round_say_whom' => 'Say to whom of this yard it is handed.',
        'round_has_own' => '{name} walks a round of their own. Finish that one first.',
        'round_left' => 'Not looked at yet: {names}. Look, or skip them with a reason.',
        'round_ended' => 'This round is finished.',
        'made_too_long_ago' =>
            'This entry waited on its device for more than {days} days. Book it again with its date.',
        'walk_unknown' => 'There is no such system here.',
        'advice_nitrite_to_come' => 'Ammonia was {ammonia} mg/L {ago}. Expect nitrite now, and test for it.',
        'advice_chloride_shields' =>
            'There is {times} times as much chloride as nitrite, which keeps most of the nitrite out of the fish.',
        'advice_nitrite_salt_unknown' =>
            'Nitrite is up, and salt was not tested in the last two weeks. Salt at {salt} g/L protects the fish.',
        'advice_nitrite_salt_short' => 'Nitrite is up, with too little salt to protect the fish. Add {salt} g/L.',
        'advice_kh_falls' => 'KH is falling by {fall} dKH a week and reaches 2.8 dKH in {weeks} weeks. Plan a buffer.',
        'advice_kh_at_its_floor' =>
            'KH is falling by {fall} dKH a week and is under 2.8 dKH, where pH can crash. Raise it in steps.',
        'advice_ammonia_without_ph' =>
            'Ammonia was tested without pH and temperature. Test them together: they decide how much is ' .
            'un-ionised.',
        'advice_oxygen_at_dawn' => 'Oxygen was tested by day. In water this warm test at dawn, when it is lowest.',
        'advice_nitrate_of_the_source' =>
            'The source water has {tap} mg/L as NO₃: changes cannot bring it lower. Blend with water that ' .
            'has less.',
        'advice_nitrate_by_changes' =>
            'Nitrate is up. The source water has {tap} mg/L as NO₃, so changes bring it down towards that, in steps.',
        'advice_absurd_carbon_dioxide' =>
            'By pH and KH, CO₂ would be {co2} mg/L. Either the surface is hardly broken, or one of the two was ' .
            'misread: test both again.',
        'asks_far_from_last' => 'The last reading was {last}. Is this right?',
        'asks_nitrite_alone' => 'This much nitrite with neither ammonia nor nitrate is hardly possible. Read it again.',
        'asks_oxygen_over' => 'That is {pct} % of what the water can hold. Is the probe dry, or the temperature wrong?',
        'asks_kh_above_gh' =>
            'KH is far higher than GH. That happens after a softener, and none is entered for this source water. ' .
            'Was one of them misread?',
        'asks_carbon_dioxide' => 'With this KH, CO₂ would be {co2} mg/L. Read pH and KH again.',
        'deed_tan_mg_l_above_watch' => 'Feed half today and test again in 12 h.',
        'deed_tan_mg_l_above_act' => 'Change water today: Trouble says how much.',
        'deed_tan_mg_l_above_watch_no_fish' => 'Add no more ammonia until it falls.',
        'deed_tan_mg_l_above_act_no_fish' => 'Change water until it is under: this much holds the bacteria back.',
        'deed_nh3_n_mg_l_above_watch' => 'Do not raise pH or KH, and test again tonight.',
        'deed_nh3_n_mg_l_above_act' => 'Change water today: Trouble says how much. Give nothing that raises pH.',
        'deed_nh3_n_mg_l_above_watch_no_fish' => 'Add no more ammonia until it falls.',
        'deed_nh3_n_mg_l_above_act_no_fish' => 'Change water until it is under: this much holds the bacteria back.',
        'deed_no2_n_mg_l_above_watch' => 'Test it again in 12 h, and salt with it.',
        'deed_no2_n_mg_l_above_act' => 'Change water today: Trouble says how much.',
        'deed_no2_n_mg_l_above_watch_no_fish' => 'Add no more ammonia until it falls.',
        'deed_no2_n_mg_l_above_act_no_fish' => 'Change water until it is under: this much holds the bacteria back.',
        'deed_no3_n_mg_l_above_watch' => 'Change a tenth more a week than now.',
        'deed_no3_n_mg_l_above_act' => 'Change water today, in steps: Change says how much.',
        'deed_no3_n_mg_l_above_watch_no_fish' => 'Change water before fish go in.',
        'deed_no3_n_mg_l_above_act_no_fish' => 'Change water before fish go in.',
        'deed_ph_above_watch' => 'Test ammonia, and again at dawn and in the evening.',
        'deed_ph_above_act' => 'Test ammonia now: at this pH more of it is un-ionised.',
        'deed_ph_above_watch_no_fish' => 'Bring it down before fish go in.',
        'deed_ph_above_act_no_fish' => 'Bring it down before fish go in.',
        'deed_ph_below_watch' => 'Test KH today.',
        'deed_ph_below_act' => 'Test ammonia and KH, then raise KH slowly.',
        'deed_temp_c_above_watch' => 'Give more air, and test oxygen at dawn.',
        'deed_temp_c_above_act' => 'Give all the air there is, and shade it.',
        'deed_temp_c_above_watch_no_fish' => 'Cool it before fish go in.',
        'deed_temp_c_above_act_no_fish' => 'Cool it: the bacteria suffer too.',
        'deed_temp_c_below_watch' => 'Feed little, and nothing below 8 °C.',
        'deed_temp_c_below_act' => 'Stop feeding, and warm it slowly: Trouble says how.',
        'deed_temp_c_below_watch_no_fish' => 'Warm it: bacteria grow slowly in the cold.',
        'deed_temp_c_below_act_no_fish' => 'Warm it: bacteria hardly grow in this cold.',
        'deed_do_mg_l_below_watch' => 'Give more air, and test at dawn.',
        'deed_do_mg_l_below_act' => 'Give air now: oxygen comes before everything else.',
        'deed_do_mg_l_below_watch_no_fish' => 'Give more air: the bacteria need it.',
        'deed_do_mg_l_below_act_no_fish' => 'Give more air: the bacteria need it.',
        'deed_do_sat_pct_below_watch' => 'Give more air, and test at dawn.',
        'deed_do_sat_pct_below_act' => 'Give air now: oxygen comes before everything else.',
        'deed_do_sat_pct_below_watch_no_fish' => 'Give more air: the bacteria need it.',
        'deed_do_sat_pct_below_act_no_fish' => 'Give more air: the bacteria need it.',
        'deed_do_sat_pct_above_watch' => 'Shade the water, and test oxygen at dawn.',
        'deed_do_sat_pct_above_act' => 'Look for air drawn in at a pump, and break the surface.',
        'deed_co2_mg_l_above_watch' => 'Break the surface more.',
        'deed_co2_mg_l_above_act' => 'Give more air now, and open the shed.',
        'deed_alkalinity_mg_l_below_watch' => 'Raise KH this week, in steps.',
        'deed_alkalinity_mg_l_below_act' => 'Raise KH today, in steps: KH, GH, pH says how much.',
        'deed_salinity_g_l_above_watch' => 'Give no more salt.',
        'deed_salinity_g_l_above_act' => 'Change water: only that takes salt out.',
        'deed_chlorine_mg_l_above_watch' => 'Shut the new water off, and give conditioner.',
        'deed_chlorine_mg_l_above_act' => 'Shut the new water off now, and give conditioner.',
        'deed_watch' => 'Test it again tomorrow.',
        'deed_act' => 'Test it again now, and look at Trouble.',
    ];
}
