<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said from the run of readings, and asked about a reading. */
final readonly class JudgeWords
{
    public const TEXTS = [
        'advice_nitrite_to_come' => 'Ammonia stood at {ammonia} mg/L {ago}: expect nitrite now, and test for it.',
        'advice_chloride_shields' =>
            'There is {times} times as much chloride as nitrite in the water: it keeps most of the nitrite ' .
            'out of the fish.',
        'advice_nitrite_salt_unknown' =>
            'Nitrite is up, and salt was not measured in two weeks: {salt} g/L of salt would shield the fish.',
        'advice_nitrite_salt_short' =>
            'Nitrite is up, with too little salt to shield the fish: {salt} g/L of salt more would.',
        'advice_kh_falls' => 'KH falls by {fall} dKH a week, {weeks} weeks left until 2.8 dKH.',
        'advice_kh_at_its_floor' =>
            'KH falls by {fall} dKH a week, it is at 2.8 dKH already, where pH is no longer held.',
        'advice_ammonia_without_ph' =>
            'Ammonia was tested without pH and temperature beside it: how much of it burns is anyone’s guess.',
        'advice_oxygen_at_dawn' => 'Oxygen was tested by day; it is lowest at dawn. In water this warm, test then.',
        'advice_nitrate_of_the_source' =>
            'The water it is filled from holds {tap} mg/L of nitrate itself: changes cannot bring it below ' .
            'that. Blend with water that has less.',
        'advice_nitrate_by_changes' =>
            'Nitrate is up; the water it is filled from has {tap} mg/L, so changes bring it down towards ' .
            'that, in steps.',
        'advice_absurd_carbon_dioxide' =>
            'pH and KH together would mean {co2} mg/L of CO₂: either the surface is hardly broken, or one ' .
            'of the two was misread. Test both again.',
        'asks_far_from_last' => 'The last was {last}. Is this right?',
        'asks_nitrite_alone' => 'So much nitrite with neither ammonia nor nitrate is hardly possible: read it again.',
        'asks_oxygen_over' => 'That is {pct} % of what the water can hold. Is the probe dry, or the temperature wrong?',
        'asks_kh_above_gh' =>
            'KH stands far above GH. That is so behind a softener, and none is on the shelf for this water: ' .
            'was one of them misread?',
        'asks_carbon_dioxide' => 'With this KH that would mean {co2} mg/L of CO₂. Read pH and KH again.',
    ];
}
