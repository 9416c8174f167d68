<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Models\Reading;
use App\Models\System;
use App\Models\WaterChange;
use App\Readings\LatestWater;
use App\Volumes\VolumeReport;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Judge\Parameter;

/** What the readings of the last weeks say a filter took, beside what was expected of it in that water. */
final readonly class FilterRun
{
    private const DAYS = 28;

    private const MOST_READINGS = 1000;

    public function __construct(
        private Registry $registry,
        private CapacityReport $capacity,
        private VolumeReport $volumes,
    ) {}

    /**
     * @throws BadInput at `readings` when the book does not say enough
     */
    public function of(System $system, LatestWater $water): MeasuredRun
    {
        $from = Carbon::now()->subDays(self::DAYS);
        /** @var Collection<int, Reading> $readings */
        $readings = Reading::query()
            ->where('system_id', $system->id)
            ->where('parameter', Parameter::Ammonia->value)
            ->where('taken_at', '>=', $from)
            ->whereHas('visit', static fn($visit) => $visit->whereNull('withdrawn_at'))
            ->orderBy('taken_at')
            ->limit(self::MOST_READINGS)
            ->get();
        $rows = array_values(
            $readings
                ->map(
                    static fn(Reading $reading): array => [
                        'day' => max(0.0, $from->diffInSeconds($reading->taken_at) / 86400),
                        'low_mg_l' => max(0.0, $reading->low),
                        'high_mg_l' => max(0.0, $reading->high),
                    ],
                )
                ->all(),
        );
        if (count($rows) < 4 || $rows[count($rows) - 1]['day'] - $rows[0]['day'] < 7) {
            throw BadInput::at(
                'readings',
                'The book holds ' .
                    count($rows) .
                    ' readings of ammonia in the last ' .
                    self::DAYS .
                    ' days. Four over a week or more are needed.',
            );
        }
        $input = [
            'volume_l' => max(1.0, $this->volumes->inUse($system)->value),
            'load_g_d' => $this->capacity->of($system, $water)->load->value,
            'change_l_d' => self::changed($system, $from),
            'readings' => $rows,
        ];
        $found = $this->registry->run('filter.from_readings', $input);
        if ($found->number('removal_g_d') <= 0) {
            throw BadInput::at(
                'readings',
                'By these readings the filter removed nothing: ammonia rose as fast as the load, or faster.',
            );
        }
        // Held against what it would take at the most that was read: whatever it then does better is sure.
        $expected = $this->capacity->of(
            $system,
            $water,
            ['tan_mg_l' => (string) round(max(0.001, $found->number('tan_high_mg_l')), 4)],
            believing: false,
        );

        return new MeasuredRun($input, $expected->stagesGD);
    }

    private static function changed(System $system, Carbon $from): float
    {
        $litres = WaterChange::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('kind', 'batch')
            ->where('changed_at', '>=', $from)
            ->sum('litres');

        return (float) $litres / self::DAYS;
    }
}
