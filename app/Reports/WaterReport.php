<?php

declare(strict_types=1);

namespace App\Reports;

use App\Actions\TypedInputs;
use App\Figures\Age;
use App\Figures\Figure;
use App\Figures\Origin;
use App\Models\System;
use App\Models\WaterChange;
use App\Models\WaterSource;
use Illuminate\Support\Collection;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Registry;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Exchange\WaterMix;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Say;

/** The water of a system beside the water it is filled from: one change, a programme to a goal, a trickle. */
final readonly class WaterReport
{
    /** What new water is taken to hold none of where it was never tested for it; shown as assumed. */
    private const USUALLY_NONE = [Parameter::Ammonia, Parameter::Nitrite, Parameter::Salinity];

    /** Most the water may move in a day: 2 °C, and nitrate 40 mg/L as NO3. */
    private const A_DAY = ['temp_c' => 2.0, 'no3_n_mg_l' => 9.04];

    public function __construct(private Registry $registry, private VolumeReport $volumes, private CapacityReport $capacity)
    {
    }

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed>
     */
    public function of(System $system, LatestWater $water, array $typed): array
    {
        /** @var Collection<int, WaterSource> $sources */
        $sources = WaterSource::query()->with('tests')->where('site_id', $system->site_id)->orderBy('name')->get();
        $asked = is_string($typed['water'] ?? null) && $typed['water'] !== '' ? $typed['water'] : $system->water_id;
        $source = $sources->firstWhere('id', $asked) ?? $sources->first();
        $volume = $this->volumes->inUse($system);
        $now = $new = $rows = $origins = [];
        foreach (WaterMix::KEYS as $key) {
            $parameter = Parameter::from($key);
            $entry = $water->get($parameter);
            $tested = $source?->reading($key);
            $assumed = $source !== null && $tested === null && in_array($parameter, self::USUALLY_NONE, true);
            [$fresh, $said] = $assumed ? [0.0, '; none assumed in the new water'] : [$tested, ''];
            if ($entry !== null && $fresh !== null) {
                [$now[$key], $new[$key]] = [$entry->value, $fresh];
                $origins[] = new Origin($key, $parameter->name(), $this->say($parameter, $entry->value).' to '.$this->say($parameter, $fresh), 'measured', 'measured '.Age::of($entry->taken_at).$said);
            }
            if ($entry !== null || $tested !== null) {
                $rows[$key] = ['parameter' => $key, 'name' => $parameter->name(), 'unit' => $parameter->symbol(), 'now' => $entry === null ? null : $this->number($parameter, $entry->value), 'age' => $entry === null ? null : Age::of($entry->taken_at), 'new' => $fresh === null ? null : $this->number($parameter, $fresh), 'assumed' => $assumed, 'after' => null];
            }
        }
        if (! isset($now['alkalinity_mg_l'], $now['temp_c'])) {
            unset($now['ph'], $new['ph']);
        }
        $input = ['volume_l' => max(1.0, $volume->value), 'now' => $now, 'source' => $new];
        $origins = [new Origin('volume_l', 'Volume', Say::number($volume->value).' L', 'build', 'as doses use it'), ...$origins];
        $errors = [];
        $ready = $source !== null && $now !== [] && $volume->value > 0;
        $change = $ready ? $this->change($input, $typed, $rows, $errors) : null;
        $plan = $ready ? $this->plan($input, $typed, $origins, $errors) : null;
        $trickle = $ready ? $this->trickle($system, $water, $input, $typed, $origins, $errors) : null;

        return [
            'waters' => array_values($sources->map(static fn (WaterSource $row): array => ['id' => $row->id, 'name' => $row->name])->all()), 'water' => $source?->id, 'chlorine' => $source !== null && ($source->reading('chlorine_mg_l') ?? 0.0) > 0,
            'missing' => match (true) {
                $source === null => 'No source water is on the shelf yet: add it there, with its test.',
                $now === [] => 'Nothing was tested both here and in the new water yet.',
                $volume->value <= 0 => 'The volume is not known yet: draw up the vessels under Build.',
                default => null,
            },
            'volume' => $volume->toArray(), 'rows' => array_values($rows), 'goals' => array_values(array_map(static fn (string $key): array => ['id' => $key, 'name' => Parameter::from($key)->name(), 'unit' => Parameter::from($key)->symbol()], array_diff(array_keys($now), ['ph']))),
            'change' => $change, 'plan' => $plan, 'trickle' => $trickle, 'errors' => (object) $errors, 'changes' => $this->booked($system),
        ];
    }

    /**
     * @param  array<string, mixed>  $input
     * @param  array<array-key, mixed>  $typed
     * @param  array<string, array<string, mixed>>  $rows
     * @param  array<string, string>  $errors
     * @return ?array{litres: float, pct: float, cautions: mixed}
     */
    private function change(array $input, array $typed, array &$rows, array &$errors): ?array
    {
        $fields = [Input::number('change_l', 'Water changed', 'L', 0, 1e8)->optional(), Input::number('change_pct', 'Water changed', '%', 0, 100)->insteadOf('change_l')];
        $result = $this->run('exchange.batch', $fields, $input, $typed, $errors);
        if ($result === null) {
            return null;
        }
        foreach ($this->mix($result->figures['after']) as $key => $value) {
            $rows[$key]['after'] = $this->number(Parameter::from($key), $value);
        }

        return ['litres' => $result->number('change_l'), 'pct' => $result->number('change_pct'), 'cautions' => $result->toArray()['cautions']];
    }

    /**
     * @param  array<string, mixed>  $input
     * @param  array<array-key, mixed>  $typed
     * @param  list<Origin>  $origins
     * @param  array<string, string>  $errors
     * @return ?array<string, mixed>
     */
    private function plan(array $input, array $typed, array $origins, array &$errors): ?array
    {
        $goal = Parameter::tryFrom(is_string($typed['goal'] ?? null) ? $typed['goal'] : '');
        /** @var array<string, float> $now */
        $now = $input['now'];
        if ($goal === null || ! isset($now[$goal->value])) {
            return null;
        }
        $scale = $goal->shown(1.0) - $goal->shown(0.0);
        $fields = [Input::number('target', 'Goal', $goal->symbol(), 0, 5000)->optional(), Input::number('max_change_pct', 'Most at once', '%', 1, 100)->optional(), Input::number('fill_l_min', 'Fill rate', 'L/min', 0.01, 10000)->optional()];
        $given = $this->typed($fields, $typed, $errors);
        if (! isset($given['target']) || ! is_numeric($given['target'])) {
            return null;
        }
        $target = ((float) $given['target'] - $goal->shown(0.0)) / $scale;
        $input = [...$input, ...array_diff_key($given, ['target' => 0]), 'target' => [$goal->value => $target], 'max_change_per_day' => array_intersect_key(self::A_DAY, $now)];
        try {
            $result = $this->registry->run('exchange.plan', $input);
        } catch (BadInput $bad) {
            $errors['target'] = implode(' ', $bad->errors);

            return null;
        }
        $steps = [];
        foreach (is_array($result->figures['steps']) ? $result->figures['steps'] : [] as $step) {
            $steps[] = ['day' => $step['day'] + 1, 'litres' => $step['change_l'], 'pct' => $step['change_pct'], 'minutes' => $step['minutes'], 'after' => $this->number($goal, $this->mix($step['after'])[$goal->value])];
        }

        return ['reachable' => $result->figures['reachable'], 'reason' => $result->figures['steps'] === [] && $result->figures['reason'] !== null ? $this->never($goal, $input, $target) : $result->figures['reason'], 'unit' => $goal->symbol(), 'name' => $goal->name(), 'steps' => $steps, 'total' => $result->figures['total_l'] === null ? null : (new Figure('In all', $result->number('total_l'), 'L', 'exchange.plan', 'total_l', $input, $origins))->toArray()];
    }

    /**
     * @param  array<string, mixed>  $input
     * @param  array<array-key, mixed>  $typed
     * @param  list<Origin>  $origins
     * @param  array<string, string>  $errors
     * @return ?array<string, mixed>
     */
    private function trickle(System $system, LatestWater $water, array $input, array $typed, array $origins, array &$errors): ?array
    {
        $fields = [Input::number('pct_per_week', 'Trickle', '% a week', 0, 100000)->optional(), Input::number('flow_l_h', 'Trickle', 'L/h', 0, 1e7)->insteadOf('pct_per_week'), Input::number('jug_l', 'Jug', 'L', 0.05, 100)->optional()];
        /** @var array<string, float> $now */
        $now = $input['now'];
        $keep = array_diff_key($now, ['ph' => 0, 'temp_c' => 0, 'tan_mg_l' => 0, 'no2_n_mg_l' => 0]);
        if ($keep === []) {
            return null;
        }
        /** @var array<string, float> $new */
        $new = $input['source'];
        $load = $this->capacity->of($system, $water)['load'];
        $made = is_array($load) && is_numeric($load['value'] ?? null) ? (float) $load['value'] : 0.0;
        $input = ['volume_l' => $input['volume_l'], 'now' => $keep, 'source' => array_intersect_key($new, $keep), 'days' => 60, ...(isset($keep['no3_n_mg_l']) ? ['production_g_d' => ['no3_n_mg_l' => $made]] : [])];
        $result = $this->run('exchange.trickle', $fields, $input, $typed, $errors);
        if ($result === null) {
            return null;
        }
        $input = [...$input, ...$this->typed($fields, $typed, $errors)];
        $origins = [...$origins, new Origin('production_g_d', 'Nitrate made', Say::number($made).' g N/d', 'computed', 'all that the fish give')];
        $steady = is_array($result->figures['steady']) && isset($result->figures['steady']['no3_n_mg_l']) ? $this->say(Parameter::Nitrate, (float) $result->figures['steady']['no3_n_mg_l']) : null;

        return [
            'l_min' => (new Figure('Trickle', $result->number('flow_l_min'), 'L/min', 'exchange.trickle', 'flow_l_min', $input, $origins))->toArray(),
            'jug' => $result->figures['jug_s'] === null ? null : (new Figure('The jug fills in', $result->number('jug_s'), 's', 'exchange.trickle', 'jug_s', $input, $origins))->toArray(),
            'steady' => $steady, 'after' => isset($keep['no3_n_mg_l']) ? $this->say(Parameter::Nitrate, $this->mix($result->figures['after'])['no3_n_mg_l']) : null,
            'litres' => 24 * $result->number('flow_l_h'),
        ];
    }

    /**
     * @param  list<Input>  $fields
     * @param  array<string, mixed>  $input
     * @param  array<array-key, mixed>  $typed
     * @param  array<string, string>  $errors
     */
    private function run(string $name, array $fields, array $input, array $typed, array &$errors): ?Result
    {
        $given = $this->typed($fields, $typed, $errors);
        if (array_intersect_key($given, array_flip(['change_l', 'change_pct', 'pct_per_week', 'flow_l_h'])) === []) {
            return null;
        }
        try {
            return $this->registry->run($name, [...$input, ...$given]);
        } catch (BadInput $bad) {
            $errors += $bad->errors;

            return null;
        }
    }

    /**
     * @param  list<Input>  $fields
     * @param  array<array-key, mixed>  $typed
     * @param  array<string, string>  $errors
     * @return array<string, mixed>
     */
    private function typed(array $fields, array $typed, array &$errors): array
    {
        try {
            return (new TypedInputs($fields))->read($typed);
        } catch (BadInput $bad) {
            $errors += $bad->errors;

            return [];
        }
    }

    /**
     * Why changes cannot reach a goal, in the units the keeper reads.
     *
     * @param  array<string, mixed>  $input
     */
    private function never(Parameter $goal, array $input, float $target): string
    {
        [$now, $new] = [$this->mix($input['now'])[$goal->value], $this->mix($input['source'])[$goal->value]];

        return 'The new water has '.$this->say($goal, $new).': changes cannot bring '.self::inner($goal).' from '.$this->number($goal, $now).' to '.$this->number($goal, $target).'. Blend it with water that has '.($target < $now ? 'less, or take it out by media.' : 'more, or dose it.');
    }

    /** A name inside a sentence: KH, GH and pH keep their letters. */
    private static function inner(Parameter $parameter): string
    {
        return in_array($parameter, [Parameter::Alkalinity, Parameter::Hardness, Parameter::Ph], true) ? $parameter->name() : lcfirst($parameter->name());
    }

    /** @return array<string, float> */
    private function mix(mixed $figures): array
    {
        return array_map(static fn (mixed $value): float => is_numeric($value) ? (float) $value : 0.0, is_array($figures) ? $figures : []);
    }

    private function number(Parameter $parameter, float $value): string
    {
        return Say::number($parameter->shown($value), 3);
    }

    private function say(Parameter $parameter, float $value): string
    {
        return trim($this->number($parameter, $value).' '.$parameter->symbol());
    }

    /** @return list<array<string, mixed>> */
    private function booked(System $system): array
    {
        /** @var Collection<int, WaterChange> $changes */
        $changes = WaterChange::query()->with(['water', 'user'])->where('system_id', $system->id)->whereNull('withdrawn_at')->orderByDesc('changed_at')->limit(20)->get();

        return array_values($changes->map(static fn (WaterChange $change): array => ['id' => $change->id, 'at' => $change->changed_at->toIso8601ZuluString(), 'age' => Age::of($change->changed_at), 'by' => $change->user?->name, 'text' => $change->text()])->all());
    }
}
