<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * Growth by the thermal-unit coefficient: the cube root of weight rises with degree-days.
 *
 * W in g, T in °C, counted to 26 and nothing below 8. 0.6 to 1.2 for koi from memory; better from the keeper's own two
 * measurements.
 *
 *     weight_g 250, weeks 8, temp_c 20  →  weight_after_g 408
 *
 * @source iwama-tautz-1981
 */
final readonly class GrowthCalculator implements Calculator
{
    public const USUAL = 1.0;

    private const STOPS_BELOW_C = 8.0;

    private const COUNTED_TO_C = 26.0;

    public function name(): string
    {
        return 'fish.growth';
    }

    public function title(): string
    {
        return 'Growth of a fish';
    }

    public function inputs(): array
    {
        return [
            Input::number('weight_g', 'Weight now', 'g', 0.01, 100000),
            Input::number('weeks', 'Weeks', null, 0, 520),
            WaterInputs::temperature(),
            Input::number('tgc', 'Growth coefficient', null, 0, 5)->or(self::USUAL),
        ];
    }

    public function outputs(): array
    {
        return [new Output('weight_after_g', 'g'), new Output('gain_g', 'g')];
    }

    public function calculate(Given $given): Result
    {
        $weight = $given->number('weight_g');
        $days = 7 * $given->number('weeks');
        $counted = self::counted($given->number('temp_c'));
        $after = self::after($weight, $days, $given->number('temp_c'), $given->number('tgc'));
        $work = new Working();
        $work->step(
            'Degree-days, the temperature counted to 26 °C and nothing below 8.',
            'T × days',
            Format::number($counted) . ' °C × ' . Format::number($days),
            Format::number($counted * $days, 4),
        );
        $work->step(
            'The cube root of the weight rises with them.',
            '(W^⅓ + TGC · ΣT / 1000)³',
            Format::number($weight) . ' g, ' . Format::number($given->number('tgc')),
            Format::number($after, 4) . ' g',
        );
        $work->cite('iwama-tautz-1981');
        $work->note(Message::of('fish.growth_from_memory'));

        return $work->result(['weight_after_g' => $after, 'gain_g' => $after - $weight]);
    }

    /** Weight after so many days at one temperature, g. */
    public static function after(float $weightG, float $days, float $tempC, float $tgc = self::USUAL): float
    {
        return ($weightG ** (1 / 3) + ($tgc * self::counted($tempC) * $days) / 1000) ** 3;
    }

    /** What two weighings of the same fish make the coefficient; null where it was too cold or too short to tell. */
    public static function coefficient(float $beforeG, float $afterG, float $days, float $tempC): ?float
    {
        $sum = self::counted($tempC) * $days;

        return $sum <= 0 ? null : (1000 * ($afterG ** (1 / 3) - $beforeG ** (1 / 3))) / $sum;
    }

    private static function counted(float $tempC): float
    {
        return $tempC < self::STOPS_BELOW_C ? 0.0 : min(self::COUNTED_TO_C, $tempC);
    }
}
