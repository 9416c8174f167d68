<?php

declare(strict_types=1);

namespace App\Living;

use App\Fish\FeedPlan;
use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use App\Volumes\VolumeReport;
use Illuminate\Contracts\Cache\Repository;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Model\MaturationCalculator;
use Ironwort\Core\Water\AssumedWater;
use Ironwort\Core\Words\Message;

/**
 * The bacteria of a start, fitted to what was read since it began. Figures of a fit are kept by what went into it, so
 * that every page tells the same and none waits for it twice.
 */
final readonly class FollowStart
{
    /** Ammonia must have been read so many times after the first for a fit to say anything. */
    public const LEAST = 3;

    private const KEPT_S = 7 * 86400;

    public function __construct(
        private Registry $registry,
        private VolumeReport $volumes,
        private FeedPlan $feeds,
        private Repository $kept,
    ) {}

    /**
     * @param  array{dose_to_mg_l?: float, hold_days?: float, hold_alkalinity_mg_l?: float}  $asked
     * @return array{volume_l: float, grown_mg_l_d: float, then: array<string, float>, readings: list<array<string,
     *     float>>, ...<string, mixed>} input of `filter.maturation`
     */
    public function input(System $system, LatestWater $water, StartOfFilter $start, float $grownGD, array $asked): array
    {
        $volume = max(1.0, $this->volumes->inUse($system)->value);
        $temp = $start->temperature() ?? $water->valueOrAssumed(Parameter::Temperature);
        $feed = $system->feed();
        $source = $system->water_id === null ? null : WaterSource::query()->with('tests')->find($system->water_id);
        $new = [];
        foreach (['tan_mg_l', 'no2_n_mg_l', 'no3_n_mg_l', 'alkalinity_mg_l'] as $key) {
            $value = $source?->reading($key);
            if ($value !== null) {
                $new[$key] = $value;
            }
        }
        $then = $start->then();
        $oxygen = $water->get(Parameter::Oxygen)?->value;

        return [
            'volume_l' => $volume,
            'grown_mg_l_d' => (1000 * $grownGD) / $volume,
            'biomass_kg' => $start->kg(),
            'feed_g_d' => $start->feed($this->feeds, $temp),
            'protein_pct' => $this->feeds->protein($feed),
            'temp_c' => $temp,
            'ph' => $water->valueOrAssumed(Parameter::Ph),
            ...$oxygen === null ? [] : ['do_mg_l' => $oxygen],
            'flow_l_h' => Trickle::running($system)->flow_l_h ?? 0.0,
            'source' => ['alkalinity_mg_l' => $then['alkalinity_mg_l'] ?? AssumedWater::ALKALINITY_MG_L, ...$new],
            'then' => $then,
            'readings' => $start->readings(),
            'events' => $start->events($this->feeds, $temp, $volume),
            'hold_days' => MaturationCalculator::HELD_D,
            ...$asked,
        ];
    }

    /**
     * @param  array<string, mixed>  $input  of `filter.maturation`
     * @return ?Message what is missing before anything can be fitted; null when nothing is
     */
    public static function missing(array $input): ?Message
    {
        $readings = is_array($input['readings'] ?? null) ? $input['readings'] : [];
        // With the first, which is the water of day 0.
        $read =
            1 +
            count(
                array_filter($readings, static fn(mixed $row): bool => is_array($row) && isset($row['tan_low_mg_l'])),
            );

        return match (true) {
            ($input['grown_mg_l_d'] ?? 0.0) <= 0 => Message::of('model.start_no_nitrifiers'),
            !is_array($input['then'] ?? null) || !isset($input['then']['alkalinity_mg_l']) => Message::of(
                'model.start_no_kh',
            ),
            $read <= self::LEAST => Message::of('model.start_few_readings', [
                'count' => [1 => 'once', 2 => 'twice'][$read] ?? "{$read} times",
            ]),
            default => null,
        };
    }

    /**
     * What of the fit other pages need, kept by its input; null where nothing can be fitted.
     *
     * @param  array<string, mixed>  $input  of `filter.maturation`
     * @return ?array{active: float, low: float, high: float, stage: string, readings: int} mg N/L/d at 20 °C
     */
    public function fitted(array $input): ?array
    {
        if (self::missing($input) !== null) {
            return null;
        }
        $key = 'start:' . hash('sha256', serialize($input));
        $found = $this->kept->get($key);
        if (!is_array($found)) {
            $found = $this->fit($input);
            $this->kept->put($key, $found, self::KEPT_S);
        }

        return isset($found['active'], $found['low'], $found['high'], $found['stage']) &&
            is_float($found['active']) &&
            is_float($found['low']) &&
            is_float($found['high']) &&
            is_string($found['stage'])
            ? [
                'active' => $found['active'],
                'low' => min($found['active'], $found['low']),
                'high' => max($found['active'], $found['high']),
                'stage' => $found['stage'],
                'readings' => is_array($input['readings'] ?? null) ? count($input['readings']) : 0,
            ]
            : null;
    }

    /**
     * @param  array<string, mixed>  $input  of `filter.maturation`
     * @return array<string, float|string>
     */
    private function fit(array $input): array
    {
        try {
            $result = $this->registry->run('filter.maturation', $input);
        } catch (BadInput) {
            return [];
        }

        return [
            'active' => $result->number('active_ammonia_mg_l_d'),
            'low' => $result->number('active_ammonia_low_mg_l_d'),
            'high' => $result->number('active_ammonia_high_mg_l_d'),
            'stage' => self::stage($result),
        ];
    }

    public static function stage(Result $result): string
    {
        return is_string($result->figures['stage']) ? $result->figures['stage'] : '';
    }
}
