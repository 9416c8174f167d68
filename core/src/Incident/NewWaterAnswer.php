<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Dose\BinderCalculator;
use Ironwort\Core\Exchange\DechlorinateCalculator;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\AssumedWater;
use Ironwort\Core\Words\Message;

/**
 * What new water is given before it runs in: its chlorine taken out, and the ammonia bound that chloramine leaves.
 * Water nobody tested is not taken as free of chlorine.
 *
 * @source cp-incident  @source thiosulfate-stoichiometry
 */
final readonly class NewWaterAnswer
{
    /** @return list<AnswerStep> for a change of so much, %; before it */
    public static function steps(Situation $now, Cause $cause, float $pct): array
    {
        $tested = $now->source['chlorine_mg_l'] ?? null;
        $litres = ($pct / 100) * $now->volumeL;
        if ($litres <= 0 || ($tested !== null && $tested <= 0) || $now->noChlorine) {
            return [];
        }
        $chlorine = $tested ?? AssumedWater::MAINS_CHLORINE_MG_L;
        $input = [
            'volume_l' => max(0.1, $litres),
            'chlorine_mg_l' => $chlorine,
            'kind' => $now->chloramine ? 'chloramine' : 'free',
            ...$now->conditioner ?? [],
        ];
        $conditions = $now->conditioner !== null;
        $calculator = new DechlorinateCalculator();

        return [
            AnswerStep::to(
                $cause,
                Message::of($conditions ? 'incident.new_water_conditioner' : 'incident.new_water_thiosulfate', [
                    'litres' => Format::about($litres, 3),
                ]),
                Message::of($tested === null ? 'incident.new_water_untested' : 'incident.new_water_before_fish', [
                    'chlorine' => Format::number($chlorine, 2),
                ]),
                'water',
            )->weighing(
                CalculatedAmount::by($calculator, $input, $conditions ? 'conditioner_ml' : 'thiosulfate_g'),
                $conditions ? 'mL' : 'g',
            ),
            ...!$conditions && $now->chloramine && !isset($now->refuses['binder'])
                ? [self::bound($now, $cause, $litres, $chlorine)]
                : [],
        ];
    }

    private static function bound(Situation $now, Cause $cause, float $litres, float $chlorine): AnswerStep
    {
        $left = CalculatedAmount::by(
            new DechlorinateCalculator(),
            ['volume_l' => max(0.1, $litres), 'chlorine_mg_l' => $chlorine, 'kind' => 'chloramine'],
            'tan_released_mg_l',
        );
        $step = AnswerStep::to(
            $cause,
            Message::of('incident.new_water_bind_chloramine', ['tan' => Format::number($left->value, 2)]),
            null,
            'dose',
        );

        return $now->binder === null
            ? $step
            : $step->weighing(
                CalculatedAmount::by(
                    new BinderCalculator(),
                    ['volume_l' => max(0.1, $litres), 'tan_mg_l' => $left->value, ...$now->binder],
                    'dose_ml',
                ),
                'mL',
            );
    }
}
