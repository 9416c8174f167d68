<?php

declare(strict_types=1);

namespace App\Expected;

use App\Models\Dose;
use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterChange;
use App\Readings\LatestWater;
use App\Volumes\VolumeReport;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Water\BufferCalculator;

/**
 * What the water should read after what was changed and dosed since it was tested: mixed by volume, salt and buffer
 * added.
 *
 * What the fish make meanwhile is left out. Salt is made by nobody, so a trickle counts for it too.
 */
final readonly class ExpectedWater
{
    /** pH does not mix by itself, and oxygen and chlorine do not last. */
    private const KEYS = [
        'tan_mg_l',
        'no2_n_mg_l',
        'no3_n_mg_l',
        'alkalinity_mg_l',
        'hardness_mg_l',
        'salinity_g_l',
        'temp_c',
    ];

    private const MOST_CHANGES = 500;

    /** A reading older than this is none to start from, days. */
    private const STANDS_D = 45;

    public function __construct(private VolumeReport $volumes) {}

    /**
     * Only what was changed since it was last tested.
     *
     * @return array<string, float> canonical, by parameter
     */
    public function now(System $system, LatestWater $water): array
    {
        $tested = array_filter(
            array_map(
                static fn(string $key) => $water->get(Parameter::from($key)),
                array_combine(self::KEYS, self::KEYS),
            ),
        );
        if ($tested === []) {
            return [];
        }
        $oldest = min(array_map(static fn($reading): Carbon => $reading->taken_at, $tested));
        $from = $oldest->max(Carbon::now()->subDays(self::STANDS_D));
        $changes = $this->changes($system, $from, Carbon::now());
        $doses = $this->doses($system, $from);
        $expected = [];
        foreach ($tested as $key => $reading) {
            $since = $changes
                ->filter(static fn(WaterChange $change): bool => $change->changed_at->greaterThan($reading->taken_at))
                ->map(static fn(WaterChange $change): array => [$change->changed_at, $change])
                ->concat(
                    $doses
                        ->filter(
                            static fn(Dose $dose): bool => $dose->given_at->greaterThan($reading->taken_at) &&
                                self::brings($key, $dose) > 0,
                        )
                        ->map(static fn(Dose $dose): array => [$dose->given_at, $dose]),
                )
                ->sortBy(static fn(array $event): string => $event[0]->format('U.u'));
            $value = $reading->value;
            foreach ($since as [, $event]) {
                $value =
                    $event instanceof Dose
                        ? $value + self::brings($key, $event)
                        : self::mixed($key, $value, $event) ?? $value;
            }
            $moved = $since->isNotEmpty();
            if ($key === Parameter::Salinity->value && $value > 0) {
                $left = $this->leftByTrickles($system, $reading->taken_at);
                [$value, $moved] = [$value * $left, $moved || $left < 0.99];
            }
            if ($moved) {
                $expected[$key] = $value;
            }
        }

        return $expected;
    }

    /**
     * What each change of a time should have brought each parameter to.
     *
     * @return array<string, list<array{t: int, v: float}>> shown units, by parameter
     */
    public function course(System $system, Carbon $from, Carbon $to): array
    {
        $changes = $this->changes($system, $from, $to);
        if ($changes->isEmpty()) {
            return [];
        }
        /** @var list<object{parameter: string, value: string, t: string}> $rows */
        $rows = DB::select(
            sprintf(
                'SELECT r.parameter, r.value, extract(epoch FROM r.taken_at) AS t FROM readings ' .
                    'r JOIN visits v ON v.id = r.visit_id AND v.withdrawn_at IS NULL WHERE ' .
                    'r.system_id = ? AND r.parameter IN (%s) AND r.taken_at BETWEEN ? AND ? ORDER BY ' .
                    'r.taken_at LIMIT 20000',
                implode(', ', array_fill(0, count(self::KEYS), '?')),
            ),
            [$system->id, ...self::KEYS, $from->copy()->subDays(self::STANDS_D), $to],
        );
        $points = [];
        foreach (self::KEYS as $key) {
            $readings = array_values(array_filter($rows, static fn(object $row): bool => $row->parameter === $key));
            $value = null;
            $next = 0;
            foreach ($changes as $change) {
                while (isset($readings[$next]) && (float) $readings[$next]->t <= $change->changed_at->getTimestamp()) {
                    $value = (float) $readings[$next++]->value;
                }
                $after = $value === null ? null : self::mixed($key, $value, $change);
                if ($after !== null) {
                    $points[$key][] = [
                        't' => $change->changed_at->getTimestamp(),
                        'v' => Parameter::from($key)->shown($after),
                    ];
                    $value = $after;
                }
            }
        }

        return $points;
    }

    /** @return Collection<int, WaterChange> oldest first */
    private function changes(System $system, Carbon $from, Carbon $to): Collection
    {
        /** @var Collection<int, WaterChange> $changes */
        $changes = WaterChange::query()
            ->with('water.tests')
            ->where('system_id', $system->id)
            ->whereNull('vessel_id')
            ->whereNull('withdrawn_at')
            ->whereBetween('changed_at', [$from, $to->copy()->addSecond()])
            ->orderByDesc('changed_at')
            ->limit(self::MOST_CHANGES)
            ->get();

        return $changes->reverse()->values();
    }

    /** @return Collection<int, Dose> salt and buffer given to the whole water */
    private function doses(System $system, Carbon $from): Collection
    {
        /** @var Collection<int, Dose> $doses */
        $doses = Dose::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->whereNull('vessel_id')
            ->where('way', 'prolonged')
            ->whereIn('thing', ['salt', 'bicarbonate'])
            ->where('given_at', '>=', $from)
            ->orderBy('given_at')
            ->limit(200)
            ->get();

        return $doses;
    }

    /**
     * What a dose adds to a parameter, canonical: salt in g/L, buffer in mg/L as CaCO3 by what it was reckoned with.
     */
    private static function brings(string $key, Dose $dose): float
    {
        return match (true) {
            $key === 'salinity_g_l' && $dose->thing === 'salt' => $dose->amount / $dose->volume_l,
            $key === 'alkalinity_mg_l' && $dose->thing === 'bicarbonate' => (1000 * $dose->amount) /
                $dose->volume_l /
                (($dose->input['agent'] ?? '') === 'sodium_carbonate'
                    ? BufferCalculator::CARBONATE_PER_CACO3
                    : BufferCalculator::BICARBONATE_PER_CACO3),
            default => 0.0,
        };
    }

    /** Null where nothing is known of the new water. */
    private static function mixed(string $key, float $value, WaterChange $change): ?float
    {
        $new =
            $change->water?->reading($key) ??
            (in_array($key, ['tan_mg_l', 'no2_n_mg_l', 'salinity_g_l'], true) ? 0.0 : null);
        if ($new === null) {
            return null;
        }
        $share = $change->litres / $change->volume_l;

        // Top-up for evaporation brings what is in it and takes nothing out; warmth follows the air meanwhile.
        return match (true) {
            $change->kind !== 'topup' => (1 - $share) * $value + $share * $new,
            $key === Parameter::Temperature->value => $value,
            default => $value + $share * $new,
        };
    }

    private function leftByTrickles(System $system, Carbon $since): float
    {
        $left = 1.0;
        /** @var Collection<int, Trickle> $trickles */
        $trickles = Trickle::query()
            ->where('system_id', $system->id)
            ->where(static fn($query) => $query->whereNull('ended_at')->orWhere('ended_at', '>', $since))
            ->limit(50)
            ->get();
        $volume = $this->volumes->inUse($system)->value;
        foreach ($trickles as $trickle) {
            $hours = $trickle->started_at->max($since)->diffInHours($trickle->ended_at ?? Carbon::now());
            $left *= $volume > 0 ? exp((-$trickle->flow_l_h * max(0.0, $hours)) / $volume) : 1.0;
        }

        return $left;
    }
}
