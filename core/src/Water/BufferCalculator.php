<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Words\Message;

/**
 * Raising alkalinity with bicarbonate or soda: grams, safe steps, and what it does to pH and ammonia first.
 *
 * A step is safe that moves pH by no more than 0.3 before any gas is lost, and not past 8.8. Unless told otherwise the
 * steps are the largest safe ones up to 36 mg/L. Soda in water of little alkalinity is never safe, and ammonia nobody
 * tested is not none. What is unsafe is said as a danger; the figures stand all the same.
 *
 *     volume_l 1000, alkalinity_mg_l 0, target_alkalinity_mg_l 17.848, agent sodium_bicarbonate, ph 7, temp_c
 *       20  →  dose_g 29.96
 *     volume_l 1000, alkalinity_mg_l 20, target_alkalinity_mg_l 56, agent sodium_carbonate, ph 7.2, temp_c
 *       20  →  ph_after 9.9, codes.0 water.buffer_soda_in_soft_water
 *
 * @see Carbonate
 */
final readonly class BufferCalculator implements Calculator
{
    /** The most one step may move pH while no gas is lost; a day's worth. */
    private const PH_STEP = 0.3;

    /** Past this fish suffer, whatever it came from. */
    private const PH_MOST = 8.8;

    /** Steps up to this size, mg/L as CaCO3: two degrees. */
    private const STEP_MG_L = 36.0;

    private const LEAST_STEP_MG_L = 1.0;

    /** Below this alkalinity nothing holds the pH against soda, mg/L as CaCO3. */
    private const SODA_FROM_MG_L = 100.0;

    /** Grams of sodium bicarbonate, and of sodium carbonate, for a gram of alkalinity as CaCO3. */
    public const BICARBONATE_PER_CACO3 = 1.6787;

    public const CARBONATE_PER_CACO3 = 1.059;

    public function name(): string
    {
        return 'carbonate.buffer';
    }

    public function title(): string
    {
        return 'Raising KH';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            WaterInputs::alkalinity(),
            Input::number('target_alkalinity_mg_l', 'Alkalinity wanted', 'mg/L as CaCO₃', 0, 1000),
            Input::choice('agent', 'With', ['sodium_bicarbonate', 'sodium_carbonate']),
            WaterInputs::ph(),
            WaterInputs::temperature(),
            Input::number('tan_mg_l', 'Total ammonia', 'mg/L as N', 0, 1000)->optional(),
            Input::number('max_step_mg_l', 'Most at once', 'mg/L as CaCO₃', 1, 1000)->optional(),
            Input::number('nh3_limit_mg_l', 'Most un-ionised ammonia', 'mg/L as N', 0.001, 1)->or(0.02),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('dose_g', 'g'),
            new Output('steps'),
            new Output('ph_after'),
            new Output('ph_aired'),
            new Output('nh3_n_now_mg_l', 'mg/L as N'),
            new Output('nh3_n_after_mg_l', 'mg/L as N'),
            new Output('step_g', 'g'),
            new Output('step_mg_l', 'mg/L as CaCO₃'),
            new Output('ph_step'),
            new Output('codes'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $now = $given->number('alkalinity_mg_l');
        $target = $given->number('target_alkalinity_mg_l');
        if ($target < $now) {
            throw BadInput::at(
                'target_alkalinity_mg_l',
                'There is more than that already (' . Format::number($now) . ' mg/L): only changes bring it down.',
            );
        }
        $soda = $given->text('agent') === 'sodium_carbonate';
        $mass = $soda
            ? 2 * MolarMass::NA + MolarMass::C + 3 * MolarMass::O
            : 2 * (MolarMass::NA + MolarMass::H + MolarMass::C + 3 * MolarMass::O);
        $dose = (((($target - $now) * $given->number('volume_l')) / 1000) * $mass) / MolarMass::CACO3;
        $temp = $given->number('temp_c');
        $ph = $given->number('ph');
        $closed = static fn(float $to): float => self::closed($temp, $ph, $now, $to, $soda);
        $most = $given->numberOrNull('max_step_mg_l') ?? self::safeStep($now, $target, $ph, $closed);
        $count = (int) ceil(($target - $now) / $most - 1e-9);
        $steps = $count === 0 ? [] : array_fill(0, $count, $dose / $count);
        $step = $count === 0 ? 0.0 : ($target - $now) / $count;
        $first = $closed($now + $step);

        $then = $closed($target);
        $aired = (new Carbonate($temp, $target))->phWithCo2(0.5);
        $tan = $given->numberOrNull('tan_mg_l');
        $nh3Now = $tan === null ? null : UnionisedAmmonia::of($tan, $ph, $temp)->nh3N;
        $nh3 = $tan === null ? null : UnionisedAmmonia::of($tan, max($then, $aired), $temp)->nh3N;

        $work = new Working();
        $work->step(
            'Grams for so much alkalinity.',
            'Δ × volume × ' . ($soda ? '105.99' : '168.01') . ' / 100.09',
            Format::number($target - $now) . ' mg/L, ' . Format::number($given->number('volume_l'), 5) . ' L',
            Format::number($dose, 4) . ' g',
        );
        $work->step(
            'In equal steps, one a day, each moving pH by no more than 0.3 before any CO₂ is lost.',
            'Δ / most at once, rounded up',
            Format::number($most) . ' mg/L at most',
            $count .
                ($count === 1 ? ' step' : ' steps') .
                ($count === 0 ? '' : ', pH ' . Format::number($first, 3) . ' after the first'),
        );
        $work->step(
            'pH right after, before any CO₂ is lost.',
            'alkalinity and carbon in balance',
            Format::number($ph) . ' before',
            Format::number($then, 3),
        );
        $work->step(
            'pH once it is aired to 0.5 mg/L of CO₂.',
            'K1, K2',
            Format::number($target) . ' mg/L',
            Format::number($aired, 3),
        );
        if ($tan !== null && $tan > 0) {
            $work->step(
                'Un-ionised ammonia at the higher of the two.',
                'TAN × share',
                Format::number($tan) . ' mg/L',
                Format::number((float) $nh3, 3) . ' mg/L, from ' . Format::number((float) $nh3Now, 3),
            );
        }
        $work->cite(
            'iupac-2007',
            'plummer-busenberg-1982',
            'water-ion-product',
            'davies-1962',
            'emerson-1975',
            'cp-alkalinity-fall',
        );
        $dangers =
            $step <= 0
                ? []
                : array_filter([
                    $soda && $now < self::SODA_FROM_MG_L
                        ? Message::of('water.buffer_soda_in_soft_water', ['ph' => Format::number($first, 2)])
                        : null,
                    abs($first - $ph) > self::PH_STEP + 1e-6
                        ? Message::of('water.buffer_step_moves_ph', [
                            'by' => Format::number(abs($first - $ph), 2),
                            'ph' => Format::number($first, 2),
                        ])
                        : null,
                    max($first, $then) > self::PH_MOST && max($first, $then) > $ph
                        ? Message::of('water.buffer_ends_above', ['ph' => Format::number(max($first, $then), 2)])
                        : null,
                    $nh3 !== null && $nh3 > $given->number('nh3_limit_mg_l') && $nh3 > $nh3Now
                        ? Message::of('water.buffer_ph_rises_ammonia_burns')
                        : null,
                ]);
        foreach ($dangers as $danger) {
            $work->danger($danger);
        }
        if ($tan === null && $step > 0) {
            $work->watch(Message::of('water.buffer_ammonia_unknown'));
        }
        if ($soda) {
            $work->watch(Message::of('water.buffer_soda_lifts_ph_once'));
        } else {
            $work->note(Message::of('water.buffer_dissolve_bucket_system_water'));
        }

        return $work->result([
            'dose_g' => $dose,
            'steps' => $steps,
            'ph_after' => $then,
            'ph_aired' => $aired,
            'nh3_n_now_mg_l' => $nh3Now,
            'nh3_n_after_mg_l' => $nh3,
            'step_g' => $count === 0 ? 0.0 : $dose / $count,
            'step_mg_l' => $step,
            'ph_step' => $first,
            'codes' => Message::codes(array_values($dangers)),
        ]);
    }

    /** pH once so much is in and no gas is lost. */
    private static function closed(float $temp, float $ph, float $from, float $to, bool $soda): float
    {
        if ($to <= $from) {
            return $ph;
        }
        // An equivalent of bicarbonate brings a mole of carbon, one of carbonate half as much.
        $carbon =
            (new Carbonate($temp, $from))->totalCarbon($ph) +
            (($to - $from) / 1000 / MolarMass::CACO3) * ($soda ? 1.0 : 2.0);

        return (new Carbonate($temp, $to))->phWithTotalCarbon($carbon);
    }

    /**
     * The largest step that is safe from here, up to 36 mg/L; the least there is where none is.
     *
     * @param  \Closure(float): float  $closed  pH at an alkalinity while no gas is lost
     */
    private static function safeStep(float $now, float $target, float $ph, \Closure $closed): float
    {
        $safe = static fn(float $step): bool => abs($closed($now + $step) - $ph) <= self::PH_STEP &&
            ($closed($now + $step) <= self::PH_MOST || $closed($now + $step) <= $ph);
        $most = min(self::STEP_MG_L, max(self::LEAST_STEP_MG_L, $target - $now));
        if ($safe($most)) {
            return $most;
        }
        $low = self::LEAST_STEP_MG_L;
        if (!$safe($low)) {
            return $low;
        }
        $high = $most;
        while ($high - $low > 0.01) {
            $middle = ($low + $high) / 2;
            $safe($middle) ? ($low = $middle) : ($high = $middle);
        }

        return $low;
    }
}
