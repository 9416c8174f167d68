<?php

declare(strict_types=1);

namespace App\Expected;

use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterChange;
use App\Models\WaterSource;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Measure\Format;

/**
 * The water that comes in and goes out by the book: changes of the last four weeks as a mean of their days, the trickle
 * that runs, and what both bring.
 */
final readonly class WaterTurned
{
    public const DAYS = 28;

    /** What new water brings that a balance asks for. */
    private const BRINGS = ['tan_mg_l', 'no3_n_mg_l', 'alkalinity_mg_l'];

    /** @param  array<string, float>  $brings  mean of what comes in, by key, where all of it was tested */
    private function __construct(
        public float $batchLD,
        public float $trickleLD,
        public array $brings,
        private bool $metered,
    ) {}

    public static function of(System $system): self
    {
        $from = Carbon::now()->subDays(self::DAYS);
        /** @var Collection<int, WaterChange> $changes */
        $changes = WaterChange::query()
            ->with('water.tests')
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->whereNull('vessel_id')
            ->where('changed_at', '>=', $from)
            ->limit(500)
            ->get();
        $trickle = Trickle::running($system);
        $trickle?->loadMissing('water.tests');
        $perDay = static fn(WaterChange $change): float => $change->litres / self::DAYS;
        $topUps = $changes->where('kind', 'topup');
        $batches = $changes->where('kind', 'batch');
        $between = BetweenReadings::of($system);
        // A meter knows better than a tap that was set by eye, and what ran in and was never booked was a change.
        $metered = $trickle === null ? null : $between?->metered->trickleLH();
        $runs = 24 * ($metered ?? ($trickle->flow_l_h ?? 0.0));
        $unbooked =
            $trickle === null ? 24 * (($between?->metered->restL() ?? 0.0) / ($between->metered->hours ?? 1.0)) : 0.0;
        $shares = [
            ...$batches->map(static fn(WaterChange $change): array => [$change->water, $perDay($change)])->all(),
            ...$unbooked > 0 ? [[null, $unbooked]] : [],
            ...$runs > 0 ? [[$trickle?->water, $runs]] : [],
        ];

        return new self(
            $batches->sum($perDay) + $unbooked,
            $runs,
            self::mean(
                $system,
                $shares,
                array_values(
                    $topUps->map(static fn(WaterChange $change): array => [$change->water, $perDay($change)])->all(),
                ),
            ),
            $metered !== null || $unbooked > 0,
        );
    }

    public function litresD(): float
    {
        return $this->batchLD + $this->trickleLD;
    }

    /** Where the figure comes from, in words. */
    public function said(): string
    {
        return match (true) {
            $this->metered => 'booked, and by two readings of the water meter',
            $this->litresD() <= 0 => 'no change booked in four weeks, and no trickle runs',
            $this->trickleLD <= 0 => 'changes booked in the last four weeks, as a mean',
            $this->batchLD <= 0 => 'the trickle that runs',
            default => Format::number($this->batchLD, 3) .
                ' L/d of changes in four weeks, ' .
                Format::number($this->trickleLD, 3) .
                ' L/d of trickle',
        };
    }

    /**
     * What evaporates leaves all behind that a top-up brings: it is as if what is changed brought it too.
     *
     * @param  list<array{?WaterSource, float}>  $shares  water and litres a day that come in and go out
     * @param  list<array{?WaterSource, float}>  $topUps  that only come in
     * @return array<string, float>
     */
    private static function mean(System $system, array $shares, array $topUps): array
    {
        $all = array_sum(array_map(static fn(array $share): float => $share[1], $shares));
        if ($all <= 0) {
            return [];
        }
        $own = $system->water_id === null ? null : WaterSource::query()->with('tests')->find($system->water_id);
        $means = [];
        foreach (self::BRINGS as $key) {
            $sum = 0.0;
            foreach ([...$shares, ...$topUps] as [$water, $litres]) {
                // New water that nobody named is the one the system is filled from.
                $value = ($water ?? $own)?->reading($key) ?? ($key === 'tan_mg_l' ? 0.0 : null);
                $sum = $value === null || $sum === null ? null : $sum + $value * $litres;
            }
            if ($sum !== null) {
                $means[$key] = $sum / $all;
            }
        }

        return $means;
    }
}
