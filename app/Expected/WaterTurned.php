<?php

declare(strict_types=1);

namespace App\Expected;

use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterChange;
use App\Models\WaterSource;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Exchange\Evaporation;
use Ironwort\Core\Measure\Format;

/**
 * The water that comes in and goes out by the book: changes and top-ups of the last four weeks as a mean of their days,
 * the trickle that runs, what evaporates, and what all of it brings.
 */
final readonly class WaterTurned
{
    public const DAYS = 28;

    /** What new water brings that a balance asks for. */
    private const BRINGS = ['tan_mg_l', 'no3_n_mg_l', 'alkalinity_mg_l', 'temp_c'];

    /** @param  array<string, float>  $brings  mean of what comes in, by key, where all of it was tested */
    private function __construct(
        public float $batchLD,
        public float $trickleLD,
        public float $bookedTopUpLD,
        public Evaporation $evaporation,
        public array $brings,
        private bool $metered,
    ) {}

    /** @param  float  $surfaceM2  open water, of which what nobody topped up by the book is assumed */
    public static function of(System $system, float $surfaceM2): self
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
        $batchLD = $batches->sum($perDay) + $unbooked;
        $evaporation = new Evaporation($surfaceM2, $batchLD, $runs, $topUps->sum($perDay));
        // What evaporates and was not booked comes from the trickle, or from the water the system is filled from.
        $unnamed = max(0.0, $evaporation->topUpLD - $topUps->sum($perDay) - $runs);
        $shares = [
            ...$batches->map(static fn(WaterChange $change): array => [$change->water, $perDay($change)])->all(),
            ...$unbooked > 0 ? [[null, $unbooked]] : [],
            ...$runs > 0 ? [[$trickle?->water, $runs]] : [],
            ...$topUps->map(static fn(WaterChange $change): array => [$change->water, $perDay($change)])->all(),
            ...$unnamed > 0 ? [[null, $unnamed]] : [],
        ];

        return new self(
            $batchLD,
            $runs,
            $topUps->sum($perDay),
            $evaporation,
            self::mean($system, $shares),
            $metered !== null || $unbooked > 0,
        );
    }

    /** What leaves, and new water in its place, L/d. */
    public function litresD(): float
    {
        return $this->evaporation->leavesLD;
    }

    /** All new water that comes in, L/d. */
    public function comesLD(): float
    {
        return $this->evaporation->leavesLD + $this->evaporation->topUpLD;
    }

    /** What comes in, in words. */
    public function comesFrom(): string
    {
        return 'a mean of ' .
            implode(
                ', ',
                array_filter([
                    $this->trickleLD > 0 ? Format::number($this->trickleLD, 3) . ' L/d of trickle' : null,
                    $this->batchLD > 0 ? Format::number($this->batchLD, 3) . ' L/d of changes' : null,
                    $this->comesLD() > $this->trickleLD + $this->batchLD
                        ? Format::number($this->comesLD() - $this->trickleLD - $this->batchLD, 3) . ' L/d of top-up'
                        : null,
                ]) ?: ['nothing'],
            );
    }

    /** How the top-up is known, in words. */
    public function toppedUp(): string
    {
        return $this->bookedTopUpLD >= $this->evaporation->topUpLD
            ? 'top-ups booked in the last four weeks, as a mean'
            : 'assumed: ' .
                    Format::number(Evaporation::MM_D) .
                    ' mm a day evaporate, ' .
                    ($this->bookedTopUpLD > 0 ? 'more than was booked as topped up' : 'and no top-up was booked');
    }

    /** Where the figure comes from, in words. */
    public function said(): string
    {
        return match (true) {
            $this->metered => 'booked, and by two readings of the water meter',
            $this->batchLD + $this->trickleLD <= 0 => 'no change booked in four weeks, and no trickle runs',
            $this->trickleLD <= 0 => 'changes booked in the last four weeks, as a mean',
            $this->batchLD <= 0 => 'the trickle that runs',
            default => Format::number($this->batchLD, 3) .
                ' L/d of changes in four weeks, ' .
                Format::number($this->trickleLD, 3) .
                ' L/d of trickle',
        };
    }

    /**
     * @param  list<array{?WaterSource, float}>  $shares  water and litres a day that come in
     * @return array<string, float>
     */
    private static function mean(System $system, array $shares): array
    {
        $all = array_sum(array_map(static fn(array $share): float => $share[1], $shares));
        if ($all <= 0) {
            return [];
        }
        $own = $system->water_id === null ? null : WaterSource::query()->with('tests')->find($system->water_id);
        $means = [];
        foreach (self::BRINGS as $key) {
            $sum = 0.0;
            foreach ($shares as [$water, $litres]) {
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
