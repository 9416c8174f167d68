<?php

declare(strict_types=1);

namespace App\Water;

use App\Capacity\CapacityReport;
use App\Forms\Figure;
use App\Forms\TypedFields;
use App\Models\System;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Exchange\Shock;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;

/** The fewest safe changes to a goal, by the way water comes: hose, buckets, or a vat that was treated and warmed. */
final readonly class ProgrammeReport
{
    /** A goal beside the readings: how much is to be left of what was dosed, percent. */
    public const DOSED = 'dosed';

    /** Stands for what was dosed in the mix: new water has none of it. */
    private const TRACER = 'tan_mg_l';

    public function __construct(
        private Registry $registry,
        private LimitsInForce $limits,
        private CapacityReport $capacity,
    ) {}

    /** @return ?array<string, mixed> null where no goal was typed */
    public function of(System $system, LatestWater $water, TwoWaters $waters, TypedFields $typed): ?array
    {
        $asked = $typed->text('goal') ?? '';
        $goal = Parameter::tryFrom($asked);
        $target = $typed->number(Input::number('target', 'Goal', $goal?->symbol(), 0, 5000));
        if ($target === null || ($goal === null ? $asked !== self::DOSED : !isset($waters->now[$goal->value]))) {
            return null;
        }
        $way = $typed->read([
            Input::choice('delivery', 'It comes by', ['hose', 'bucket', 'vat'])->or('hose'),
            Input::number('fill_l_min', 'Fill rate', 'L/min', 0.01, 10000)->optional(),
            Input::number('bucket_l', 'Bucket', 'L', 1, 100)->optional(),
            Input::number('vat_l', 'Vat', 'L', 1, 1e6)->optional(),
            Input::number('max_change_pct', 'Most at once', '%', 1, 100)->optional(),
            Input::number('steps_per_day', 'Changes a day', null, 1, 12)->optional(),
        ]);
        $number = static fn(string $key): ?float => is_numeric($way[$key] ?? null) ? (float) $way[$key] : null;
        $vat = ($way['delivery'] ?? 'hose') === 'vat';
        $key = $goal->value ?? self::TRACER;
        $canonical = $goal === null ? $target : ($target - $goal->shown(0.0)) / ($goal->shown(1.0) - $goal->shown(0.0));

        $input = $waters->input();
        if ($goal === null) {
            $input['now'] = [self::TRACER => 100.0] + $input['now'];
            $input['source'] = [self::TRACER => 0.0] + $input['source'];
        }
        if ($vat && isset($input['now']['temp_c'])) {
            // A vat stands in the same air and is warmed: it brings no cold.
            $input['source']['temp_c'] = $input['now']['temp_c'];
        }
        $most = min(
            $number('max_change_pct') ?? 50.0,
            $vat && $number('vat_l') !== null ? (100 * $number('vat_l')) / max(1.0, $waters->volume) : 100.0,
        );
        $input = [
            ...$input,
            'target' => [$key => $canonical],
            ...$this->bounds($system),
            ...$this->made($system, $water, $goal),
            'max_change_pct' => max(1.0, $most),
            'steps_per_day' => floor($number('steps_per_day') ?? 1.0),
            ...$number('fill_l_min') === null ? [] : ['fill_l_min' => $number('fill_l_min')],
        ];
        $result =
            $typed->errors === []
                ? $typed->attempt(fn() => $this->registry->run('exchange.plan', $input), 'target')
                : null;
        if ($result === null) {
            return null;
        }
        $say = static fn(float $value): string => $goal === null
            ? Format::number($value, 3) . ' % left'
            : trim(TwoWaters::number($goal, $value) . ' ' . $goal->symbol());
        $bucket = ($way['delivery'] ?? '') === 'bucket' ? $number('bucket_l') : null;
        $steps = [];
        foreach ($result->rows('steps') as $step) {
            $steps[] = [
                'day' => $step->number('day') + 1,
                'of_day' => $step->number('of_day'),
                'litres' => $step->number('change_l'),
                'pct' => $step->number('change_pct'),
                'minutes' => $step->numberOrNull('minutes'),
                'buckets' => $bucket === null ? null : (int) ceil($step->number('change_l') / $bucket - 1e-9),
                'after' => $say($step->row('after')->number($key)),
                'burns' => $step->flag('burns'),
            ];
        }
        $figure = static fn(string $label, string $of, string $unit): ?array => is_numeric($result->figures[$of])
            ? (new Figure(
                $label,
                $result->number($of),
                $unit,
                'exchange.plan',
                $of,
                $input,
                $waters->origins,
            ))->toArray()
            : null;
        $bound = $result->row('bound');

        return [
            'reachable' => $result->figures['reachable'],
            'name' => $goal === null ? 'what was dosed' : $goal->name(),
            'reason' =>
                $bound !== null && $goal !== null
                    ? $this->never(
                        $goal,
                        $bound->number('from'),
                        $bound->number('to'),
                        $bound->number('source'),
                        $waters,
                    )
                    : $result->figures['reason'],
            'steps' => $steps,
            'total' => $figure('In all', 'total_l', 'L'),
            'trickle' =>
                is_array($result->figures['trickle_after']) && $steps !== []
                    ? [
                        'after' => $say(TwoWaters::mix($result->figures['trickle_after'])[$key]),
                        'flow' => $figure('As a trickle', 'trickle_l_min', 'L/min'),
                    ]
                    : null,
            'cautions' => array_map(
                static fn(Caution $caution): array => $caution->toArray(),
                array_values(
                    array_filter(
                        $result->cautions,
                        static fn(Caution $one): bool => $one->level !== Level::Note &&
                            $one->text !== $result->figures['reason'],
                    ),
                ),
            ),
            'bind_first' => is_float($result->figures['bind_first_mg_l'])
                ? Format::number($result->figures['bind_first_mg_l'], 2) . ' mg/L as N'
                : null,
            'limits' => self::limits(
                $result->figures['ammonia_decides'] === true
                    ? array_intersect_key(Shock::A_DAY, ['temp_c' => 0])
                    : array_intersect_key(Shock::A_DAY, $waters->now),
            ),
        ];
    }

    /** @return array<string, float> from where ammonia decides, and what of it may stand, as calculators take it */
    private function bounds(System $system): array
    {
        $total = $this->limits->for($system, Parameter::Ammonia)->above;
        $burns = $this->limits->for($system, Parameter::UnionisedAmmonia)->above;

        return array_filter([
            'tan_act_mg_l' => max(0.01, $total->act ?? 0.5),
            'nh3_act_mg_l' => max(0.001, $burns->act ?? 0.05),
            'nh3_limit_mg_l' => $this->limits->unionised($system),
        ]);
    }

    /**
     * What of the goal is made meanwhile: of ammonia what the filter leaves, of nitrate all that the fish give.
     *
     * @return array<string, mixed> input of `exchange.plan`
     */
    private function made(System $system, LatestWater $water, ?Parameter $goal): array
    {
        if ($goal !== Parameter::Ammonia && $goal !== Parameter::Nitrate) {
            return [];
        }
        $verdict = $this->capacity->of($system, $water);
        $left = max(0.0, $verdict->load->value - ($verdict->capacity->value ?? 0.0));

        return [
            'production_g_d' => [
                $goal->value => $goal === Parameter::Nitrate ? $verdict->load->value + $system->fertiliserGD() : $left,
            ],
        ];
    }

    /** Why changes cannot reach a goal, in the units the keeper reads. */
    private function never(Parameter $goal, float $from, float $to, float $new, TwoWaters $waters): string
    {
        $would = $waters->sources->first(
            static fn(WaterSource $water): bool => $water->reading($goal->value) !== null &&
                ($to < $from ? $water->reading($goal->value) < $to : $water->reading($goal->value) > $to),
        );
        $inner = $goal->inSentence();

        return 'The new water has ' .
            TwoWaters::say($goal, $new) .
            ": changes cannot bring {$inner} from " .
            TwoWaters::number($goal, $from) .
            ' to ' .
            TwoWaters::number($goal, $to) .
            '. Blend it with water that has ' .
            ($to < $from ? 'less, or take it out by media.' : 'more, or dose it.') .
            ($would === null
                ? ''
                : " {$would->name} of the shelf has " .
                    TwoWaters::say($goal, (float) $would->reading($goal->value)) .
                    '.');
    }

    /** @param  array<string, float>  $limits */
    private static function limits(array $limits): string
    {
        $said = [];
        foreach ($limits as $key => $most) {
            $parameter = Parameter::from($key);
            $by = Format::number($parameter->shown($most) - $parameter->shown(0.0), 2);
            $said[] =
                trim("{$by} {$parameter->symbol()}") .
                ($parameter === Parameter::Nitrate ||
                $parameter === Parameter::Temperature ||
                $parameter === Parameter::Ph
                    ? ($parameter === Parameter::Ph
                        ? ' of pH'
                        : '')
                    : ' of ' . $parameter->inSentence());
        }

        return $said === [] ? '' : 'Largest move in a day, up or down: ' . implode(', ', $said) . '.';
    }
}
