<?php

declare(strict_types=1);

namespace App\Service;

use App\Fish\FeedPlan;
use App\Models\Reading;
use App\Models\System;
use App\Readings\LatestWater;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Ironwort\Core\Fish\RationTable;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Service\ClimateStandIn;
use Ironwort\Core\Service\Job;
use Ironwort\Core\Service\JobTable;
use Ironwort\Core\Service\YearSeason;
use Ironwort\Core\Words\Message;

/**
 * The year of a system: its water month by month as it was measured last year, or else a stand-in by latitude; what
 * is fed in it; and what is done in each season by the schools followed here.
 */
final readonly class YearReport
{
    /** Readings in a month from which their mean says something. */
    private const LEAST = 3;

    private const MONTHS = 12;

    /** Of a pond nobody described. */
    private const DEPTH_M = 1.2;

    public function __construct(
        private DueJobs $jobs,
        private JobTable $table,
        private RationTable $rations,
        private FeedPlan $feeds,
        private LoopSums $systems,
        private VolumeReport $volumes,
    ) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water): array
    {
        $month = Carbon::now($system->site->timezone)->startOfMonth();
        $measured = $this->measured($system, $month);
        $months = [];
        for ($i = 0; $i < self::MONTHS; $i++) {
            $months[] = $this->month($system, $month->copy()->addMonths($i), $measured);
        }

        return [
            'outdoors' => $system->kind === 'display',
            'latitude_deg' => $system->site->latitude_deg,
            'season' => $this->jobs->season($system, $water, ServiceBook::of($system))?->value,
            'months' => $months,
            'seasons' => array_map(
                fn(YearSeason $season): array => [
                    'id' => $season->value,
                    'jobs' => array_values(
                        array_map(
                            static fn(Job $job): array => [
                                'id' => $job->id,
                                'name' => $job->name,
                                'not' => array_map(static fn(Message $one): array => $one->toArray(), $job->notTo()),
                            ],
                            array_filter(
                                $this->jobs->ofTheYear($system),
                                static fn(Job $job): bool => $job->once === $season,
                            ),
                        ),
                    ),
                ],
                YearSeason::cases(),
            ),
        ];
    }

    /**
     * @param  array<int, float>  $measured  °C by month
     * @return array<string, mixed>
     */
    private function month(System $system, Carbon $month, array $measured): array
    {
        $temp = $measured[$month->month] ?? $this->standIn($system, $month);
        $pace = 1.0;
        foreach ($this->table->seasons as $one) {
            if ($temp !== null && $one->fits($temp)) {
                $pace = $one->times;
                break;
            }
        }

        return [
            'month' => $month->format('Y-m'),
            'temp_c' => $temp,
            'from' => match (true) {
                isset($measured[$month->month]) => 'measured',
                $temp !== null => 'assumed',
                default => null,
            },
            'feed' => $temp === null ? null : $this->rations->kind($temp),
            'feed_g_d' => $temp === null || $system->fish->isEmpty() ? null : $this->feeds->rationG($system, $temp),
            'intervals' => $pace,
        ];
    }

    /** @return array<int, float> mean of each month of the last year that was read often enough, °C */
    private function measured(System $system, Carbon $month): array
    {
        $zone = $system->site->timezone;
        $rows = Reading::query()
            ->selectRaw('extract(month from taken_at at time zone ?)::int AS month, avg(value) AS mean', [$zone])
            ->where('system_id', $system->id)
            ->where('parameter', Parameter::Temperature->value)
            ->where('taken_at', '>=', $month->copy()->subMonths(self::MONTHS - 1))
            ->whereHas('visit', static function (Builder $visit): void {
                $visit->whereNull('withdrawn_at');
            })
            ->groupBy('month')
            ->havingRaw('count(*) >= ?', [self::LEAST])
            ->toBase()
            ->get();
        $means = [];
        foreach ($rows as $row) {
            /** @var object{month: int, mean: string} $row */
            $means[$row->month] = (float) $row->mean;
        }

        return $means;
    }

    /** Only of a pond in the open: a system indoors has the weather of its house. */
    private function standIn(System $system, Carbon $month): ?float
    {
        $latitude = $system->site->latitude_deg;
        if ($latitude === null || $system->kind !== 'display') {
            return null;
        }
        $surface = $this->systems->surface($system);
        $depth = $surface > 0 ? $this->volumes->inUse($system)->value / 1000 / $surface : self::DEPTH_M;

        return (new ClimateStandIn($latitude, $system->site->altitude_m))->waterC(
            $month->copy()->addDays(14)->dayOfYear,
            $depth,
        );
    }
}
