<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * Whether a carbon bed keeps up: contact time at a trickle and at full bore, and how long it lasts.
 *
 *     bed_l 10, trickle_l_min 5  →  contact_trickle_min 2, fastest_l_min 10
 *
 * @source carbon-contact-from-memory
 */
final readonly class CarbonCalculator implements Calculator
{
    private const NEEDED_MIN = ['free' => 1.0, 'chloramine' => 6.0];

    /**
     * Minutes that water has to stay in the empty bed.
     *
     * @param  'free'|'chloramine'  $kind
     */
    public static function neededMin(string $kind): float
    {
        return self::NEEDED_MIN[$kind];
    }

    public function name(): string
    {
        return 'exchange.carbon';
    }

    public function title(): string
    {
        return 'Carbon for new water';
    }

    public function inputs(): array
    {
        return [
            Input::number('bed_l', 'Carbon', 'L', 0.05, 10000),
            Input::number('trickle_l_min', 'Trickle', 'L/min', 0.001, 1000),
            Input::number('fast_l_min', 'Fast fill', 'L/min', 0.001, 1000)->optional(),
            Input::choice('kind', 'It holds back', ['free', 'chloramine'])->or('free'),
            Input::number('treated_l', 'Treated so far', 'L', 0, 1e9)->or(0.0),
            Input::number('rated_l', 'Good for, by its label', 'L', 1, 1e9)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('contact_trickle_min', 'min'),
            new Output('contact_fast_min', 'min'),
            new Output('needed_min', 'min'),
            new Output('enough_trickle'),
            new Output('enough_fast'),
            new Output('fastest_l_min', 'L/min'),
            new Output('litres_left', 'L'),
            new Output('days_left', 'd'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $bed = $given->number('bed_l');
        $needed = self::NEEDED_MIN[$given->text('kind')];
        $trickle = $bed / $given->number('trickle_l_min');
        $fast = $given->numberOrNull('fast_l_min') === null ? null : $bed / $given->number('fast_l_min');
        $left =
            $given->numberOrNull('rated_l') === null
                ? null
                : max(0.0, $given->number('rated_l') - $given->number('treated_l'));
        $work = new Working();
        $work->step(
            'Time in the empty bed at a trickle.',
            'bed / flow',
            Format::number($bed) . ' L / ' . Format::number($given->number('trickle_l_min')) . ' L/min',
            Format::number($trickle, 3) . ' min',
        );
        if ($fast !== null) {
            $work->step(
                'And at the fastest it is ever drawn, as after a backwash.',
                'bed / flow',
                Format::number($bed) . ' L / ' . Format::number($given->number('fast_l_min')) . ' L/min',
                Format::number($fast, 3) . ' min',
            );
        }
        $work->step(
            'What it needs.',
            $given->text('kind') === 'free' ? 'free chlorine: about a minute' : 'chloramine: many times as long',
            '',
            Format::number($needed) . ' min, so ' . Format::number($bed / $needed, 3) . ' L/min at most',
        );
        $work->cite('carbon-contact-from-memory');
        if ($trickle < $needed) {
            $work->danger(Message::of('exchange.carbon_even_trickle_water_through'));
        } elseif ($fast !== null && $fast < $needed) {
            $work->danger(
                Message::of('exchange.carbon_fast_fill_outruns_throttle', ['bed' => Format::number($bed / $needed, 2)]),
            );
        }
        if ($given->text('kind') === 'chloramine') {
            $work->watch(Message::of('exchange.carbon_carbon_breaks_chloramine_leaves'));
        }
        if ($left !== null && $left <= 0) {
            $work->danger(Message::of('exchange.carbon_treated_good_change'));
        }
        $work->note(Message::of('exchange.carbon_sediment_stage_10_15'));

        return $work->result([
            'contact_trickle_min' => $trickle,
            'contact_fast_min' => $fast,
            'needed_min' => $needed,
            'enough_trickle' => $trickle >= $needed,
            'enough_fast' => $fast === null ? null : $fast >= $needed,
            'fastest_l_min' => $bed / $needed,
            'litres_left' => $left,
            'days_left' => $left === null ? null : $left / $given->number('trickle_l_min') / 1440,
        ]);
    }
}
