<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * The fewest safe changes that bring the water to a goal, or why it cannot be reached.
 *
 * A goal is reached from the side the water stands on now. New water cannot bring anything past itself, and no more
 * than is changed can be taken of what is made meanwhile. What may shock holds unless told otherwise, and what held is
 * named. A step that burns is said to. Beside it stands what the same litres would do as a trickle over the same days.
 *
 *     volume_l 1000, now {"no3_n_mg_l": 60}, source {"no3_n_mg_l": 10}, target {"no3_n_mg_l": 30}, max_change_pct
 *       40  →  reachable true, days 3, steps.0.change_pct 18.1, total_l 811
 *     volume_l 1000, now {"tan_mg_l": 1}, source {"tan_mg_l": 0}, target {"tan_mg_l": 0.1}, max_change_pct 50,
 *       production_g_d {"tan_mg_l": 0.32}  →  reachable false
 *
 * @see Programme, Shock
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
            WaterMix::limits('max_change_per_day', 'Most it may move in a day')->optional(),
            WaterMix::limits('max_change_per_step', 'Most it may move at once')->optional(),
            Input::number('max_change_pct', 'Most changed at once', '%', 1, 100)->or(50.0),
            Input::number('steps_per_day', 'Changes a day', null, 1, 12)->or(1.0),
            Input::number('fill_l_min', 'Fill rate', 'L/min', 0.01, 10000)->optional(),
            Input::object('production_g_d', 'Made in a day', WaterMix::made())->optional(),
            Input::number('tan_act_mg_l', 'Ammonia to be acted on', 'mg/L as N', 0.01, 100)->optional(),
            Input::number('nh3_act_mg_l', 'Un-ionised ammonia to be acted on', 'mg/L as N', 0.001, 1)->or(0.05),
            Input::number('nh3_limit_mg_l', 'Most un-ionised ammonia', 'mg/L as N', 0.001, 1)->or(0.02),
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
            new Output('binds'),
            new Output('ammonia_decides'),
            new Output('bind_first_mg_l', 'mg/L as N'),
            new Output('codes'),
        ];
    }

    public function calculate(Given $given): Result
    {
        [$now, $source] = WaterMix::pair($given);
        $target = $given->object('target')?->numbers() ?? [];
        $asked = $given->object('max_change_per_day')?->numbers() ?? [];
        $atOnce = $given->object('max_change_per_step')?->numbers() ?? [];
        $this->check($now, $target, $asked + $atOnce);
        $volume = $given->number('volume_l');
        $made = array_map(
            static fn(float $grams): float => (1000 * $grams) / $volume,
            $given->object('production_g_d')?->numbers() ?? [],
        );
        $programme = Programme::of(
            $now,
            $source,
            $target,
            new ProgrammeLimits(
                // What is not asked about is kept to what shocks nobody.
                aDay: [...array_intersect_key(Shock::A_DAY, $now->values), ...$asked],
                atOnce: $atOnce,
                mostShare: $given->number('max_change_pct') / 100,
                stepsADay: (int) $given->number('steps_per_day'),
                made: $made,
                tanActs: $given->numberOrNull('tan_act_mg_l'),
                unionisedActs: $given->number('nh3_act_mg_l'),
            ),
        );
        $work = new Working();
        $work->cite('mass-balance', 'cp-shock');
        $said = $this->said($programme, $given->number('nh3_limit_mg_l'));
        foreach ($said as [$level, $message]) {
            $level === Level::Danger ? $work->danger($message) : $work->watch($message);
        }
        $first = $programme->steps[0] ?? null;
        $answer = [
            'reachable' => $programme->reason === null,
            'reason' => $programme->reason?->text,
            'bound' =>
                $programme->bound === null ? null : [...$programme->bound, 'reason' => $programme->reason->text ?? ''],
            'steps' => [],
            'days' => null,
            'total_l' => null,
            'after' => null,
            'trickle_after' => null,
            'trickle_l_min' => null,
            'binds' => $programme->binds,
            'ammonia_decides' => $programme->ammoniaDecides,
            'bind_first_mg_l' =>
                $first?->burns($given->number('nh3_limit_mg_l')) === true
                    ? $first->before->values['tan_mg_l'] ?? null
                    : null,
            'codes' => Message::codes(array_column($said, 1)),
        ];
        if ($programme->reason !== null && $programme->steps === []) {
            return $work->result($answer);
        }
        $total = $volume * $programme->total();
        $days = $first === null ? 0 : $programme->steps[count($programme->steps) - 1]->day;
        $work->step(
            'Each change as large as the limits of the step and of the day allow, the last only what is still needed.',
            'x ≤ most / |new − now|',
            count($programme->steps) . ' changes',
            Format::number($total, 4) . ' L in all',
        );
        $work->step(
            'The same litres as a trickle over the same days, with what is made meanwhile.',
            'Cs + P/q + (C − Cs − P/q) e^(−q t)',
            Format::number($total, 4) . ' L in ' . ($days + 1) . ' days',
            Format::number(100 * (1 - exp(-$total / $volume)), 3) . ' % exchanged',
        );
        $work->note(Message::of('exchange.plan_test_before_each_change'));

        return $work->result([
            ...$answer,
            'steps' => array_map(static fn(ProgrammeStep $step): array => self::step($step, $given), $programme->steps),
            'days' => $days,
            'total_l' => $total,
            'after' => $programme->after->figures(),
            'trickle_after' => self::trickled($now, $source, $total / $volume, $made, $days + 1)->figures(),
            'trickle_l_min' => $total / (1440 * ($days + 1)),
        ]);
    }

    /** @return array<string, mixed> as the answer has it */
    private static function step(ProgrammeStep $step, Given $given): array
    {
        $litres = $step->share * $given->number('volume_l');
        $fill = $given->numberOrNull('fill_l_min');

        return [
            'day' => $step->day,
            'of_day' => $step->ofDay,
            'change_pct' => 100 * $step->share,
            'change_l' => $litres,
            'minutes' => $fill === null ? null : $litres / $fill,
            'after' => $step->after->figures(),
            'nh3_n_after_mg_l' => $step->after->unionised(),
            'nh3_n_aired_mg_l' => $step->after->unionised() === null ? null : $step->after->airedUnionised(),
            'burns' => $step->burns($given->number('nh3_limit_mg_l')),
        ];
    }

    /** @return list<array{Level, Message}> */
    private function said(Programme $programme, float $limit): array
    {
        $said = $programme->reason === null ? [] : [[Level::Watch, $programme->reason]];
        if ($programme->ammoniaDecides) {
            $said[] = [Level::Watch, Message::of('exchange.decides_ammonia_over_limits')];
        }
        foreach ($programme->binds as $key) {
            $said[] = [Level::Watch, Message::of('exchange.plan_limit_holds', ['name' => WaterMix::label($key)])];
        }
        foreach ($programme->steps as $i => $step) {
            if ($step->burns($limit)) {
                $said[] = [
                    Level::Danger,
                    Message::of('exchange.change_burns', [
                        'after' => Format::number($step->after->airedUnionised() ?? 0.0, 2),
                        'tan' => Format::number($step->before->values['tan_mg_l'] ?? 0.0, 2),
                    ]),
                ];
                break;
            }
        }

        return $said;
    }

    /**
     * The same litres as a trickle.
     *
     * @param  float  $volumes  of water that come in, in volumes of the system
     * @param  array<string, float>  $made  mg/L a day
     */
    private static function trickled(WaterMix $now, WaterMix $source, float $volumes, array $made, int $days): WaterMix
    {
        $exchanged = 1 - exp(-$volumes);

        return $now
            ->with($source, $exchanged)
            ->plus($made, $volumes > 0 ? ($days * $exchanged) / $volumes : (float) $days);
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
}
