<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Exchange\HeatCalculator;
use Ironwort\Core\Exchange\Shock;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\HardnessDoseCalculator;
use Ironwort\Core\Words\Message;

/**
 * What to do about readings past their limits that no other answer speaks of: pH high, salt high, CO2, cold, too much
 * oxygen, hardness and KH either way. Common practice, no source, where none is named.
 */
final readonly class OffLimits
{
    /** What is said of a reading that is only watched. */
    private const WATCHED = [
        'incident.watch_tan_mg_l_above',
        'incident.watch_nh3_n_mg_l_above',
        'incident.watch_no2_n_mg_l_above',
        'incident.watch_no3_n_mg_l_above',
        'incident.watch_ph_above',
        'incident.watch_ph_below',
        'incident.watch_temp_c_above',
        'incident.watch_temp_c_below',
        'incident.watch_do_mg_l_below',
        'incident.watch_do_sat_pct_below',
        'incident.watch_do_sat_pct_above',
        'incident.watch_alkalinity_mg_l_below',
        'incident.watch_salinity_g_l_above',
        'incident.watch_co2_mg_l_above',
        'incident.watch_chlorine_mg_l_above',
    ];

    /** Water is warmed by no more than this in a day, °C. @see Shock */
    private const WARM_BY_C = 2.0;

    /** GH that a soft water is brought towards in a first step, mg/L as CaCO3: 4 dGH. @see Shock */
    private const HARDEN_BY = 71.39;

    /** @return list<AnswerStep> */
    public static function alkaline(Situation $now): array
    {
        $source = $now->source['ph'] ?? null;
        $unionised = $now->unionised();

        return [
            AnswerStep::to(
                Cause::Alkaline,
                Message::of('incident.alkaline_test_ammonia'),
                $unionised === null
                    ? Message::of('incident.alkaline_why_burns')
                    : Message::of('incident.alkaline_why_burns_so_much', ['nh3' => Format::number($unionised, 2)]),
                'test',
            ),
            AnswerStep::to(
                Cause::Alkaline,
                Message::of('incident.alkaline_no_buffer'),
                Message::of('incident.alkaline_why_no_acid'),
            ),
            $source !== null && $source < ($now->reading('ph') ?? 0.0)
                ? AnswerStep::to(
                    Cause::Alkaline,
                    Message::of('incident.alkaline_change', ['ph' => Format::number($source, 2)]),
                    Message::of('incident.alkaline_why_small_steps', ['step' => Format::number(Shock::A_DAY['ph'])]),
                    'water',
                )
                : AnswerStep::to(Cause::Alkaline, Message::of('incident.alkaline_test_source'), page: 'test'),
            AnswerStep::to(
                Cause::Alkaline,
                Message::of('incident.alkaline_find_lime'),
                Message::of('incident.alkaline_why_algae'),
            ),
        ];
    }

    /** @return list<AnswerStep> */
    public static function salty(Situation $now): array
    {
        $salt = $now->reading('salinity_g_l') ?? 0.0;
        $change = ChangeToday::of($now, 'salinity_g_l', max(0.1, $salt - Shock::A_DAY['salinity_g_l']), 30.0);
        $litres = $change === null ? null : $change->share * $now->volumeL;

        return array_values(
            array_filter([
                $litres === null
                    ? AnswerStep::to(Cause::Salty, Message::of('incident.salty_change_some'), page: 'water')
                    : AnswerStep::to(
                        Cause::Salty,
                        Message::of('incident.salty_change', ['litres' => Format::about($litres, 3)]),
                        Message::of('incident.salty_why_only_changes'),
                        'water',
                    )->changing(100 * $change->share),
                $now->zeoliteIn
                    ? AnswerStep::to(
                        Cause::Salty,
                        Message::of('incident.salty_zeolite_out'),
                        Message::of('incident.salty_why_zeolite'),
                        'dose',
                    )
                    : null,
                AnswerStep::to(
                    Cause::Salty,
                    Message::of('incident.salty_measure_again'),
                    Message::of('incident.salty_why_meter'),
                    'test',
                ),
            ]),
        );
    }

    /** @return list<AnswerStep> */
    public static function gas(Situation $now): array
    {
        return [
            AnswerStep::to(Cause::Gas, Message::of('incident.gas_air'), Message::of('incident.gas_why_air')),
            AnswerStep::to(Cause::Gas, Message::of('incident.gas_open'), Message::of('incident.gas_why_open')),
            AnswerStep::to(
                Cause::Gas,
                Message::of('incident.gas_test_kh'),
                Message::of('incident.gas_why_ph_rises'),
                'test',
            ),
        ];
    }

    /** @return list<AnswerStep> */
    public static function cold(Situation $now): array
    {
        $temp = $now->reading('temp_c') ?? 0.0;
        $heat = CalculatedAmount::by(
            new HeatCalculator(),
            [
                'volume_l' => $now->volumeL,
                'temp_c' => max(0.0, $temp),
                'target_c' => max(0.0, $temp) + self::WARM_BY_C,
                'hours' => 24,
            ],
            'heater_w',
        );

        return [
            AnswerStep::to(Cause::Cold, Message::of('incident.cold_no_feed'), Message::of('incident.cold_why_no_feed')),
            AnswerStep::to(
                Cause::Cold,
                Message::of('incident.cold_warm', [
                    'watts' => Format::number($heat->value, 2),
                    'by' => Format::number(self::WARM_BY_C),
                ]),
                Message::of('incident.cold_why_slowly'),
                caution: Message::of('incident.cold_mains'),
            )->weighing($heat, 'W'),
            AnswerStep::to(Cause::Cold, Message::of('incident.cold_ice'), Message::of('incident.cold_why_ice')),
            AnswerStep::to(
                Cause::Cold,
                Message::of('incident.cold_tests'),
                Message::of('incident.cold_why_filter'),
                'test',
            ),
        ];
    }

    /** @return list<AnswerStep> */
    public static function overfull(Situation $now): array
    {
        return [
            AnswerStep::to(
                Cause::Overfull,
                Message::of('incident.overfull_surface'),
                Message::of('incident.overfull_why_bubbles'),
            ),
            AnswerStep::to(
                Cause::Overfull,
                Message::of('incident.overfull_leak'),
                Message::of('incident.overfull_why_leak'),
            ),
            AnswerStep::to(
                Cause::Overfull,
                Message::of('incident.overfull_dawn'),
                Message::of('incident.overfull_why_dawn'),
                'test',
            ),
        ];
    }

    /** @return list<AnswerStep> */
    public static function hardness(Situation $now): array
    {
        $side = $now->side('hardness_mg_l') ?? $now->side('alkalinity_mg_l');
        if ($side === 'above') {
            return [
                AnswerStep::to(
                    Cause::Hardness,
                    Message::of('incident.hardness_soften'),
                    Message::of('incident.hardness_why_soften'),
                    'water',
                ),
            ];
        }
        $hard = max(0.0, $now->reading('hardness_mg_l') ?? 0.0);
        $dose = CalculatedAmount::by(
            new HardnessDoseCalculator(),
            [
                'volume_l' => $now->volumeL,
                'hardness_mg_l' => $hard,
                'target_hardness_mg_l' => $hard + self::HARDEN_BY,
                'agent' => 'calcium_chloride_dihydrate',
            ],
            'dose_g',
        );

        return [
            AnswerStep::to(
                Cause::Hardness,
                Message::of('incident.hardness_harden'),
                Message::of('incident.hardness_why_harden'),
                'dose',
            )->weighing($dose, 'g'),
        ];
    }

    /**
     * What is only watched, and what keeps it from having to be acted on.
     *
     * @return array<string, Message> by parameter
     */
    public static function watched(Situation $now): array
    {
        $said = [];
        // Without fish only what would kill what lives in the filter is worth a word.
        $heard = $now->fish ? $now->states : array_intersect_key($now->states, ['chlorine_mg_l' => true]);
        foreach ($heard as $key => $state) {
            $side = $now->side($key);
            $code = "incident.watch_{$key}" . ($side === null ? '' : "_{$side}");
            if ($state === State::Watch && in_array($code, self::WATCHED, true)) {
                $said[$key] = Message::of($code);
            }
        }

        return $said;
    }
}
