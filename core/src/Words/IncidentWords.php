<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about trouble. */
final readonly class IncidentWords
{
    public const TEXTS = [
        'answer_un_ionised_ammonia_mg' =>
            'Un-ionised ammonia is {free} mg/L; total and un-ionised are both judged, and the worse decides.',
        'answer_known_test' => '{test} is not known: test it.',
        'acid_bicarbonate' => 'Bicarbonate, dissolved, over an hour, so much now and no more today.',
        'acid_test_ammonia' => 'Test ammonia before anything is buffered.',
        'answer_water_assumed' =>
            'Not all of pH and temperature is known: ammonia is judged as at pH {ph} and {temp} °C.',
        'acid_ammonia_first_assumed' =>
            'Change water for the ammonia first: {tan} mg/L would be {then} un-ionised at pH 8.2, ' .
            'at an assumed {temp} °C.',
        'acid_ammonia_first' => 'Change water for the ammonia first: {tan} mg/L would be {then} un-ionised at pH 8.2.',
        'acid_air' => 'Break the surface: air drives off the carbon dioxide that holds pH down.',
        'acid_tests' => 'pH and KH tomorrow, then the next step, up to 6 dKH.',
        'ammonia_dead_filter_first' => 'The dead filter first: drain it to waste and clean it out.',
        'ammonia_new_start' =>
            'Seed it: mature media or its squeezings, culture three times this week; from here on it is a new start.',
        'ammonia_live_media' => 'Live media from a healthy system, or culture two or three times a week.',
        'ammonia_tests' => 'Ammonia, nitrite and pH every 12 h.',
        'ammonia_find_cause' =>
            'Find the cause: fish too early or too many at once, a filter washed too well or ' .
            'stopped, an insert thrown away, too much feed.',
        'ammonia_no_change_with_this_water' => 'No change with this water: it holds {tan_mg_l} mg/L of ammonia itself.',
        'ammonia_new_water_treated' => 'Treated, and within 2 °C: water this new shocks as well as it saves.',
        'ammonia_binder' => 'Binder for what is left after the change, and again each day while it lasts.',
        'ammonia_binder_with_treatment' =>
            '{treatment} is in the water: read both labels, some binders keep a medicine from working.',
        'ammonia_binder_by_label' => 'Binder by the label of your bottle, after the change.',
        'ammonia_no_zeolite_with_treatment' => 'No zeolite while {treatment} is in the water: it would take that too.',
        'ammonia_zeolite_is_in' =>
            'Look at the zeolite that is in: full, it does nothing. And no salt while it hangs there.',
        'ammonia_no_zeolite_with_salt' => 'No zeolite: {salt} g/L of salt would make it let go.',
        'ammonia_zeolite' => 'Zeolite or ammonia resin in the flow, for what is left above the limit.',
        'chlorine_conditioner' => 'Conditioner or thiosulfate for the whole water, over the returns.',
        'chlorine_shut_water_off' => 'Shut the water off.',
        'chlorine_conditioner_by_label' => 'Conditioner for the whole water, by its label.',
        'chlorine_tests' => 'Test chlorine in a quarter of an hour, and again.',
        'chlorine_ammonia_after_chloramine' =>
            'Ammonia today and for a week: chloramine leaves it behind, and the filter was hurt.',
        'chlorine_ammonia_after' => 'Ammonia for a week: the filter was hurt.',
        'nitrate_water_holds_it' =>
            'This water holds {source} itself: changes with it cannot bring nitrate under {no3_limit}.',
        'nitrate_changed_above' => 'The change above brings nitrate to {nitrate}.',
        'nitrate_test_tap' => 'Test the tap for nitrate.',
        'nitrate_find_cause' =>
            'Then what made it: stock, feed and upkeep, all three. Change more each week, or feed less.',
        'behind_trickle_chlorine' =>
            '{flow} L/min of {water} runs in since {ago} with nothing said to take its chlorine out: fish push up ' .
            'into the returns. Shut it off, and test chlorine.',
        'alkaline_test_ammonia' => 'Test ammonia and temperature now.',
        'alkaline_why_burns' => 'At this pH a large part of any ammonia is un-ionised, and burns.',
        'alkaline_why_burns_so_much' => 'At this pH {nh3} mg/L of the ammonia is un-ionised.',
        'alkaline_no_buffer' => 'Give no buffer, and pour no acid.',
        'alkaline_why_no_acid' => 'Acid eats the KH and lets pH crash later; a fast fall harms more than a high pH.',
        'alkaline_change' => 'Change water in small steps: the new water has pH {ph}.',
        'alkaline_why_small_steps' => 'pH may move by {step} a day.',
        'alkaline_test_source' => 'Test pH and KH of the new water before you change any.',
        'alkaline_find_lime' =>
            'Look for fresh concrete, limestone, coral or shell in the water, and shade green water by day.',
        'alkaline_why_algae' =>
            'Lime lifts pH for weeks; algae lift it by day and let it fall by night: test at dawn too.',
        'salty_change' => 'Change {litres} L today, with water that has no salt in it.',
        'salty_change_some' => 'Change water in steps of a tenth a day, with water that has no salt in it.',
        'salty_why_only_changes' => 'Only changes take salt out. It may move by 1 g/L a day.',
        'salty_zeolite_out' => 'Take the zeolite out now.',
        'salty_why_zeolite' => 'In salt zeolite lets go of the ammonia it holds.',
        'salty_measure_again' => 'Measure salt again with another meter, and after each change. Plants come out.',
        'salty_why_meter' => 'A meter that was never calibrated reads off by half.',
        'gas_air' => 'More air, and break the surface: stones, a fall of water, a spray bar.',
        'gas_why_air' => 'Moving water to air drives CO₂ off within hours.',
        'gas_open' => 'Open covers and doors, so that the air over the water changes.',
        'gas_why_open' => 'Air in a closed shed fills with CO₂ itself.',
        'gas_test_kh' => 'Test pH and KH again tonight, and ammonia with them.',
        'gas_why_ph_rises' => 'pH rises as CO₂ leaves, and more of the ammonia is un-ionised then.',
        'cold_no_feed' => 'No feed below 8 °C.',
        'cold_why_no_feed' => 'Koi hardly digest below 8 °C: feed rots in the water.',
        'cold_warm' => 'Warm it by {by} °C a day at most: about {watts} W, what the water loses to the air besides.',
        'cold_why_slowly' => 'Faster than that shocks the fish as much as the cold.',
        'cold_mains' =>
            'Mains by water: switch off at the socket and dry your hands before you touch it; a residual-current ' .
            'device, put in by a qualified electrician.',
        'cold_ice' => 'Keep a hole in the ice with air or warm water. Do not break ice with blows.',
        'cold_why_ice' => 'Gas must leave and oxygen come in; blows hurt fish that rest below.',
        'cold_tests' => 'Test ammonia and nitrite each week, and again as it warms.',
        'cold_why_filter' => 'The filter nearly rests in the cold and wakes after the fish do.',
        'overfull_surface' => 'Break the surface with air or a fall, and shade the water by day.',
        'overfull_why_bubbles' => 'Gas over what water holds forms bubbles in gills and fins.',
        'overfull_leak' => 'Look for air drawn in at the suction of a pump: a loose joint, a low level.',
        'overfull_why_leak' => 'Air pressed into water by a pump supersaturates it with nitrogen too.',
        'overfull_dawn' => 'Test oxygen at dawn.',
        'overfull_why_dawn' => 'Algae that give so much by day take as much by night.',
        'hardness_soften' => 'Change part with reverse-osmosis water, in steps.',
        'hardness_why_soften' =>
            'Only dilution brings hardness and KH down. GH may move by 4 dGH and KH by 3 dKH a day.',
        'hardness_harden' => 'Calcium chloride, dissolved, over a day: a first step of 4 dGH.',
        'hardness_why_harden' => 'Very soft water takes salts out of fish; it is hardened in steps.',
        'death_out' => 'Take it out now, cool and closed, and write down which fish and when.',
        'death_why_out' => 'It fouls the water, and a veterinarian can still tell what killed it within hours.',
        'death_tests' => 'Test oxygen, ammonia, nitrite, pH and temperature now.',
        'death_why_tests' => 'Water kills more fish than disease does, and what it was is gone by tomorrow.',
        'death_look' => 'Look at every other fish: gills, fins, skin, how it swims and whether it feeds.',
        'death_why_look' => 'One death is rarely the last where the cause stands.',
        'death_vet' => 'Two deaths in a week: a veterinarian. Bury or dispose of fish by local rules.',
        'blocked_free' => 'Free the intake and the pre-filter first, then look at the pump.',
        'blocked_why_free' => 'Flow that slows starves fish and filter of oxygen, and the pump of water.',
        'blocked_gently' =>
            'Rinse mechanical media in water of the system, biological media hardly at all, and one stage a week.',
        'blocked_why_gently' => 'A thorough wash costs more bacteria than the dirt did.',
        'blocked_cause' =>
            'Blocks within days again: silt in the pond, too much feed, too many fish, or a filter too small.',
        'blocked_why_cause' => 'Clean the pond before you blame the filter.',
        'no_volume' =>
            'Nobody said how much water {system} holds: no amount is worked out. Describe its vessels on Build; ' .
            'until then go by the label and by what each 1,000 L takes.',
        'dirt_flush' => 'Flush settlement and drains now, a few seconds each, and take out what lies on the floor.',
        'dirt_why_flush' => 'Dirt that stays rots in the same water and takes its oxygen.',
        'dirt_tests' => 'Test ammonia and oxygen; feed half until it is clear.',
        'dirt_why_tests' => 'Foam that stays and brown water are feed and waste that the filter does not keep up with.',
        'cloudy_wait' => 'Do not chase it with changes: leave it, feed little.',
        'cloudy_why_wait' => 'Its bacteria double within the half hour and are back hours after a change.',
        'cloudy_air' => 'More air, and test oxygen at dawn, ammonia and nitrite today.',
        'cloudy_why_air' => 'They take oxygen at night as the fish do.',
        'bloom_nitrate_and_light' => 'Bring nitrate down and shade the water; a lamp clears it in two to three weeks.',
        'bloom_why_nitrate' => 'Green water lives on nitrate and light. Test nitrate.',
        'bloom_why_nitrate_stands' => 'Green water lives on nitrate and light. Nitrate stands at {nitrate} mg/L.',
        'watch_tan_mg_l_above' => 'Ammonia: feed half today, test again in 12 h, and wash no filter.',
        'watch_nh3_n_mg_l_above' =>
            'Un-ionised ammonia: keep pH from rising: no buffer, shade green water; test again tonight.',
        'watch_no2_n_mg_l_above' => 'Nitrite: salt of 0.1 g/L protects the fish; feed half, test again in 12 h.',
        'watch_no3_n_mg_l_above' => 'Nitrate: change a tenth more a week than now, and test the new water for it.',
        'watch_ph_above' => 'pH: test ammonia with it, give no buffer, and test at dawn and in the evening.',
        'watch_ph_below' => 'pH: test KH today; below 4 dKH buffer in steps.',
        'watch_temp_c_above' => 'Warm water: more air, feed early in the day, test oxygen at dawn.',
        'watch_temp_c_below' => 'Cold water: feed little and nothing below 8 °C.',
        'watch_do_mg_l_below' => 'Oxygen: more air or less feed, and test at dawn, when it is lowest.',
        'watch_do_sat_pct_below' => 'Oxygen: more air or less feed, and test at dawn, when it is lowest.',
        'watch_do_sat_pct_above' => 'Oxygen over saturation: shade the water, and test at dawn.',
        'watch_alkalinity_mg_l_below' => 'KH: buffer to 5 dKH in steps before it falls under 4, and test each week.',
        'watch_salinity_g_l_above' => 'Salt: give no more, and let changes bring it down.',
        'watch_co2_mg_l_above' => 'CO₂: break the surface, and let the air in the shed change.',
        'watch_chlorine_mg_l_above' => 'Chlorine: shut the new water off, and give conditioner by its label.',
        'overload_feed' => 'Feed {feed} g a day at most for now.',
        'overload_why_feed' =>
            'The filter takes less than these fish give. What one change of half the water a day still holds is the ' .
            'most to feed; it grows with the filter.',
        'overload_tests' => 'Test ammonia and nitrite every 12 h.',
        'overload_why_tests' =>
            'Ammonia shows within a day what a filter cannot take; a filter that takes more than is reckoned shows ' .
            'that too.',
        'overload_water_ready' =>
            'Have {litres} L of water ready, free of chlorine and as warm: change it when ammonia reads 0.5.',
        'overload_why_water_ready' => 'Half the water brings ammonia down by half, and buys the time the filter needs.',
        'overload_grow' => 'Seed it from a healthy system, or move fish to one that has room.',
        'overload_why_grow' => 'A filter follows its load within weeks, not within the day on which fish arrive.',
        'nitrate_no_feed' => 'No feed for 24 h.',
        'nitrite_changed_above' => 'The change above brings nitrite to {nitrite} mg/L.',
        'nitrite_change' => 'Change {litres} L, {pct} % of the water, today and while it stands.',
        'nitrite_no_salt_with_zeolite' =>
            'No salt while zeolite hangs in the loop: take it out first, or leave salt away.',
        'nitrite_salt' => 'Salt, dissolved, in steps over the day: ten of chloride to one of the nitrite that stands.',
        'nitrite_salt_plants' => 'Plants and snails suffer from it: take out those that matter.',
        'nitrite_salt_enough' => 'Salt enough is in the water already.',
        'nitrite_air' => 'All the air there is.',
        'nitrite_tests' => 'Nitrite every 12 h.',
        'heat_shade' => 'Shade, and all the air there is, above all at night.',
        'heat_cooler_water' => 'Cooler water in a trickle, no more than {temp_c} °C down in a day.',
        'heat_feed_early' => 'Feed early and little; no treatment that takes oxygen.',
        'heat_oxygen_at_dawn' => 'Oxygen at dawn.',
        'shock_compare' => 'Compare the water they came from: temperature, pH, nitrate, hardness, salt.',
        'shock_between' =>
            'Those still alive into water between the two, with air, and from there in steps: 2 ' .
            '°C and 0.3 pH a day at most.',
        'shock_rest' => 'No feed for a day, dark, nets on.',
        'sickness_oxygen_reads_well' =>
            'Oxygen reads {gasp_at} mg/L: if that is how it is now, it is not that. Chlorine, ' .
            'nitrite and sick gills look the same.',
        'sickness_look_at_fish' =>
            'The water reads well: look at the fish. A scrape under the glass tells flukes from the rest.',
        'sickness_water_first' => 'Put the water right first: half of what looks sick is that.',
        'sickness_look_closer' => 'Look closer at all of them: ulcers, gills, fins, who stands apart. Write it down.',
        'sickness_treat' => 'What is known: the Dose bench, by what it is against. What is not: a veterinarian.',
        'bloom_nothing' =>
            'Nothing, if the readings are good: green water is a taste, not a fault. A lamp for ' .
            'a week, and compare clarity at the same spot.',
        'overdose_zeolite_out' => 'Zeolite and resin out of the loop, now.',
        'overdose_ammonia_tests' => 'Ammonia now and again in two hours; change water by what it says.',
        'overdose_air' => 'All the air there is, now. Fish that lie over go into clean water of the same temperature.',
        'overdose_change' => 'Change half the water, and half again in an hour while they breathe hard.',
        'overdose_new_water' => 'Within 2 °C of the old, and free of chlorine.',
        'overdose_neutralise' =>
            'Permanganate, chloramine-T and peroxide are stopped with sodium thiosulfate, by its ' .
            'label; for the rest fresh carbon in the flow.',
        'overdose_gloves' => 'Gloves and eye protection with every strong chemical.',
        'overdose_no_second' => 'No second treatment and no feed until they breathe calmly.',
        'overdose_tests' => 'Oxygen now and in two hours; ammonia tonight.',
        'oxygen_spray' => 'Spray from the hose over the whole surface.',
        'oxygen_air' =>
            'All the air there is, now: every air pump and stone, battery air, and the pump back on if it stands.',
        'oxygen_dry_hands' => 'Hands dry and the plug side dead before anything electrical is moved by water.',
        'oxygen_no_feed' => 'No feed until it is above {value} mg/L.',
        'oxygen_peroxide' =>
            'If air and hose are not at hand: peroxide, by the strength of your bottle, from the Dose bench.',
        'oxygen_peroxide_burns' => 'Burns skin and eyes: gloves and eye protection.',
        'oxygen_tests' => 'Test oxygen again in half an hour, and at dawn tomorrow.',
        'oxygen_find_cause' =>
            'Then find what took it: a stopped or blocked pump, heat, algae at dawn, silt, a treatment, too many fish.',
        'stopped_filter_drain' =>
            'Did it stand for more than {may}: drain what is in it to waste before the pump goes on.',
        'stopped_filter_not_onto_garden' => 'Not onto the garden with salt or a treatment in it.',
        'stopped_filter_rinse' => 'Rinse the media in water of the system, never from the tap; throw away what stinks.',
        'stopped_filter_pump_on' => 'Pump on, and look: flow at every return, no leak, air in the water behind it.',
        'stopped_filter_write_down' => 'Write down what it cost under Capacity.',
        'stopped_filter_tests' => 'Ammonia and nitrite every 12 h for two weeks; half the feed.',
        'acid_test_kh' => 'Test KH.',
        'ammonia_change_once' => 'Change {litres} L, {pct} % of the water.',
        'ammonia_change_each_day' => 'Change {litres} L, {pct} % of the water, each day for {days} days.',
        'ammonia_change_while_it_lasts' =>
            'Change {litres} L, {pct} % of the water, each day while it lasts: as much is made as may be changed.',
        'change_too_cold' =>
            'Not with this water as it is: it is {by} °C colder, so only {pct} % ' .
            'could go in today. Warm it first, to ' .
            'within 2 °C.',
        'change_too_warm' =>
            'Not with this water as it is: it is {by} °C warmer, so only {pct} % ' .
            'could go in today. Cool it first, to ' .
            'within 2 °C.',
        'change_why_temper' => 'A vat that stands a day, or warm water mixed in; bind until then.',
        'change_bind_first' => 'Bind first: this water would turn the ammonia that is there to what burns.',
        'ammonia_no_zeolite_salt_follows' => 'No zeolite: salt against nitrite follows, and would make it let go.',
        'ammonia_binder_first' => 'Binder before the change, for all the ammonia that stands now.',
        'ammonia_binder_by_label_first' => 'Binder by the label of your bottle, before the change.',
        'acid_changed_above' => 'The change above brings KH to {kh} dKH: no buffer, test pH and KH tonight.',
        'acid_no_buffer_at_once' =>
            'No buffer at once: it would move pH too far. Change a tenth of the ' .
            'water twice a day with water of more KH.',
        'ammonia_feed_next_to_nothing' =>
            'Feed next to nothing for a week, little and often: fish this small cannot go without.',
        'ammonia_no_feed' => 'No feed for {time}, then a quarter of it.',
        'ammonia_feed_share' => 'Feed {share} %, until it is down.',
        'ammonia_feed_share_weighed' => 'Feed {share} %, {feed} g a day, until it is down.',
        'nitrite_live_media' => 'Live media or culture; fish out where another loop has room.',
        'nitrate_change_one_day' => 'Change {litres} L, {pct} % of the water.',
        'nitrate_change_each_day' =>
            'Change {litres} L, {pct} % of the water, today; it takes {days} days, ' .
            'and the Water page has each of them.',
        'nitrate_change_while_it_lasts' =>
            'Change {litres} L, {pct} % of the water, each day: what the fish make ' .
            'comes on top, so feed less or plant.',
        'acid_why_fast_rise_ph_shocks' => 'A fast rise of pH shocks, and turns harmless ammonium to ammonia.',
        'acid_why_ph_harmless_higher_may' => 'At this pH it is harmless; at a higher one it may not be.',
        'acid_why_buffered_would_burn' => 'Buffered as it is, it would burn them.',
        'acid_why_how_much_buffer_follows' => 'How much buffer follows from it.',
        'acid_why_without_kh_filter_stands' => 'Without KH the filter stands still, and ammonia follows.',
        'ammonia_why_ammonia_comes' => 'It is where the ammonia comes from.',
        'ammonia_why_once_rarely_enough_again' => 'Once is rarely enough, and again after each large change.',
        'ammonia_why_ph_rises_same_ammonia' =>
            'As pH rises, the same ammonia burns more. Nitrite comes one to three weeks after.',
        'ammonia_why_bind_fetch_another' => 'Bind, or fetch another.',
        'ammonia_why_holds_ammonia_harmless_day' =>
            'It holds ammonia harmless for a day or two and removes none; kits that use strong lye go on showing it.',
        'ammonia_why_none_stands_shelf_list' => 'None stands on the shelf list.',
        'ammonia_why_takes_ammonia_good_fills' => 'It takes ammonia out for good, and fills.',
        'chlorine_why_reckoned_held_tap_does' =>
            'Reckoned as if all of it held what the tap does: too much of it does no harm.',
        'chlorine_why_chlorine_read' => 'For the chlorine that was read.',
        'chlorine_why_chlorine_burns_gills_kills' => 'Chlorine burns gills and kills filter bacteria.',
        'chlorine_why_nobody_tested_tap_chlorine' => 'Nobody has tested the tap for chlorine.',
        'chlorine_why_kit_shows_none_twice' => 'It is out when the kit shows none twice.',
        'nitrate_why_blend_holds_less_plant' => 'Blend it with one that holds less, or plant.',
        'nitrate_why_tomorrow_steps_own_day' =>
            'From tomorrow down in steps of its own, no more than {no3_n_mg_l} a day.',
        'nitrate_why_then_see_less_made' => 'Then see that less is made, or more changed each week.',
        'nitrate_why_changes_cannot_go_below' => 'Changes cannot go below it. Reckoned here as if it held none.',
        'nitrate_why_fall_day_shocks' => 'A fall of more than {no3_n_mg_l} a day shocks.',
        'nitrate_why_poisons_over_weeks_two' => 'It poisons over weeks: one or two ail first, the young worst.',
        'nitrite_why_another_tomorrow_large_todays' => 'Another tomorrow, as large as today’s reading asks.',
        'nitrite_why_salt_makes_let_go' => 'Salt makes it let go of its ammonia.',
        'nitrite_why_chloride_keeps_nitrite_gills' =>
            'Chloride keeps nitrite out of the gills. The chloride of the tap is not counted.',
        'nitrite_why_chloride_keeps_nitrite_gills_2' => 'Chloride keeps nitrite out of the gills.',
        'nitrite_why_brown_blood_carries_less' =>
            'Brown blood carries less oxygen: fish suffocate in water that has enough.',
        'nitrite_why_takes_nitrite_grows_slowly' => 'What takes nitrite grows more slowly than what makes it.',
        'other_why_warm_water_holds_little' => 'Warm water holds little oxygen, and fish want more.',
        'other_why_lowest_then' => 'It is lowest then.',
        'other_why_new_fish_very_different' =>
            'New fish in very different water can die within a day while residents look well.',
        'other_why_new_fish_jump' => 'New fish jump.',
        'other_why_air_same_test_oxygen' => 'Air on all the same, and test oxygen again.',
        'other_why_treated_wrong_thing_hurt' => 'Treated for the wrong thing they are hurt twice.',
        'other_why_spring_weeks_after_incident' => 'Spring and the weeks after an incident are the worst.',
        'other_why_koi_count_fish_may' => 'Koi count as fish that may be eaten.',
        'other_why_oxygen_dawn_same_algae' => 'Oxygen at dawn all the same: algae take it by night.',
        'overdose_why_let_go_water_already' => 'What it has let go of is in the water already.',
        'overdose_why_change_takes_whatever_nothing' =>
            'A change takes out whatever it is, and nothing else does so at once.',
        'overdose_why_carbon_holds_dyes_most' => 'Carbon holds dyes and most medicines.',
        'overdose_why_filter_may_hurt' => 'The filter may be hurt.',
        'oxygen_why_water_chlorine_straight_hose' =>
            'This water has chlorine: straight from the hose is still better than ' .
            'dead fish. Thiosulfate or conditioner goes in with it, for so much to ' .
            'each 1,000 L; stop when they breathe ' .
            'easier.',
        'oxygen_hose_untested' =>
            'Nobody tested this water for chlorine: begin at once, and thiosulfate or conditioner in with it, ' .
            'for so much to each 1,000 L, as if it held {chlorine} mg/L.',
        'oxygen_why_water_falls_brings_oxygen' => 'Water that falls brings oxygen in, and drives carbon dioxide off.',
        'oxygen_why_oxygen_comes_before_everything' => 'Oxygen comes before everything else.',
        'oxygen_why_oxygen_stands_mg_comes' => 'Oxygen stands at {oxygen} mg/L; it comes before everything else.',
        'oxygen_why_fish_digest_breathe_twice' => 'Fish that digest breathe twice as much.',
        'oxygen_why_last_resort_burns_gills' => 'The last resort: it burns gills above its cap, and helps for an hour.',
        'oxygen_why_plants_algae_give_day' => 'Plants and algae give by day and take by night.',
        'stopped_filter_why_without_flow_uses_oxygen' =>
            'Without flow it uses up its oxygen and then makes what poisons; ' .
            'after {may} a fifth of what lives in it is lost.',
        'stopped_filter_why_lives_still_worth_cleaned' =>
            'What lives there still is worth more than what it is cleaned of.',
        'stopped_filter_why_pump_put_right_switched' => 'A pump that was put right and not switched on kills.',
        'stopped_filter_why_six_hours_part_day' =>
            'Up to six hours a part, a day without flow nearly all of it: the reckoning goes on from there.',
        'stopped_filter_why_ammonia_shows_within_day' =>
            'Ammonia shows within a day, nitrite one to three weeks later.',
        'ammonia_why_fed_made' => 'What is not fed is not made.',
        'ammonia_why_fed_made_weighed' => 'What is not fed is not made. They give {tan} g of ammonia a day as fed.',
        'ammonia_why_leaves' => 'It leaves {after} mg/L.',
        'ammonia_why_swamped' => 'Binder and resin are swamped until it is changed. It leaves {after} mg/L.',
        'ammonia_why_takes_treatment' =>
            'It takes as much of the {treatment} with it: the Course page says what to put back.',
        'nitrite_why_leaves' => 'It leaves {after} mg/L.',
        'shock_why_nitrate_stands' => 'Nitrate stands at {nitrate} mg/L here.',
        'new_water_conditioner' => 'of conditioner, for the {litres} L of new water.',
        'new_water_thiosulfate' =>
            'of sodium thiosulfate, or conditioner by its label, for the {litres} L of new water.',
        'new_water_before_fish' => 'In before it runs in: it holds {chlorine} mg/L of chlorine.',
        'new_water_untested' =>
            'Nobody tested this water for chlorine: reckoned as if it held {chlorine} ' .
            'mg/L. Test it; too much does no harm.',
        'new_water_bind_chloramine' =>
            'Binder for the new water too: chloramine leaves {tan} mg/L of ammonia once it is broken.',
        'behind_chlorine' =>
            'A change of {litres} L {ago} whose chlorine nobody has said to be ' .
            'taken out: chlorine kills the filter too.',
        'behind_medicine' => '{name} {ago}: it may have set the filter back.',
        'behind_fish' =>
            '{count} fish came in the last three weeks: they load it at once, and the filter follows later.',
        'behind_feed' => 'Feed rose from {before} to {now} g a day on {since}: the filter follows later.',
        'nitrite_change_follows' =>
            'Then the change that ammonia asks for, below: it takes its share of nitrite with it.',
    ];
}
