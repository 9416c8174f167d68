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
    private function __construct(public float $batchLD, public float $trickleLD, public array $brings) {}

    public static function of(System $system): self
    {
        $from = Carbon::now()->subDays(self::DAYS);
        /** @var Collection<int, WaterChange> $changes */
        $changes = WaterChange::query()
            ->with('water.tests')
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->whereNull('vessel_id')
            ->where('kind', 'batch')
            ->where('changed_at', '>=', $from)
            ->limit(500)
            ->get();
        $trickle = Trickle::running($system);
        $trickle?->loadMissing('water.tests');
        $batch = $changes->sum(static fn(WaterChange $change): float => $change->litres) / self::DAYS;
        $runs = 24 * ($trickle->flow_l_h ?? 0.0);
        $shares = [
            ...$changes
                ->map(static fn(WaterChange $change): array => [$change->water, $change->litres / self::DAYS])
                ->all(),
            ...$runs > 0 ? [[$trickle?->water, $runs]] : [],
        ];

        return new self($batch, $runs, self::mean($system, $shares));
    }

    public function litresD(): float
    {
        return $this->batchLD + $this->trickleLD;
    }

    /** Where the figure comes from, in words. */
    public function said(): string
    {
        return match (true) {
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
     * @param  list<array{?WaterSource, float}>  $shares  water and litres a day
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
