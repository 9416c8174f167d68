<?php

declare(strict_types=1);

namespace App\Living;

use App\Models\Stage;
use App\Models\System;
use App\Readings\LatestWater;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Filter\ArealRate;
use Ironwort\Core\Model\StartPhase;
use Ironwort\Core\Words\Message;

/**
 * What lives in the filter of a system today: the one figure behind every page.
 *
 * The keeper's own judgement goes before all; in a start its readings tell; else it follows its own past. What the
 * readings of a start that is done allow bounds what the past says.
 */
final readonly class WhatLives
{
    public function __construct(private Registry $registry, private Past $past, private FollowStart $starts) {}

    /**
     * @param  list<array<string, mixed>>  $rows  stages, as input of `filter.balance`
     * @param  array<string, float>  $water  temp_c, ph, alkalinity_mg_l, do_mg_l of the book
     * @param  float  $walls  m²
     * @return ?Living null where there is no surface
     */
    public function of(System $system, LatestWater $latest, array $rows, array $water, float $walls): ?Living
    {
        if ($rows === []) {
            return null;
        }
        $reach = $this->reach($rows, $water, $walls);
        if ($reach['greatest'] <= 0) {
            return null;
        }
        [$judged, $weight] = $this->judged($system, $reach['stages']);
        if ($weight >= 1.0 - 1e-9) {
            return new Living($judged, $judged, $judged, 'judged', 'by your judgement on Build');
        }
        $own = $this->followed($system, $latest, $reach, $water);
        if ($weight <= 0) {
            return $own;
        }
        $mixed = static fn(float $pct): float => $weight * $judged + (1 - $weight) * $pct;

        return new Living(
            $mixed($own->pct),
            $mixed($own->lowPct),
            $mixed($own->highPct),
            $own->kind,
            $own->from . ', partly by your judgement',
            $own->asks,
        );
    }

    /**
     * @param  list<array<string, mixed>>  $rows  stages, as input of `filter.balance`
     * @param  array<string, float>  $water
     * @return array{greatest: float, flat_out: float, stages: list<float>, walls: float}
     */
    public function reach(array $rows, array $water, float $walls): array
    {
        $reach = $this->registry->run('filter.reach', [
            ...array_intersect_key($water, array_flip(['temp_c', 'ph', 'alkalinity_mg_l', 'do_mg_l'])),
            'walls_m2' => $walls,
            'stages' => $rows,
        ]);
        $stages = $reach->figures['stages_g_d'];
        $grown = [];
        foreach (is_array($stages) ? $stages : [] as $takes) {
            $grown[] = is_numeric($takes) ? (float) $takes : 0.0;
        }

        return [
            'greatest' => $reach->number('greatest_g_d'),
            'flat_out' => $reach->number('flat_out_pct'),
            'stages' => $grown,
            'walls' => max(0.0, $reach->number('greatest_g_d') - array_sum($grown)),
        ];
    }

    /**
     * @param  array{greatest: float, flat_out: float, stages: list<float>, walls: float}  $reach
     * @param  array<string, float>  $water
     */
    private function followed(System $system, LatestWater $latest, array $reach, array $water): Living
    {
        $temp = $water['temp_c'];
        $silent = $this->past->silent($system);
        $proven = $silent->isEmpty() ? null : $this->past->proven($system);
        $past = $this->registry->run('filter.history', [
            'greatest_g_d' => $reach['greatest'],
            'flat_out_pct' => $reach['flat_out'],
            'temp_c' => $temp,
            ...$this->past->of($system, $reach['stages'], $reach['walls'], $temp, $proven),
        ]);
        [$pct, $low, $high] = [
            $past->number('active_pct'),
            $past->number('active_low_pct'),
            $past->number('active_high_pct'),
        ];
        $fit = $this->start($system, $latest, $reach, $temp);
        if ($fit !== null) {
            $young = !in_array($fit['stage'], [StartPhase::Proving->value, StartPhase::Ready->value], true);
            $said = "fitted to {$fit['readings']} visits since it began";

            return $young
                ? new Living($fit['pct'], $fit['low'], $fit['high'], 'measured', $said)
                : new Living(
                    max($fit['low'], min($fit['high'], $pct)),
                    max($fit['low'], min($fit['high'], $low)),
                    max($fit['low'], min($fit['high'], $high)),
                    'measured',
                    "as its past fed it, within what {$fit['readings']} visits since it began allow",
                );
        }
        if ($proven === null) {
            return new Living($pct, $low, $high, 'computed', 'from the load since the media went in');
        }
        $names = $silent->map(static fn(Stage $stage): string => $stage->name)->implode(', ');

        return new Living(
            $pct,
            $low,
            $high,
            'assumed',
            $proven
                ? "assumed grown in by eight weeks of clean tests: the book does not say since when {$names} runs"
                : "assumed new when the book began: it does not say since when {$names} runs",
            Message::of($proven ? Past::PROVEN : Past::UNKNOWN, ['stages' => $names]),
        );
    }

    /**
     * @param  array{greatest: float, flat_out: float, stages: list<float>, walls: float}  $reach
     * @return ?array{pct: float, low: float, high: float, stage: string, readings: int}
     */
    private function start(System $system, LatestWater $latest, array $reach, float $temp): ?array
    {
        $start = StartOfFilter::whole($system, $this->past);
        if ($start === null) {
            return null;
        }
        $at20 = ArealRate::warmth($temp);
        $grown = array_sum($reach['stages']) / $at20;
        $input = $this->starts->input($system, $latest, $start, $grown, []);
        $fit = $this->starts->fitted($input);
        if ($fit === null) {
            return null;
        }
        $pct = static fn(float $active): float => min(
            100.0,
            (($active * $input['volume_l']) / 1000 / ($reach['greatest'] / $at20)) * 100,
        );

        return [
            'pct' => $pct($fit['active']),
            'low' => $pct($fit['low']),
            'high' => $pct($fit['high']),
            'stage' => $fit['stage'],
            'readings' => $fit['readings'],
        ];
    }

    /**
     * @param  list<float>  $grown
     * @return array{float, float} percent, and how much of the surface it speaks of, 0 to 1
     */
    private function judged(System $system, array $grown): array
    {
        [$sum, $judged, $all] = [0.0, 0.0, array_sum($grown)];
        foreach ($system->stages->values() as $i => $stage) {
            if ($stage->maturity_pct !== null) {
                $sum += ($grown[$i] ?? 0.0) * $stage->maturity_pct;
                $judged += $grown[$i] ?? 0.0;
            }
        }

        return [$judged > 0 ? $sum / $judged : 0.0, $all > 0 ? $judged / $all : 0.0];
    }
}
