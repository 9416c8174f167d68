<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Model\FishInCalculator;
use Ironwort\Core\Water\AssumedWater;
use Ironwort\Core\Words\Message;

/**
 * A filter that cannot take what the fish give, before ammonia shows it: less feed, tests, water made ready, fewer
 * fish.
 *
 * @source cp-fish-in-start
 */
final readonly class OverloadAnswer
{
    /** @return list<AnswerStep> */
    public static function steps(Situation $now): array
    {
        if (!$now->fish) {
            return [];
        }
        $input = [
            'volume_l' => $now->volumeL,
            'biomass_kg' => $now->biomassKg,
            'feed_g_d' => $now->feedGD,
            'protein_pct' => max(5.0, min(80.0, 100 * $now->protein)),
            'removal_g_d' => $now->filterTakesGD ?? 0.0,
            'tan_mg_l' => min(100.0, max(0.0, $now->reading('tan_mg_l') ?? 0.0)),
            'ph' => $now->reading('ph') ?? AssumedWater::PH,
            'temp_c' => $now->reading('temp_c') ?? AssumedWater::TEMPERATURE_C,
            'alkalinity_mg_l' => $now->reading('alkalinity_mg_l') ?? AssumedWater::ALKALINITY_MG_L,
            'trigger_nh3_n_mg_l' => max(0.001, min(1.0, $now->unionisedLimit)),
        ];
        $ceiling = CalculatedAmount::by(new FishInCalculator(), $input, 'feed_ceiling_g_d');
        $change = CalculatedAmount::by(new FishInCalculator(), $input, 'change_l');
        $feeds =
            $now->feedGD > $ceiling->value
                ? AnswerStep::to(
                    Cause::Overloaded,
                    Message::of('incident.overload_feed', ['feed' => Format::number($ceiling->value, 2)]),
                    Message::of('incident.overload_why_feed'),
                    'capacity',
                )->weighing($ceiling, 'g')
                : null;

        return array_values(
            array_filter([
                $feeds,
                AnswerStep::to(
                    Cause::Overloaded,
                    Message::of('incident.overload_tests'),
                    Message::of('incident.overload_why_tests'),
                    'test',
                ),
                AnswerStep::to(
                    Cause::Overloaded,
                    Message::of('incident.overload_water_ready', ['litres' => Format::number($change->value, 3)]),
                    Message::of('incident.overload_why_water_ready'),
                    'water',
                ),
                AnswerStep::to(
                    Cause::Overloaded,
                    Message::of('incident.overload_grow'),
                    Message::of('incident.overload_why_grow'),
                    'capacity',
                ),
            ]),
        );
    }
}
