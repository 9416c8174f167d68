<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about trouble. */
final readonly class IncidentWords
{
    public const TEXTS = [
        'answer_un_ionised_ammonia_mg' =>
            'Un-ionised ammonia is {free} mg/L. Total and un-ionised ammonia are both judged, and the worse one ' .
            'decides.',
        'skip_test' => 'Not tested: nobody sees it rise, and what is done next is guessed.',
        'skip_change' => 'Not changed: it stays as it is, and each hour of it wears the gills.',
        'skip_bind' => 'Not bound: what the filter does not take stands free in the water.',
        'skip_feed' => 'Fed as before: each gram of feed adds what the filter cannot take.',
        'skip_air' => 'No more air: without oxygen everything else comes too late.',
        'skip_other' => 'Left out: the cause stays, and it comes back.',
        'end_not_clean' => '{name} was not read good since. Test it.',
        'end_clean_for' => '{name} is good for {hours} h of {of}. Test it again.',
        'end_signs' => 'Something was seen on the fish {hours} h ago. Look at them again.',
        'end_death' => 'A fish died {hours} h ago.',
        'end_say_cause' => 'Say what the cause was.',
        'end_say_why' => 'It has not ended by its rule. Say why you close it, or wait.',
        'ended_already' => 'This incident is closed.',
        'open_waits' => 'Open since {ago}: {event}. Steps that wait: {steps}.',
        'open_nothing' => 'Open since {ago}: {event}. Nothing waits now.',
        'skip_say_why' => 'Say why it is skipped.',
        'card_hose_unknown' => 'The hose: nobody wrote down what water it brings. Treat it as tap water with chlorine.',
        'card_hose_chlorine' =>
            'The hose ({water}) may bring chlorine: no more than a tenth of the volume without conditioner, ' .
            'as a fine ' .
            'spray, and never onto the filter.',
        'card_hose_free' => 'The hose ({water}) brings no chlorine: use it freely, within 2 °C of the water.',
        'card_overdose_air' => 'Full air. Feed nothing.',
        'card_overdose_change' => 'Change {litres} L now with matched water, and again tomorrow.',
        'card_overdose_carbon' => 'Hang fresh carbon in the flow. Give nothing else on top.',
        'card_overdose_call' => 'Keep the pack in your hand and call the veterinarian.',
        'refuge' => '{name} can take {fish} of them ({kg} kg): its water is matched, and nothing stands in it.',
        'refuge_none' => 'No other system has matched water, room and nothing in it. Work on this one.',
        'worse' => 'It gets worse: {name} was {was} when it was opened, and is {is}.',
        'worse_again' =>
            'Do again now what is done daily: change, binder. It comes round twice as often until it falls.',
        'worse_out' => 'Move the weakest fish out where another system can take them.',
        'worse_call' => 'Call the veterinarian, or a keeper who has seen this, today.',
        'cost_water' => '{litres} L of water and waste: {cost}.',
        'cost_no_price' => 'What water costs is not written down: You has a field for it.',
        'cost_services' => 'Services: {cost}.',
        'cost_other' => 'Named at its end, for fish, goods or a visit: {cost}.',
        'first_sign' => 'First sign in the book: {name} {value} on {day}, {days} before it was opened.',
        'first_sign_none' => 'Nothing in the book was bad before. Tests more often would have shown it earlier.',
        'answer_known_test' => '{test} not tested. Test it.',
        'acid_bicarbonate' => 'Dissolve the bicarbonate and add it over an hour. Give no more today.',
        'acid_test_ammonia' => 'Test ammonia before you add any buffer.',
        'answer_water_assumed' =>
            'pH or temperature not tested: ammonia is judged at an assumed pH {ph} and {temp} °C.',
        'acid_ammonia_first_assumed' =>
            'Change water for the ammonia first: at pH 8.2, {then} of its {tan} mg/L would be un-ionised (at an ' .
            'assumed {temp} °C).',
        'acid_ammonia_first' =>
            'Change water for the ammonia first: at pH 8.2, {then} of its {tan} mg/L would be un-ionised.',
        'acid_air' => 'Break the surface: air drives off the carbon dioxide that keeps pH down.',
        'acid_tests' => 'Test pH and KH tomorrow, then take the next step, up to 6 dKH.',
        'ammonia_dead_filter_first' => 'Deal with the dead filter first: drain it to waste and clean it out.',
        'ammonia_new_start' =>
            'Seed the filter with mature media or its squeezings, and give culture three times this week. Treat ' .
            'it as a new start.',
        'ammonia_binder_unless_peroxide' =>
            'Where you gave no peroxide, give binder for what is left. After peroxide wait a day.',
        'ammonia_new_start_media' =>
            'Seed the filter with mature media or its squeezings from a healthy system. Treat it as a new start.',
        'ammonia_live_media_only' => 'Add live media from a healthy system.',
        'ammonia_culture' =>
            'Give culture two or three times a week, by its label; live media beside it if you have any.',
        'oxygen_pump_back' => 'Bring the pump back: free it, reset its switch, or run the spare one.',
        'oxygen_why_pump_back' => 'Here the pump breaks the surface, and that is where their oxygen comes from.',
        'dirt_sponge' => 'Rinse the sponge in system water, and siphon what lies on the floor.',
        'dirt_why_sponge' => 'What sank is not drawn off here: it lies on the floor until somebody takes it out.',
        'dirt_pump' => 'Clear the screen of the pump, and siphon what it does not reach.',
        'dirt_skimmer' => 'Empty the skimmer, and siphon what lies on the floor.',
        'sickness_tolerate' =>
            'Look again in a week: a few parasites are borne by a healthy fish. Treat when they are more, or when a ' .
            'fish stops feeding.',
        'bloom_clear' => 'Then clear it: Service compares shade, less feed, plants and a lamp under Clear water.',
        'ammonia_no_binder' => 'Give no binder now.',
        'chlorine_change_instead' =>
            'Change a quarter with water that surely has no chlorine, and again until a test finds none.',
        'ammonia_live_media' => 'Add live media from a healthy system, or give culture two or three times a week.',
        'ammonia_tests' => 'Test ammonia, nitrite and pH every 12 h.',
        'ammonia_find_cause' =>
            'Find the cause: fish added too early or too many at once, a filter washed too thoroughly or ' .
            'stopped, an insert thrown away, too much feed.',
        'ammonia_no_change_with_this_water' =>
            'Do not change with this water: it has {tan_mg_l} mg/L of ammonia itself.',
        'ammonia_new_water_treated' =>
            'Neutralise chlorine first and match temperature within 2 °C: a large change can shock.',
        'ammonia_binder' => 'Give binder for what is left after the change, and again each day while it lasts.',
        'ammonia_binder_with_treatment' =>
            '{treatment} is in the water. Read both labels: some binders stop a medicine from working.',
        'ammonia_binder_by_label' => 'Give binder by the label of your bottle, after the change.',
        'ammonia_no_zeolite_with_treatment' =>
            'Do not use zeolite while {treatment} is in the water: it would remove that too.',
        'ammonia_zeolite_is_in' =>
            'Check the zeolite that is in: once full it does nothing. Add no salt while it is there.',
        'ammonia_no_zeolite_with_salt' => 'Do not use zeolite: with {salt} g/L of salt it would release its ammonia.',
        'ammonia_zeolite' => 'Put zeolite or ammonia resin in the flow, for what is left above the limit.',
        'chlorine_conditioner' => 'Give conditioner or thiosulfate for the whole volume, over the returns.',
        'chlorine_shut_water_off' => 'Shut the water off.',
        'chlorine_conditioner_by_label' => 'Give conditioner for the whole volume, by its label.',
        'chlorine_tests' => 'Test chlorine in a quarter of an hour, and again after that.',
        'chlorine_ammonia_after_chloramine' =>
            'Test ammonia today and for a week: chloramine leaves ammonia behind, and the filter was hurt.',
        'chlorine_ammonia_after' => 'Test ammonia for a week: the filter was hurt.',
        'nitrate_water_holds_it' =>
            'This water has {source} itself: changing with it cannot bring nitrate under {no3_limit}.',
        'nitrate_changed_above' => 'The change above brings nitrate to {nitrate}.',
        'nitrate_test_tap' => 'Test the tap water for nitrate.',
        'nitrate_find_cause' =>
            'Then find the cause: stock, feed and upkeep together. Change more each week, or feed less.',
        'alkaline_test_ammonia' => 'Test ammonia and temperature now.',
        'alkaline_why_burns' => 'At this pH a large part of any ammonia is un-ionised and harms the fish.',
        'alkaline_why_burns_so_much' => 'At this pH {nh3} mg/L of the ammonia is un-ionised.',
        'alkaline_no_buffer' => 'Add no buffer and no acid.',
        'alkaline_why_no_acid' => 'Acid uses up KH and lets pH crash later. A fast fall harms more than a high pH.',
        'alkaline_change' => 'Change water in small steps: the new water has pH {ph}.',
        'alkaline_why_small_steps' => 'pH may move by {step} a day.',
        'alkaline_test_source' => 'Test pH and KH of the new water before you change any.',
        'alkaline_find_lime' =>
            'Look for fresh concrete, limestone, coral or shell in the water, and shade green water by day.',
        'alkaline_why_algae' =>
            'Lime raises pH for weeks. Algae raise it by day and let it fall by night, so test at dawn too.',
        'salty_change' => 'Change {litres} L today, with water that has no salt in it.',
        'salty_change_some' => 'Change a tenth of the water a day, with water that has no salt in it.',
        'salty_why_only_changes' => 'Only water changes remove salt. It may move by 1 g/L a day.',
        'salty_zeolite_out' => 'Take the zeolite out now.',
        'salty_why_zeolite' => 'In salt, zeolite releases the ammonia it holds.',
        'salty_measure_again' => 'Measure salt again with another meter, and after each change. Take plants out.',
        'salty_why_meter' => 'A meter that was never calibrated can be wrong by half.',
        'gas_air' => 'Give more air and break the surface: air stones, falling water, a spray bar.',
        'gas_why_air' => 'Moving water drives CO₂ off within hours.',
        'gas_open' => 'Open covers and doors so that the air above the water changes.',
        'gas_why_open' => 'The air in a closed shed fills with CO₂ too.',
        'gas_test_kh' => 'Test pH and KH again tonight, and ammonia with them.',
        'gas_why_ph_rises' => 'pH rises as CO₂ leaves, and more of the ammonia is then un-ionised.',
        'cold_no_feed' => 'Do not feed below 8 °C.',
        'cold_why_no_feed' => 'Koi hardly digest below 8 °C, and feed rots in the water.',
        'cold_warm' => 'Warm it by {by} °C a day at most: about {watts} W, plus what the water loses to the air.',
        'cold_why_slowly' => 'Warming faster shocks the fish as much as the cold does.',
        'cold_mains' =>
            'Mains electricity by water: switch off at the socket and dry your hands before you touch anything. ' .
            'Use a residual-current device fitted by a qualified electrician.',
        'cold_ice' => 'Keep a hole in the ice with air or warm water. Never break ice with blows.',
        'cold_why_ice' => 'Gas must leave and oxygen must come in. Blows hurt the fish resting below.',
        'cold_tests' => 'Test ammonia and nitrite each week, and again as it warms.',
        'cold_why_filter' => 'The filter almost rests in the cold and wakes up after the fish do.',
        'overfull_surface' => 'Break the surface with air or falling water, and shade the water by day.',
        'overfull_why_bubbles' => 'Gas beyond what water can hold forms bubbles in gills and fins.',
        'overfull_leak' => 'Look for air drawn in on the suction side of a pump: a loose joint, a low level.',
        'overfull_why_leak' => 'Air pressed into the water by a pump supersaturates it with nitrogen too.',
        'overfull_dawn' => 'Test oxygen at dawn.',
        'overfull_why_dawn' => 'Algae that give so much by day take as much by night.',
        'hardness_soften' => 'Change part of the water with reverse-osmosis water, in steps.',
        'hardness_why_soften' => 'Only dilution lowers hardness and KH. GH may move by 4 dGH and KH by 3 dKH a day.',
        'hardness_harden' => 'Dissolve calcium chloride and add it over a day: a first step of 4 dGH.',
        'hardness_why_harden' => 'Very soft water draws salts out of fish. Raise hardness in steps.',
        'death_out' => 'Take it out now and keep it cool and sealed. Write down which fish and when.',
        'death_why_out' => 'It fouls the water. A veterinarian can still tell what killed it for a few hours.',
        'death_tests' => 'Test oxygen, ammonia, nitrite, pH and temperature now.',
        'death_why_tests' => 'Water kills more fish than disease does, and the evidence is gone by tomorrow.',
        'death_look' => 'Look at every other fish: gills, fins, skin, how it swims and whether it feeds.',
        'death_why_look' => 'One death is rarely the last while the cause remains.',
        'death_vet' => 'Two deaths in a week: ask a veterinarian. Dispose of dead fish by local rules.',
        'blocked_free' => 'Clear the intake and the pre-filter first, then check the pump.',
        'blocked_why_free' => 'Low flow starves fish and filter of oxygen, and the pump of water.',
        'blocked_gently' =>
            'Rinse mechanical media in system water, biological media as little as possible, and one stage a ' .
            'week.',
        'blocked_why_gently' => 'A thorough wash costs more bacteria than the dirt did.',
        'blocked_cause' =>
            'If it blocks again within days: silt in the pond, too much feed, too many fish, or a filter that is ' .
            'too small.',
        'blocked_why_cause' => 'Clean the pond before you blame the filter.',
        'no_volume' =>
            'The volume of {system} is not in the book, so no amount is worked out. Describe its vessels on ' .
            'Build. Until then go by the label.',
        'dirt_flush' => 'Flush settlement and drains now, a few seconds each, and remove what lies on the floor.',
        'dirt_why_flush' => 'Dirt that stays rots in the same water and uses its oxygen.',
        'dirt_tests' => 'Test ammonia and oxygen. Feed half until it is clear.',
        'dirt_why_tests' => 'Lasting foam and brown water mean more feed and waste than the filter keeps up with.',
        'cloudy_wait' => 'Do not chase it with water changes. Leave it, and feed little.',
        'cloudy_why_wait' => 'Its bacteria double within half an hour and are back hours after a change.',
        'cloudy_air' => 'Give more air. Test ammonia and nitrite today and oxygen at dawn.',
        'cloudy_why_air' => 'They use oxygen at night, as the fish do.',
        'bloom_nitrate_and_light' => 'Lower nitrate and shade the water. A UV lamp clears it in two to three weeks.',
        'bloom_why_nitrate' => 'Green water lives on nitrate and light. Test nitrate.',
        'bloom_why_nitrate_stands' => 'Green water lives on nitrate and light. Nitrate is {nitrate} mg/L.',
        'watch_tan_mg_l_above' => 'Ammonia: feed half today, test again in 12 h, and wash no filter.',
        'watch_nh3_n_mg_l_above' => 'Un-ionised ammonia: add no buffer, shade green water, and test again tonight.',
        'watch_no2_n_mg_l_above' => 'Nitrite: salt at 0.1 g/L protects the fish. Feed half, and test again in 12 h.',
        'watch_no3_n_mg_l_above' => 'Nitrate: change a tenth more a week than now, and test the source water for it.',
        'watch_ph_above' => 'pH: test ammonia with it, add no buffer, and test at dawn and in the evening.',
        'watch_ph_below' => 'pH: test KH today. Below 4 dKH, buffer in steps.',
        'watch_temp_c_above' => 'Warm water: give more air, feed early in the day, and test oxygen at dawn.',
        'watch_temp_c_below' => 'Cold water: feed little, and nothing below 8 °C.',
        'watch_do_mg_l_below' => 'Oxygen: give more air or less feed, and test at dawn, when it is lowest.',
        'watch_do_sat_pct_below' => 'Oxygen: give more air or less feed, and test at dawn, when it is lowest.',
        'watch_do_sat_pct_above' => 'Oxygen above saturation: shade the water, and test at dawn.',
        'watch_alkalinity_mg_l_below' => 'KH: buffer to 5 dKH in steps before it falls under 4, and test each week.',
        'watch_salinity_g_l_above' => 'Salt: add no more, and let water changes bring it down.',
        'watch_co2_mg_l_above' => 'CO₂: break the surface, and let the air in the shed change.',
        'watch_chlorine_mg_l_above' => 'Chlorine: shut the new water off, and give conditioner by its label.',
        'overload_feed' => 'Feed {feed} g a day at most for now.',
        'overload_why_feed' =>
            'The filter takes less than the load. This is the most feed that one change of half the water a day ' .
            'still makes up for. It rises as the filter grows.',
        'overload_tests' => 'Test ammonia and nitrite every 12 h.',
        'overload_why_tests' =>
            'Ammonia shows within a day what a filter cannot take. It also shows if the filter takes more than ' .
            'estimated.',
        'overload_water_ready' =>
            'Have {litres} L of water ready, free of chlorine and at the same temperature. Change it when ' .
            'ammonia reads 0.5.',
        'overload_why_water_ready' => 'Changing half the water halves the ammonia and gives the filter time.',
        'overload_grow' => 'Seed the filter from a healthy system, or move fish to a system that has room.',
        'overload_why_grow' => 'A filter adapts to its load within weeks, not on the day fish arrive.',
        'nitrate_no_feed' => 'Do not feed for 24 h.',
        'nitrite_changed_above' => 'The change above brings nitrite to {nitrite} mg/L.',
        'nitrite_change' => 'Change {litres} L ({pct} %) today, and each day while it lasts.',
        'nitrite_no_salt_with_zeolite' =>
            'Add no salt while zeolite is in the loop. Take the zeolite out first, or do without salt.',
        'nitrite_salt' =>
            'Dissolve the salt and add it in steps over the day: ten parts of chloride to one of nitrite.',
        'nitrite_salt_plants' => 'Salt harms plants and snails: take out those that matter.',
        'nitrite_salt_enough' => 'There is enough salt in the water already.',
        'nitrite_air' => 'Give all the air you have.',
        'nitrite_tests' => 'Test nitrite every 12 h.',
        'heat_shade' => 'Shade the water and give all the air you have, most of all at night.',
        'heat_cooler_water' =>
            'Trickle in cooler water, but lower the temperature by no more than {temp_c} °C in a day.',
        'heat_feed_early' => 'Feed early and little. Give no treatment that uses oxygen.',
        'heat_oxygen_at_dawn' => 'Test oxygen at dawn.',
        'shock_compare' => 'Compare the water they came from: temperature, pH, nitrate, hardness and salt.',
        'shock_between' =>
            'Move those still alive into water between the two, with air. From there go in steps: 2 °C and 0.3 ' .
            'pH a day at most.',
        'shock_rest' => 'No feed for a day, keep it dark, and put the nets on.',
        'sickness_oxygen_reads_well' =>
            'Oxygen reads {gasp_at} mg/L. If it is still so, look for chlorine, nitrite and damaged gills: they ' .
            'look the same.',
        'sickness_look_at_fish' =>
            'The water reads well: look at the fish. A skin scrape under the microscope tells flukes from other ' .
            'causes.',
        'sickness_water_first' => 'Put the water right first: half of what looks like disease is water.',
        'sickness_look_closer' => 'Look at all of them closely: ulcers, gills, fins, who stays apart. Write it down.',
        'sickness_treat' => 'If you know what it is, go to Dose and choose by purpose. If not, ask a veterinarian.',
        'bloom_nothing' =>
            'Do nothing if the readings are good: green water is a matter of taste. Or run a UV lamp for a week ' .
            'and compare clarity at the same spot.',
        'overdose_zeolite_out' => 'Take zeolite and resin out of the loop now.',
        'overdose_ammonia_tests' => 'Test ammonia now and again in two hours, and change water by what it says.',
        'overdose_air' =>
            'Give all the air you have, now. Move fish that lie over into clean water of the same temperature.',
        'overdose_change' => 'Change half the water, and half again in an hour while they breathe hard.',
        'overdose_new_water' => 'Match it within 2 °C, and neutralise chlorine.',
        'overdose_neutralise' =>
            'Sodium thiosulfate, by its label, stops permanganate, chloramine-T and peroxide. For the rest put ' .
            'fresh carbon in the flow.',
        'overdose_gloves' => 'Wear gloves and eye protection with every strong chemical.',
        'overdose_no_second' => 'Give no second treatment and no feed until they breathe calmly.',
        'overdose_tests' => 'Test oxygen now and in two hours, and ammonia tonight.',
        'oxygen_spray' => 'Spray from the hose over the whole surface.',
        'oxygen_air' =>
            'Give all the air you have, now: every air pump and stone, battery air, and the pump back on if it ' .
            'is off.',
        'oxygen_dry_hands' => 'Switch off at the socket and dry your hands before you move any electrical equipment.',
        'oxygen_no_feed' => 'Do not feed until oxygen is over {value} mg/L.',
        'oxygen_peroxide' => 'If neither air nor hose is at hand: peroxide, by the strength of your bottle, from Dose.',
        'oxygen_peroxide_burns' => 'Peroxide burns skin and eyes: wear gloves and eye protection.',
        'oxygen_tests' => 'Test oxygen again in half an hour, and at dawn tomorrow.',
        'oxygen_find_cause' =>
            'Then find the cause: a stopped or blocked pump, heat, algae at night, silt, a treatment, too many ' .
            'fish.',
        'stopped_filter_drain' => 'If it stood for more than {may}, drain its water to waste before the pump goes on.',
        'stopped_filter_not_onto_garden' => 'Not onto the garden if salt or a treatment is in it.',
        'stopped_filter_rinse' => 'Rinse the media in system water, never tap water. Throw away media that stink.',
        'stopped_filter_pump_on' =>
            'Switch the pump on and look: flow at every return, no leak, air in the water after it.',
        'stopped_filter_write_down' => 'Book what it cost under Filter setbacks on Capacity.',
        'stopped_filter_tests' => 'Test ammonia and nitrite every 12 h for two weeks, and feed half.',
        'acid_test_kh' => 'Test KH.',
        'ammonia_change_once' => 'Change {litres} L ({pct} %) today.',
        'ammonia_change_each_day' => 'Change {litres} L ({pct} %) each day for {days} days.',
        'ammonia_change_while_it_lasts' =>
            'Change {litres} L ({pct} %) each day while it lasts: as much ammonia is produced in a day as one ' .
            'change removes.',
        'change_too_cold' =>
            'Do not use this water as it is: it is {by} °C colder, so only {pct} % could go in today. Warm it to ' .
            'within 2 °C first.',
        'change_too_warm' =>
            'Do not use this water as it is: it is {by} °C warmer, so only {pct} % could go in today. Cool it to ' .
            'within 2 °C first.',
        'change_why_temper' => 'Let a vat stand for a day, or mix in warm water. Bind ammonia until then.',
        'change_bind_first' => 'Bind ammonia first: this water would make more of it un-ionised.',
        'ammonia_no_zeolite_salt_follows' =>
            'Do not use zeolite: salt against nitrite follows, and would make it release its ammonia.',
        'ammonia_binder_first' => 'Give binder before the change, for all the ammonia now in the water.',
        'ammonia_binder_by_label_first' => 'Give binder by the label of your bottle, before the change.',
        'acid_changed_above' => 'The change above brings KH to {kh} dKH. Add no buffer, and test pH and KH tonight.',
        'acid_no_buffer_at_once' =>
            'Do not buffer all at once: it would move pH too far. Change a tenth of the water twice a day with ' .
            'water of higher KH.',
        'ammonia_feed_next_to_nothing' =>
            'Feed next to nothing for a week, little and often: fish this small cannot go without.',
        'ammonia_no_feed' => 'Do not feed for {time}, then feed a quarter.',
        'ammonia_feed_share' => 'Feed {share} % until it is down.',
        'ammonia_feed_share_weighed' => 'Feed {share} % ({feed} g a day) until it is down.',
        'nitrite_live_media' => 'Add live media or culture. Move fish out if another system has room.',
        'nitrate_change_one_day' => 'Change {litres} L ({pct} %) today.',
        'nitrate_change_each_day' =>
            'Change {litres} L ({pct} %) today, and go on for {days} days: Change lists each of them.',
        'nitrate_change_while_it_lasts' =>
            'Change {litres} L ({pct} %) each day. The fish add nitrate all the while, so feed less or add ' .
            'plants.',
        'acid_why_fast_rise_ph_shocks' => 'A fast rise of pH shocks the fish and turns harmless ammonium into ammonia.',
        'acid_why_ph_harmless_higher_may' => 'At this pH it is harmless. At a higher one it may not be.',
        'acid_why_buffered_would_burn' => 'Buffered now, the ammonia would harm them.',
        'acid_why_how_much_buffer_follows' => 'The amount of buffer depends on it.',
        'acid_why_without_kh_filter_stands' => 'Without KH the filter stops, and ammonia rises.',
        'ammonia_why_ammonia_comes' => 'That is where the ammonia comes from.',
        'ammonia_why_once_rarely_enough_again' => 'Once is rarely enough. Seed again after each large change.',
        'ammonia_why_ph_rises_same_ammonia' =>
            'As pH rises, more of the same ammonia is un-ionised. Nitrite follows in one to three weeks.',
        'ammonia_why_bind_fetch_another' => 'Bind it, or use another source water.',
        'ammonia_why_holds_ammonia_harmless_day' =>
            'It makes ammonia harmless for a day or two and removes none. Kits with strong alkali still show it.',
        'ammonia_why_none_stands_shelf_list' => 'None is on the shelf.',
        'ammonia_why_takes_ammonia_good_fills' => 'It removes ammonia for good, until it is full.',
        'chlorine_why_reckoned_held_tap_does' =>
            'Worked out as if the whole volume had the chlorine of the tap: too much does no harm.',
        'chlorine_why_chlorine_read' => 'For the chlorine that was read.',
        'chlorine_why_chlorine_burns_gills_kills' => 'Chlorine burns gills and kills filter bacteria.',
        'chlorine_why_nobody_tested_tap_chlorine' => 'The tap has not been tested for chlorine.',
        'chlorine_why_kit_shows_none_twice' => 'It is gone when the kit shows none twice.',
        'nitrate_why_blend_holds_less_plant' => 'Blend it with water that has less, or add plants.',
        'nitrate_why_tomorrow_steps_own_day' => 'From tomorrow go down in steps, by no more than {no3_n_mg_l} a day.',
        'nitrate_why_then_see_less_made' => 'Otherwise it comes back.',
        'nitrate_why_changes_cannot_go_below' => 'Changes cannot go below it. Worked out here as if it had none.',
        'nitrate_why_fall_day_shocks' => 'A fall of more than {no3_n_mg_l} a day shocks the fish.',
        'nitrate_why_poisons_over_weeks_two' => 'It poisons over weeks: one or two ail first, the young worst.',
        'nitrite_why_another_tomorrow_large_todays' => 'Change again tomorrow, by what the reading then asks for.',
        'nitrite_why_salt_makes_let_go' => 'Salt makes it release its ammonia.',
        'nitrite_why_chloride_keeps_nitrite_gills' =>
            'Chloride keeps nitrite out of the gills. Chloride in the tap water is not counted.',
        'nitrite_why_chloride_keeps_nitrite_gills_2' => 'Chloride keeps nitrite out of the gills.',
        'nitrite_why_brown_blood_carries_less' =>
            'Nitrite turns the blood brown and it carries less oxygen: fish suffocate in water that has enough.',
        'nitrite_why_takes_nitrite_grows_slowly' =>
            'The bacteria that remove nitrite grow more slowly than those that produce it.',
        'other_why_warm_water_holds_little' => 'Warm water holds little oxygen, and fish want more.',
        'other_why_lowest_then' => 'It is lowest then.',
        'other_why_new_fish_very_different' =>
            'New fish in very different water can die within a day while residents look well.',
        'other_why_new_fish_jump' => 'New fish jump.',
        'other_why_air_same_test_oxygen' => 'Give air anyway, and test oxygen again.',
        'other_why_treated_wrong_thing_hurt' => 'Treating for the wrong cause harms them twice.',
        'other_why_spring_weeks_after_incident' => 'Spring and the weeks after an incident are worst.',
        'other_why_koi_count_fish_may' => 'In law koi count as fish that may be eaten.',
        'other_why_oxygen_dawn_same_algae' => 'Test oxygen at dawn anyway: algae use it by night.',
        'overdose_why_let_go_water_already' => 'What it has released is in the water already.',
        'overdose_why_change_takes_whatever_nothing' =>
            'A water change removes anything, and nothing else does so at once.',
        'overdose_why_carbon_holds_dyes_most' => 'Carbon removes dyes and most medicines.',
        'overdose_why_filter_may_hurt' => 'The filter may have been hurt.',
        'oxygen_why_water_chlorine_straight_hose' =>
            'This water has chlorine, but straight from the hose is still better than dead fish. Add thiosulfate ' .
            'or conditioner with it, this much for each 1,000 L, and stop when they breathe more easily.',
        'oxygen_hose_untested' =>
            'This water has not been tested for chlorine. Begin at once, and add thiosulfate or conditioner with ' .
            'it, this much for each 1,000 L, as if it had {chlorine} mg/L.',
        'oxygen_why_water_falls_brings_oxygen' => 'Falling water brings oxygen in and drives carbon dioxide off.',
        'oxygen_why_oxygen_comes_before_everything' => 'Oxygen comes before everything else.',
        'oxygen_why_oxygen_stands_mg_comes' => 'Oxygen is {oxygen} mg/L, and it comes before everything else.',
        'oxygen_why_fish_digest_breathe_twice' => 'Fish that digest need twice the oxygen.',
        'oxygen_why_last_resort_burns_gills' =>
            'A last resort: above its limit it burns gills, and it helps for an hour.',
        'oxygen_why_plants_algae_give_day' => 'Plants and algae give oxygen by day and use it by night.',
        'stopped_filter_why_without_flow_uses_oxygen' =>
            'Without flow it uses up its oxygen and then produces poisons. After {may}, a fifth of its bacteria ' .
            'is lost.',
        'stopped_filter_why_lives_still_worth_cleaned' =>
            'The bacteria that survive are worth more than a clean filter.',
        'stopped_filter_why_pump_put_right_switched' => 'A pump that was repaired and not switched on again kills.',
        'stopped_filter_why_six_hours_part_day' =>
            'Up to six hours cost a part, a day without flow nearly all of it. The estimates go on from there.',
        'stopped_filter_why_ammonia_shows_within_day' =>
            'Ammonia shows within a day, nitrite one to three weeks later.',
        'ammonia_why_fed_made' => 'Less feed means less ammonia.',
        'ammonia_why_fed_made_weighed' =>
            'Less feed means less ammonia. At this feed rate the fish produce {tan} g N a day.',
        'ammonia_why_leaves' => 'This brings ammonia to {after} mg/L.',
        'ammonia_why_swamped' =>
            'Binder and resin are swamped until the water is changed. This brings ammonia to {after} mg/L.',
        'ammonia_why_takes_treatment' => 'It removes as much of the {treatment}: Course says how much to put back.',
        'nitrite_why_leaves' => 'This brings nitrite to {after} mg/L.',
        'shock_why_nitrate_stands' => 'Nitrate is {nitrate} mg/L here.',
        'new_water_conditioner' => 'Give conditioner for the {litres} L of new water.',
        'new_water_thiosulfate' =>
            'Give sodium thiosulfate, or conditioner by its label, for the {litres} L of new water.',
        'new_water_before_fish' => 'Add it before the water runs in: it has {chlorine} mg/L of chlorine.',
        'new_water_untested' =>
            'This water has not been tested for chlorine, so it is treated as if it had {chlorine} mg/L. Test ' .
            'it. Too much does no harm.',
        'new_water_bind_chloramine' =>
            'Bind the new water too: chloramine leaves {tan} mg/L of ammonia once it is broken.',
        'behind_chlorine' =>
            '{litres} L were changed {ago}, and nobody booked that chlorine was neutralised: chlorine kills the ' .
            'filter too.',
        'behind_medicine' => '{name} {ago}: it may have set the filter back.',
        'behind_fish' =>
            '{count} fish were added in the last three weeks. They load the filter at once, and it adapts later.',
        'nitrite_change_follows' =>
            'Then make the change that ammonia asks for, below. It removes nitrite in the same proportion.',
        'for_young_filter' => 'The filter’s media went in {days} ago: it has not grown yet.',
        'not_young_filter' => 'The filter has run for {days}.',
        'for_nitrite_follows' => 'Nitrite stands at {nitrite}: the second half of the filter lags.',
        'not_nitrite_follows' => 'There is no nitrite.',
        'for_no_nitrate' => 'There is hardly any nitrate: what the fish give is not worked through.',
        'not_no_nitrate' => 'Nitrate stands at {nitrate}: something works through what the fish give.',
        'for_fish_came' => '{count} fish came, the first of them {ago}.',
        'for_fish_came_now' => 'Fish came {ago}.',
        'not_fish_came' => 'No fish, or few, came in the last three weeks.',
        'for_past_capacity' => 'The fish give {load} g of ammonia a day (as N), and the filter takes {capacity} g.',
        'not_past_capacity' => 'The filter takes {capacity} g of ammonia a day (as N), and the fish give {load} g.',
        'for_setback' => '{deed} {ago}.',
        'for_stood_seen' => 'Somebody sees that it stands, or stood.',
        'for_stood_event' => 'It began with {event}.',
        'not_stood' => 'Nobody saw or booked that it stood.',
        'for_washed' => 'A part of the filter was serviced {ago}.',
        'not_washed' => 'The filter was last serviced {days} ago.',
        'not_washed_in_tap' => 'Nobody booked a wash that costs bacteria.',
        'for_feed_raised' => 'Feed rose from {before} to {now} g a day in the last three weeks.',
        'not_feed_raised' => 'Feed was not raised in the last three weeks.',
        'for_fed_much' => 'They get {feed} g a day, where {ration} g are usual in this water.',
        'not_fed_much' => 'They get {feed} g a day, and {ration} g are usual in this water.',
        'not_medicine' => 'Nothing that harms a filter was given in the last three weeks.',
        'for_chlorine_read' => 'Chlorine was read: {chlorine} mg/L.',
        'not_chlorine_read' => 'A test found no chlorine.',
        'for_chlorine_runs' => 'New water runs in all the while, and nothing in the book removes its chlorine.',
        'not_chlorine_left' => 'Each change of the last three weeks had its chlorine taken out.',
        'for_chlorine_may' => 'The water it is filled from may bring chlorine.',
        'not_chlorine_may' => 'The water it is filled from brings no chlorine.',
        'for_after_fill' => 'It began after new water went in.',
        'not_after_fill' => 'Nobody said that it began after a fill.',
        'for_source_ammonia' => 'New water brings ammonia itself: {tan} mg/L (as N).',
        'not_source_ammonia' => 'New water brings no ammonia.',
        'for_source_nitrate' => 'New water brings nitrate itself: {nitrate} {unit}.',
        'not_source_nitrate' => 'New water brings little nitrate.',
        'for_source_hard' => 'New water has as much of it itself.',
        'not_source_hard' => 'New water has less of it.',
        'for_changed_now' => 'Water was changed {ago}.',
        'for_changed_much' => '{pct} % of the water was changed {ago}.',
        'not_changed' => 'No large change was booked lately.',
        'for_few_changes' => 'About {pct} % of the water is changed a week, by the last four weeks.',
        'not_few_changes' => 'About {pct} % of the water is changed a week.',
        'for_cold_water' => 'The water has {temp} °C: bacteria work slowly.',
        'for_warm_water' => 'The water has {temp} °C, and holds little oxygen.',
        'not_temperature' => 'The water has {temp} °C.',
        'for_cooled' => 'The water fell by {by} °C within a week.',
        'not_cooled' => 'The water kept its temperature.',
        'for_kh_gone' => 'KH or pH is so low that the filter’s bacteria stand still.',
        'not_kh_gone' => 'There is KH enough.',
        'for_dirt_seen' => 'Murky water or foam is seen.',
        'not_dirt_seen' => 'Nobody sees dirt or foam.',
        'for_dead_fish' => 'A fish died. A second one may lie where nobody sees it.',
        'not_dead_fish' => 'No fish died.',
        'for_long_unwashed' => 'No wash of the filter for {days}.',
        'not_long_unwashed' => 'The filter was serviced {days} ago.',
        'for_slowed' => 'The flow has slowed, or it blocks fast.',
        'not_slowed' => 'The flow has not slowed.',
        'for_crowded' => '{density} kg/m³ of fish, where {most} is what this system’s school allows.',
        'not_crowded' => '{density} kg/m³ of fish; {most} is what this system’s school allows.',
        'for_no_air' => 'No air and no fall of water stands in this loop.',
        'not_no_air' => 'Air goes in, or water falls.',
        'for_oxygen_low' => 'Oxygen was read at {oxygen} mg/L.',
        'for_oxygen_good' => 'Oxygen is there: {oxygen} mg/L.',
        'for_carbon' => 'Carbon dioxide is high by pH and KH.',
        'not_carbon' => 'Carbon dioxide is low.',
        'for_green' => 'The water is green.',
        'not_green' => 'The water is not green.',
        'for_lamp_dark' => 'The UV lamp is off or passed by.',
        'not_lamp_dark' => 'No lamp is known to be off.',
        'for_nitrate_high' => 'Nitrate stands at {nitrate}.',
        'not_nitrate_high' => 'Nitrate is low: {nitrate}.',
        'for_overdosed' => 'More stands in the water than a plan would have let in.',
        'not_overdosed' => 'By the book nothing stands in it that does harm.',
        'for_salted' => 'Salt was given {ago}.',
        'not_salted' => 'No salt was booked in the last month.',
        'for_buffered' => 'A buffer was given {ago}.',
        'not_buffered' => 'No buffer was given in the last week.',
        'for_water_bad' => 'Ammonia, nitrite or chlorine is bad now.',
        'not_water_bad' => 'Ammonia and nitrite are not bad.',
        'for_water_was_bad' => 'Ammonia or nitrite was bad {ago}: gills and skin bear it for weeks.',
        'for_rubbing' => 'They rub or jump.',
        'not_rubbing' => 'Nobody saw them rub or jump.',
        'for_wounds' => 'Wounds, spots or raised scales are seen.',
        'not_wounds' => 'Nobody saw wounds.',
        'for_at_returns' => 'They push up into the returns.',
        'for_many_at_once' => 'They gasp, lie down or push into the returns.',
        'not_many_at_once' => 'They do not gasp.',
    ];
}
