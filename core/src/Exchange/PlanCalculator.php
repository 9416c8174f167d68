<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * The fewest safe changes that bring the water to a goal, or why it cannot be reached.
 *
 * One change a day or several, each as large as the limits of a step and of a day allow; a goal is reached
 * from the side the water stands on now. New water cannot bring anything past itself. Beside it stands what
 * the same litres would do as a trickle over the same days: always a little less, and without a jump.
 *
 *     nitrate 60 to 30 with new water of 10 mg/L, 40 % a day at most  →  two changes, of 40 % and 33 %
 */
final readonly class PlanCalculator implements Calculator
{
    private const MOST_STEPS = 730;

    public function name(): string
    {
        return 'exchange.plan';
    }

    public function title(): string
    {
        return 'A programme of changes';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            WaterMix::input('now', 'The system now'),
            WaterMix::input('source', 'New water'),
            WaterMix::input('target', 'Goal'),
            WaterMix::limits('max_change_per_day', 'Most it may move in a day')->optional(),
            WaterMix::limits('max_change_per_step', 'Most it may move at once')->optional(),
            Input::number('max_change_pct', 'Most changed at once', '%', 1, 100)->or(50.0),
            Input::number('steps_per_day', 'Changes a day', null, 1, 12)->or(1.0),
            Input::number('fill_l_min', 'Fill rate', 'L/min', 0.01, 10000)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('reachable'),
            new Output('reason'),
            new Output('bound'),
            new Output('steps'),
            new Output('days', 'd'),
            new Output('total_l', 'L'),
            new Output('after'),
            new Output('trickle_after'),
            new Output('trickle_l_min', 'L/min'),
        ];
    }

    public function calculate(Given $given): Result
    {
        [$now, $source] = WaterMix::pair($given);
        $target = $given->object('target')?->numbers() ?? [];
        $daily = $given->object('max_change_per_day')?->numbers() ?? [];
        $atOnce = $given->object('max_change_per_step')?->numbers() ?? [];
        $this->check($now, $target, $daily + $atOnce);
        $work = new Working();
        $work->cite('mass-balance', 'cp-shock');
        $bound = $this->bound($now, $source, $target, $daily + $atOnce);
        if ($bound !== null) {
            $reason = $bound['reason'];
            $work->watch($reason);

            return $work->result([
                'reachable' => false,
                'reason' => $reason->text,
                'bound' => [...$bound, 'reason' => $reason->text],
                'steps' => [],
                'days' => null,
                'total_l' => null,
                'after' => null,
                'trickle_after' => null,
                'trickle_l_min' => null,
            ]);
        }
        $steps = [];
        $water = $morning = $now;
        $volume = $given->number('volume_l');
        $aDay = (int) $given->number('steps_per_day');
        while (!self::reached($now, $water, $target) && count($steps) < self::MOST_STEPS) {
            $of = count($steps) % $aDay;
            $morning = $of === 0 ? $water : $morning;
            $may = min(
                $given->number('max_change_pct') / 100,
                self::allowed($water, $morning, $source, $daily),
                self::allowed($water, $water, $source, $atOnce),
            );
            $share = min($may, $this->needed($water, $source, $target, $now));
            $water = $water->with($source, $share);
            $steps[] = [
                'day' => intdiv(count($steps), $aDay),
                'of_day' => $of + 1,
                'change_pct' => 100 * $share,
                'change_l' => $share * $volume,
                'minutes' =>
                    $given->numberOrNull('fill_l_min') === null
                        ? null
                        : ($share * $volume) / $given->number('fill_l_min'),
                'after' => $water->figures(),
            ];
        }
        // A day whose limit was used up early has steps of nothing: they are no changes.
        $steps = array_values(array_filter($steps, static fn(array $step): bool => $step['change_l'] > 1e-9 * $volume));
        $reason = self::reached($now, $water, $target)
            ? null
            : 'Within these limits it takes more than two years of daily changes.';
        $total = array_sum(array_column($steps, 'change_l'));
        $days = $steps === [] ? 0 : $steps[count($steps) - 1]['day'];
        $work->step(
            'Each change as large as the limits of the step and of the day allow, the last only what is still needed.',
            'x ≤ most / |new − now|',
            count($steps) . ' changes',
            Format::number($total, 4) . ' L in all',
        );
        $work->step(
            'The same litres as a trickle over the same days.',
            'Cs + (C − Cs) e^(−litres / volume)',
            Format::number($total, 4) . ' L in ' . ($days + 1) . ' days',
            Format::number(100 * (1 - exp(-$total / $volume)), 3) . ' % exchanged',
        );
        $work->note(Message::of('exchange.plan_test_before_each_change'));

        return $work->result([
            'reachable' => $reason === null,
            'reason' => $reason,
            'bound' => null,
            'steps' => $steps,
            'days' => $days,
            'total_l' => $total,
            'after' => $water->figures(),
            'trickle_after' => $now->with($source, 1 - exp(-$total / $volume))->figures(),
            'trickle_l_min' => $total / (1440 * ($days + 1)),
        ]);
    }

    /**
     * @param  array<string, float>  $target
     * @param  array<string, float>  $limits
     */
    private function check(WaterMix $now, array $target, array $limits): void
    {
        $errors = $target === [] ? ['target' => 'Say what to reach.'] : [];
        foreach ([...array_keys($target), ...array_keys($limits)] as $key) {
            if (!isset($now->values[$key])) {
                $errors["now.{$key}"] = 'Say how it stands now, and in the new water.';
            }
        }
        if (isset($target['ph'])) {
            $errors['target.ph'] = 'pH cannot be aimed at by changes: aim at alkalinity, and buffer.';
        }
        if ($errors !== []) {
            throw new BadInput($errors);
        }
    }

    /**
     * What stands in the way, with its figures, so that it can be said in any unit.
     *
     * @param  array<string, float>  $target
     * @param  array<string, float>  $limits
     * @return ?array{key: string, from: float, to: float, source: float, reason: Message}
     */
    private function bound(WaterMix $now, WaterMix $source, array $target, array $limits): ?array
    {
        foreach ($target as $key => $goal) {
            $from = $now->values[$key];
            $new = $source->values[$key];
            if (abs($from - $goal) > 1e-12 && ($goal - $new) * ($from - $goal) <= 0) {
                return [
                    'key' => $key,
                    'from' => $from,
                    'to' => $goal,
                    'source' => $new,
                    'reason' => Message::of(
                        $goal < $from ? 'exchange.plan_new_water_too_high' : 'exchange.plan_new_water_too_low',
                        [
                            'source' => WaterMix::say($key, $new),
                            'from' => Format::number($from, 3),
                            'to' => Format::number($goal, 3),
                        ],
                    ),
                ];
            }
        }
        foreach ($limits as $key => $most) {
            if ($most <= 0 && abs($source->values[$key] - $now->values[$key]) > 1e-9) {
                return [
                    'key' => $key,
                    'from' => $now->values[$key],
                    'to' => $now->values[$key],
                    'source' => $source->values[$key],
                    'reason' => Message::of('exchange.plan_may_not_move', ['name' => WaterMix::label($key)]),
                ];
            }
        }

        return null;
    }

    /** @param  array<string, float>  $target */
    private static function reached(WaterMix $start, WaterMix $water, array $target): bool
    {
        foreach ($target as $key => $goal) {
            $side = $start->values[$key] <=> $goal;
            if ($side * ($water->values[$key] - $goal) > 1e-9 * max(1.0, abs($goal))) {
                return false;
            }
        }

        return true;
    }

    /**
     * The largest share of new water that moves nothing further than its limit from where it was.
     *
     * @param  array<string, float>  $limits
     */
    private static function allowed(WaterMix $water, WaterMix $since, WaterMix $source, array $limits): float
    {
        $share = 1.0;
        foreach ($limits as $key => $most) {
            $apart = $source->values[$key] - $water->values[$key];
            if ($key === 'ph') {
                $share = self::allowedByPh($water, $since, $source, $most, $share);
            } elseif (abs($apart) > 0) {
                // What earlier steps of the day moved in this direction is used up.
                $left = $most - ($apart <=> 0) * ($water->values[$key] - $since->values[$key]);
                $share = min($share, max(0.0, $left) / abs($apart));
            }
        }

        return $share;
    }

    /** pH does not mix by volume: found by halving. */
    private static function allowedByPh(
        WaterMix $water,
        WaterMix $since,
        WaterMix $source,
        float $most,
        float $share,
    ): float {
        $fits = static fn(float $part): bool => abs(
            $water->with($source, $part)->values['ph'] - $since->values['ph'],
        ) <= $most;
        if ($fits($share)) {
            return $share;
        }
        [$low, $high] = [0.0, $share];
        for ($i = 0; $i < 40; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $fits($middle) ? [$middle, $high] : [$low, $middle];
        }

        return $low;
    }

    /** @param  array<string, float>  $target */
    private function needed(WaterMix $water, WaterMix $source, array $target, WaterMix $start): float
    {
        $share = 0.0;
        foreach ($target as $key => $goal) {
            if (($start->values[$key] <=> $goal) * ($water->values[$key] - $goal) > 0) {
                $share = max($share, ($water->values[$key] - $goal) / ($water->values[$key] - $source->values[$key]));
            }
        }

        return $share;
    }
}
