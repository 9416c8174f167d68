<?php

declare(strict_types=1);

namespace App\Water;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Forms\TypedFields;
use App\Models\Age;
use App\Models\System;
use App\Models\Trickle;
use App\Volumes\VolumeReport;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;

/**
 * A trickle before it is opened, and the one that runs: flow, jug, where it settles, what it costs in heat, salt and
 * treatments.
 */
final readonly class TrickleReport
{
    public function __construct(private Registry $registry, private VolumeReport $volumes, private PutBack $putBack) {}

    /**
     * @param  float  $made  nitrogen the fish give, g/d
     * @return ?array<string, mixed> null where nothing was typed
     */
    public function of(System $system, TwoWaters $waters, TypedFields $typed, float $made): ?array
    {
        $given = $this->flow($waters->volume, $typed);
        $jug = $typed->number(Input::number('jug_l', 'Jug', 'L', 0.05, 100));
        $keep = array_diff_key($waters->now, [
            'ph' => 0,
            'temp_c' => 0,
            'tan_mg_l' => 0,
            'no2_n_mg_l' => 0,
        ]);
        if ($given === null || $typed->errors !== []) {
            return null;
        }
        $tested = $keep !== [];
        // What was never tested is not known: only flow, jug and litres are then told.
        $keep = $tested ? $keep : ['hardness_mg_l' => 0.0];
        $input = [
            'volume_l' => max(1.0, $waters->volume),
            'now' => $keep,
            'source' => $tested ? array_intersect_key($waters->new, $keep) : $keep,
            'days' => 60,
            ...isset($keep['no3_n_mg_l']) ? ['production_g_d' => ['no3_n_mg_l' => $made]] : [],
            ...$given,
            ...$jug === null ? [] : ['jug_l' => $jug],
        ];
        $result = $typed->attempt(fn() => $this->registry->run('exchange.trickle', $input));
        if ($result === null) {
            return null;
        }
        $origins = [
            ...$waters->origins,
            new Origin(
                'production_g_d',
                'Nitrate made',
                Format::number($made) . ' g N/d',
                'computed',
                'all that the fish and plant fertiliser give',
            ),
        ];
        $figure = static fn(string $label, string $key, string $unit): ?array => is_numeric($result->figures[$key])
            ? (new Figure($label, $result->number($key), $unit, 'exchange.trickle', $key, $input, $origins))->toArray()
            : null;
        $nitrate = static fn(mixed $water): ?string => isset(TwoWaters::mix($water)['no3_n_mg_l'])
            ? TwoWaters::say(Parameter::Nitrate, TwoWaters::mix($water)['no3_n_mg_l'])
            : null;
        $flow = $result->number('flow_l_h');

        return [
            'l_min' => $figure('Trickle', 'flow_l_min', 'L/min'),
            'jug' => $figure('The jug fills in', 'jug_s', 's'),
            'flow_l_h' => $flow,
            'steady' => $nitrate($result->figures['steady']),
            'after' => $nitrate($result->figures['after']),
            'litres' => 24 * $flow,
            'left_day_pct' => 100 * exp((-24 * $flow) / max(1.0, $waters->volume)),
            'left_week_pct' => 100 * exp((-168 * $flow) / max(1.0, $waters->volume)),
            'heat' => $this->heat($waters, $flow),
            'day_takes' => $this->dayTakes($system, $waters, 24 * $flow),
        ];
    }

    /** @return ?array<string, mixed> the one that runs */
    public function running(System $system): ?array
    {
        $trickle = Trickle::running($system);
        if ($trickle === null) {
            return null;
        }
        $volume = $this->volumes->inUse($system)->value;

        return [
            'id' => $trickle->id,
            'text' => $trickle->text(),
            'age' => Age::of($trickle->started_at),
            'pct_week' => $volume > 0 ? (100 * 168 * $trickle->flow_l_h) / $volume : null,
            'jug_s' => 3600 / $trickle->flow_l_h,
        ];
    }

    /**
     * Share, flow, seconds to fill a jug, or two readings of the meter.
     *
     * @return ?array<string, float>
     */
    public function flow(float $volume, TypedFields $typed): ?array
    {
        $given = array_filter(
            [
                'pct_per_week' => $typed->number(Input::number('pct_per_week', 'Trickle', '% a week', 0.01, 100000)),
                'flow_l_h' => $typed->number(Input::number('flow_l_h', 'Trickle', 'L/h', 0.001, 1e7)),
            ],
            static fn(?float $value): bool => $value !== null,
        );
        $seconds = $typed->number(Input::number('jug_s', 'The jug fills in', 's', 0.1, 1e6));
        [$from, $to, $hours] = [
            $typed->number(Input::number('trickle_meter_before', 'Meter before', 'L', 0, 1e12)),
            $typed->number(Input::number('trickle_meter_after', 'Meter after', 'L', 0, 1e12)),
            $typed->number(Input::number('trickle_meter_h', 'Hours between', 'h', 0.01, 10000)),
        ];
        if ($seconds !== null) {
            $given['flow_l_h'] =
                (($typed->number(Input::number('jug_l', 'Jug', 'L', 0.05, 100)) ?? 1.0) / $seconds) * 3600;
        }
        if ($from !== null && $to !== null && $hours !== null) {
            if ($to <= $from) {
                $typed->refuse(
                    'trickle_meter_after',
                    'The meter ran backwards: ' . Format::number($from, 7) . ' to ' . Format::number($to, 7) . '.',
                );

                return null;
            }
            $given['flow_l_h'] = ($to - $from) / $hours;
        }
        if (count($given) > 1) {
            unset($given['pct_per_week']);
        }

        return $given === [] ? null : $given;
    }

    /** @return list<array<string, mixed>> what takes the chlorine out of one day's water */
    private function dayTakes(System $system, TwoWaters $waters, float $litres): array
    {
        return $waters->source === null
            ? []
            : array_map(
                static fn(PutBackItem $item): array => $item->toArray(),
                $this->putBack->chlorine($system, $waters->source, $waters->origins, $litres),
            );
    }

    /** @return ?array<string, mixed> what warming it takes, where both temperatures are known */
    private function heat(TwoWaters $waters, float $flow): ?array
    {
        if (!isset($waters->now['temp_c']) || $flow <= 0) {
            return null;
        }
        $input = [
            'flow_l_h' => $flow,
            'temp_c' => $waters->now['temp_c'],
            'target_c' => $waters->now['temp_c'],
            'source_temp_c' => $waters->new['temp_c'],
            'volume_l' => max(1.0, $waters->volume),
        ];
        try {
            return (new Figure(
                'Heat to warm it',
                $this->registry->run('exchange.heat', $input)->number('trickle_w'),
                'W',
                'exchange.heat',
                'trickle_w',
                $input,
                $waters->origins,
            ))->toArray();
        } catch (BadInput) {
            return null;
        }
    }
}
