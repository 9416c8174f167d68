<?php

declare(strict_types=1);

namespace App\Service;

use App\Models\FeedFigure;
use App\Models\JobInterval;
use App\Models\OwnJob;
use App\Models\Service;
use App\Models\System;
use App\Readings\MonthAgo;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** What the book says of the service of many systems, read at once. */
final readonly class ServiceBook
{
    /**
     * @param  array<string, Service>  $last  the newest of each job on each part that is done, by `job part`
     * @param  array<string, ?float>  $own  own intervals, by `job part`
     * @param  list<OwnJob>  $jobs
     * @param  list<Service>  $open  runs that are not closed
     * @param  ?float  $feedG  a day, as the figure in force says; null where there is none
     * @param  ?float  $monthAgoC  its water four weeks ago
     */
    private function __construct(
        private array $last,
        private array $own,
        public array $jobs,
        public array $open,
        public ?float $feedG,
        public ?float $monthAgoC,
    ) {}

    /**
     * @param  Collection<int, System>  $systems
     * @param  ?array<string, ?float>  $monthAgo  their water four weeks ago, where it is known already
     * @return array<string, self> by system id
     */
    public static function ofAll(Collection $systems, ?array $monthAgo = null): array
    {
        $monthAgo ??= MonthAgo::of($systems);
        $ids = $systems->modelKeys();
        $newest = Service::query()
            ->select([
                'id',
                'system_id',
                'job',
                'part_id',
                'ended_at',
                'started_at',
                'flow_l_h',
                'water_l',
                'name',
                'job_name',
            ])
            ->whereIn('system_id', $ids)
            ->whereNull('withdrawn_at')
            ->whereNotNull('ended_at')
            ->whereIn(
                'id',
                DB::table('services')
                    ->selectRaw("substr(max(to_char(ended_at, 'YYYYMMDDHH24MISSUS') || id), 21)")
                    ->whereIn('system_id', $ids)
                    ->whereNull('withdrawn_at')
                    ->whereNotNull('ended_at')
                    ->groupBy('system_id', 'job', 'part_id'),
            )
            ->get()
            ->groupBy('system_id');
        $own = JobInterval::query()->whereIn('system_id', $ids)->get()->groupBy('system_id');
        $jobs = OwnJob::query()
            ->whereIn('system_id', $ids)
            ->orderBy('name')
            ->orderBy('id')
            ->get()
            ->groupBy('system_id');
        $open = Service::query()
            ->whereIn('system_id', $ids)
            ->whereNull('ended_at')
            ->whereNull('withdrawn_at')
            ->orderBy('started_at')
            ->get()
            ->groupBy('system_id');
        $feeds = FeedFigure::query()
            ->selectRaw('DISTINCT ON (system_id) system_id, feed_g_d')
            ->whereIn('system_id', $ids)
            ->where('since', '<=', Carbon::now($systems->first()?->site->timezone)->toDateString())
            ->orderBy('system_id')
            ->orderByDesc('since')
            ->toBase()
            ->pluck('feed_g_d', 'system_id');
        $books = [];
        foreach ($systems as $system) {
            $last = $intervals = [];
            foreach ($newest[$system->id] ?? [] as $one) {
                $last["{$one->job} {$one->part_id}"] = $one;
            }
            foreach ($own[$system->id] ?? [] as $one) {
                $intervals["{$one->job} {$one->part_id}"] = $one->every_d;
            }
            $books[$system->id] = new self(
                $last,
                $intervals,
                array_values(($jobs[$system->id] ?? new Collection())->all()),
                array_values(($open[$system->id] ?? new Collection())->all()),
                is_numeric($feeds[$system->id] ?? null) ? (float) $feeds[$system->id] : null,
                $monthAgo[$system->id] ?? null,
            );
        }

        return $books;
    }

    public static function of(System $system): self
    {
        return self::ofAll(new Collection([$system]))[$system->id];
    }

    public function last(string $job, string $part): ?Service
    {
        return $this->last["{$job} {$part}"] ?? null;
    }

    /** Whether the keeper set an interval of his own, or that it is not done here. */
    public function set(string $job, string $part): bool
    {
        return array_key_exists("{$job} {$part}", $this->own);
    }

    public function own(string $job, string $part): ?float
    {
        return $this->own["{$job} {$part}"] ?? null;
    }

    /** The newest service at which the flow was measured. */
    public function flowSeen(): ?Service
    {
        $seen = array_filter($this->last, static fn(Service $one): bool => $one->flow_l_h !== null);
        usort($seen, static fn(Service $a, Service $b): int => ($b->ended_at ?? now()) <=> ($a->ended_at ?? now()));

        return $seen[0] ?? null;
    }

    public function runs(string $job, string $part): ?Service
    {
        foreach ($this->open as $run) {
            if ($run->job === $job && $run->part_id === $part) {
                return $run;
            }
        }

        return null;
    }
}
