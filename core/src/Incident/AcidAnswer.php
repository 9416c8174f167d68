<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Calc\Intake;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\AssumedWater;
use Ironwort\Core\Water\BufferCalculator;
use Ironwort\Core\Water\UnionisedAmmonia;
use Ironwort\Core\Words\Message;

/**
 * KH gone and pH falling: buffer slowly, for a fast rise with ammonia in the water kills. Common practice, no source.
 */
final readonly class AcidAnswer
{
    /** One step, two degrees, mg/L as CaCO3. */
    private const STEP_MG_L = 35.7;

    /** With so much nothing is to be buffered: four degrees. */
    private const ENOUGH_MG_L = 71.4;

    /** @return list<AnswerStep> */
    public static function steps(Situation $now): array
    {
        $alkalinity = $now->reading('alkalinity_mg_l');
        $temp = $now->reading('temp_c') ?? AssumedWater::TEMPERATURE_C;
        $tan = $now->reading('tan_mg_l');
        // Aired water with KH comes back to about 8.2, whatever it was before.
        $then =
            $tan === null ? null : UnionisedAmmonia::of($tan, 8.2, $temp, $now->reading('salinity_g_l') ?? 0.0)->nh3N;
        $burns = $then !== null && $then > 0.05;
        if ($alkalinity !== null && $now->changedPct > 0 && $alkalinity >= self::ENOUGH_MG_L) {
            return [
                AnswerStep::to(
                    Cause::Acid,
                    Message::of('incident.acid_changed_above', [
                        'kh' => Format::number(Parameter::Alkalinity->shown($alkalinity), 2),
                    ]),
                    null,
                    'test',
                ),
                AnswerStep::to(Cause::Acid, Message::of('incident.acid_air')),
            ];
        }
        $buffer = AnswerStep::to(
            Cause::Acid,
            Message::of('incident.acid_bicarbonate'),
            Message::of('incident.acid_why_fast_rise_ph_shocks'),
            'dose',
        );

        return [
            ...$tan === null
                ? [
                    AnswerStep::to(
                        Cause::Acid,
                        Message::of('incident.acid_test_ammonia'),
                        Message::of('incident.acid_why_ph_harmless_higher_may'),
                        'test',
                    ),
                ]
                : [],
            ...$burns
                ? [
                    AnswerStep::to(
                        Cause::Acid,
                        Message::of(
                            $now->reading('temp_c') === null
                                ? 'incident.acid_ammonia_first_assumed'
                                : 'incident.acid_ammonia_first',
                            [
                                'tan' => Format::number((float) $tan, 2),
                                'then' => Format::number((float) $then, 2),
                                'temp' => Format::number($temp),
                            ],
                        ),
                        Message::of('incident.acid_why_buffered_would_burn'),
                        'water',
                    ),
                ]
                : [],
            ...$alkalinity === null
                ? [
                    AnswerStep::to(
                        Cause::Acid,
                        Message::of('incident.acid_test_kh'),
                        Message::of('incident.acid_why_how_much_buffer_follows'),
                        'test',
                    ),
                ]
                : self::buffered($now, $alkalinity, $temp, $buffer),
            AnswerStep::to(Cause::Acid, Message::of('incident.acid_air')),
            AnswerStep::to(
                Cause::Acid,
                Message::of('incident.acid_tests'),
                $now->state('alkalinity_mg_l') === State::Emergency
                    ? Message::of('incident.acid_why_without_kh_filter_stands')
                    : null,
                'test',
            ),
        ];
    }

    /**
     * The first step that is safe; where none is, why, and small changes in its place.
     *
     * @return list<AnswerStep>
     */
    private static function buffered(Situation $now, float $alkalinity, float $temp, AnswerStep $buffer): array
    {
        $tan = $now->reading('tan_mg_l');
        $input = [
            'volume_l' => max(1.0, $now->volumeL),
            'alkalinity_mg_l' => $alkalinity,
            'target_alkalinity_mg_l' => min(1000.0, $alkalinity + self::STEP_MG_L),
            'agent' => 'sodium_bicarbonate',
            'ph' => $now->reading('ph') ?? AssumedWater::PH,
            'temp_c' => $temp,
            ...$tan === null ? [] : ['tan_mg_l' => $tan],
        ];
        $calculator = new BufferCalculator();
        $codes = $calculator->calculate((new Intake($calculator->inputs()))->read($input))->figures['codes'];

        return $codes === []
            ? [$buffer->weighing(CalculatedAmount::by($calculator, $input, 'step_g'), 'g')]
            : [
                AnswerStep::to(
                    Cause::Acid,
                    Message::of('incident.acid_no_buffer_at_once'),
                    Message::of('incident.acid_why_fast_rise_ph_shocks'),
                    'water',
                ),
            ];
    }
}
