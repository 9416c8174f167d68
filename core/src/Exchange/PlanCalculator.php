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
use Ironwort\Core\Measure\Say;

/**
 * The fewest safe changes that bring the water to a goal, or why it cannot be reached.
 *
 * One change a day, each as large as the limits of a day allow; a goal is reached from the side the water
 * stands on now. New water cannot bring anything past itself.
 */
final readonly class PlanCalculator implements Calculator
{
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
            WaterMix::input('max_change_per_day', 'Most it may move in a day')->optional(),
            Input::number('max_change_pct', 'Most changed at once', '%', 1, 100)->or(50.0),
            Input::number('fill_l_min', 'Fill rate', 'L/min', 0.01, 10000)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [new Output('reachable'), new Output('reason'), new Output('steps'), new Output('days', 'd'), new Output('total_l', 'L'), new Output('after')];
    }

    public function calculate(Given $given): Result
    {
        [$now, $source] = WaterMix::pair($given);
        $target = $given->object('target')?->numbers() ?? [];
        $errors = $target === [] ? ['target' => 'Say what to reach.'] : [];
        foreach ([...array_keys($target), ...array_keys($given->object('max_change_per_day')?->numbers() ?? [])] as $key) {
            if (! isset($now->values[$key])) {
                $errors["now.{$key}"] = 'Say how it stands now, and in the new water.';
            }
        }
        if (isset($target['ph']) || isset(($given->object('max_change_per_day')?->numbers() ?? [])['ph'])) {
            $errors['target.ph'] = 'pH cannot be aimed at by changes: aim at alkalinity, and buffer.';
        }
        if ($errors !== []) {
            throw new BadInput($errors);
        }
        $work = new Working;
        $work->cite('mass-balance', 'cp-shock');
        $reason = $this->impossible($now, $source, $target, $given->object('max_change_per_day')?->numbers() ?? []);
        if ($reason !== null) {
            $work->watch($reason);

            return $work->result(['reachable' => false, 'reason' => $reason, 'steps' => [], 'days' => null, 'total_l' => null, 'after' => null]);
        }
        $steps = [];
        $water = $now;
        $volume = $given->number('volume_l');
        while (! self::reached($now, $water, $target) && count($steps) < 730) {
            $may = min($given->number('max_change_pct') / 100, $this->allowed($water, $source, $given->object('max_change_per_day')?->numbers() ?? []));
            $share = min($may, $this->needed($water, $source, $target, $now));
            $water = $water->with($source, $share);
            $steps[] = ['day' => count($steps), 'change_pct' => 100 * $share, 'change_l' => $share * $volume, 'minutes' => $given->numberOrNull('fill_l_min') === null ? null : $share * $volume / $given->number('fill_l_min'), 'after' => $water->figures()];
        }
        if (! self::reached($now, $water, $target)) {
            $reason = 'Within these limits it takes more than two years of daily changes.';
        }
        $work->step('Each day as much as the day’s limits allow, the last only what is still needed.', 'x ≤ most a day / |new − now|', count($steps).' changes', Say::number(array_sum(array_column($steps, 'change_l')), 4).' L in all');
        $work->note('Test before each change: what the fish make meanwhile is not in these numbers.');

        return $work->result(['reachable' => $reason === null, 'reason' => $reason, 'steps' => $steps, 'days' => max(0, count($steps) - 1), 'total_l' => array_sum(array_column($steps, 'change_l')), 'after' => $water->figures()]);
    }

    /**
     * @param  array<string, float>  $target
     * @param  array<string, float>  $limits
     */
    private function impossible(WaterMix $now, WaterMix $source, array $target, array $limits): ?string
    {
        foreach ($target as $key => $goal) {
            $from = $now->values[$key];
            $new = $source->values[$key];
            if (abs($from - $goal) > 1e-12 && ($goal - $new) * ($from - $goal) <= 0) {
                return 'New water has '.WaterMix::say($key, $new).': changes cannot bring it from '.Say::number($from, 3).' to '.Say::number($goal, 3).'. Blend it with water that '.($goal < $from ? 'has less, or take it out by media.' : 'has more, or dose it.');
            }
        }
        foreach ($limits as $key => $most) {
            if ($most <= 0 && abs($source->values[$key] - $now->values[$key]) > 1e-9) {
                return WaterMix::label($key).' may not move at all, and every change moves it: match the new water first.';
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

    /** @param  array<string, float>  $limits */
    private function allowed(WaterMix $water, WaterMix $source, array $limits): float
    {
        $share = 1.0;
        foreach ($limits as $key => $most) {
            $apart = abs($source->values[$key] - $water->values[$key]);
            $share = $apart > 0 ? min($share, $most / $apart) : $share;
        }

        return $share;
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
