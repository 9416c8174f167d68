<?php

declare(strict_types=1);

namespace App\Site;

use App\Build\BuildResource;
use App\Build\BuildTemplates;
use App\Build\LayBuild;
use App\Capacity\CapacityReport;
use App\Http\Controller;
use App\Models\Age;
use App\Models\FishGroup;
use App\Models\Slug;
use App\Models\System;
use App\Models\Visit;
use App\Readings\AdviceReport;
use App\Readings\LatestWater;
use App\Readings\TestsDue;
use App\Readings\VisitResource;
use App\Readings\WaterMeaning;
use App\Running\SleepSystem;
use App\State\Carried;
use App\State\SystemState;
use App\Volumes\LoopSums;
use App\Volumes\ShutOffTime;
use App\Volumes\ShutOffTimes;
use App\Volumes\VolumeReport;
use App\Volumes\WaterBodies;
use App\Volumes\WaterBody;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Judge\LimitTable;

/** The systems of a site: the list beside every page, and one system whole. */
final class SystemController extends Controller
{
    private const NEWEST_VISITS = 6;

    public function __construct(
        private readonly WaterMeaning $meaning,
        private readonly TestsDue $tests,
        private readonly SystemState $states,
    ) {}

    public function index(Request $request): JsonResponse
    {
        $systems = System::ofSite($this->person($request)->site)
            ->with([
                'site.schools',
                'ownLimits',
                'schools',
                'testPlans',
                'vessels',
                'lines',
                'stages',
                'pumps',
                'borrowed',
                'airOutlets',
                'fish',
                'setbacks',
                'shutOffs',
            ])
            ->get();
        System::lookAtTogether($systems);
        $water = LatestWater::ofAll($systems);
        $seen = $this->tests->seenOf($systems);
        $dosed = SystemState::dosed($systems);
        $versions = Carried::versions($systems);
        $this->states->ahead($systems, $water, $versions);

        return new JsonResponse(
            $systems
                ->map(function (System $system) use ($water, $seen, $dosed, $versions): array {
                    $standing = $this->states->of($system, $water[$system->id], $dosed, $versions[$system->id] ?? '');
                    $state = $standing->state?->value;

                    return [
                        'slug' => $system->slug,
                        'name' => $system->name,
                        'kind' => $system->kind,
                        'life_stage' => $system->life_stage,
                        'state' => $system->asleep_since === null ? $state : null,
                        'worst' => $system->asleep_since === null ? $standing->worst : null,
                        'asleep' => $system->asleep_since !== null,
                        'due' => array_values(
                            array_map(
                                static fn(array $test): array => ['name' => $test['name'], 'stands' => $test['stands']],
                                array_filter(
                                    $system->asleep_since === null
                                        ? $this->tests->of($system, $water[$system->id], $state, $seen[$system->id])[
                                            'tests'
                                        ]
                                        : [],
                                    static fn(array $test): bool => $test['stands'] !== 'done',
                                ),
                            ),
                        ),
                    ];
                })
                ->values(),
        );
    }

    public function show(
        System $system,
        LoopSums $report,
        VolumeReport $volumes,
        ShutOffTimes $shutOff,
        WaterBodies $bodies,
        CapacityReport $capacity,
        LimitTable $limits,
        AdviceReport $advice,
    ): JsonResponse {
        $system->unsetRelations();
        $water = LatestWater::of($system);
        $verdict = $capacity->of($system, $water);
        $standing = $this->states->of($system, $water, verdict: $verdict);
        $state = $standing->state?->value;
        /** @var Collection<int, Visit> $visits */
        $visits = Visit::bookedAt($system)->limit(self::NEWEST_VISITS)->get();

        return new JsonResponse([
            'slug' => $system->slug,
            'name' => $system->name,
            'kind' => $system->kind,
            'life_stage' => $system->life_stage,
            'asleep' => $system->asleep_since === null ? null : Age::of($system->asleep_since),
            'plan_of' => self::planOf($system),
            'life_stage_name' => $limits->stages[$system->life_stage],
            'water' => [
                ...$this->meaning->of($system, $water)->toArray(),
                'state' => $state,
                'worst' => $standing->worst,
            ],
            'advice' => $advice->of($system),
            'schedule' => $this->tests->of(
                $system,
                $water,
                $state,
                $this->tests->seenOf(collect([$system]))[$system->id],
            ),
            'volume' => $volumes->inUse($system)->toArray(),
            'bodies' => array_map(static fn(WaterBody $body): array => $body->toArray(), $bodies->all($system)),
            'shut_off' => array_map(
                static fn(ShutOffTime $time): array => $time->toArray(),
                $shutOff->times($system, $water),
            ),
            'biomass' => $report->biomass($system)->toArray(),
            'fish_count' => $system->fish->sum(static fn(FishGroup $group): int => $group->count),
            'capacity' => $verdict->toArray(),
            'build' => BuildResource::of($system),
            'visits' => array_map(VisitResource::of(...), $visits->all()),
            'spots' => Visit::query()
                ->where('system_id', $system->id)
                ->whereNotNull('spot')
                ->distinct()
                ->orderBy('spot')
                ->limit(20)
                ->pluck('spot')
                ->all(),
        ]);
    }

    /** @return ?array{slug: string, name: string} the system it is another build of */
    private static function planOf(System $system): ?array
    {
        $standing = $system->variant_of_id === null ? null : System::query()->find($system->variant_of_id);

        return $standing === null ? null : ['slug' => $standing->slug, 'name' => $standing->name];
    }

    public function store(SystemRequest $request, LayBuild $build): JsonResponse
    {
        $person = $this->person($request);
        $template = $request->template();
        $since = $request->since();
        $system = new System([
            ...$request->columns(),
            'site_id' => $person->site_id,
            'slug' => Slug::free($person->site_id, $request->name()),
            'position' => 1000,
        ]);
        DB::transaction(static function () use ($system, $template, $since, $build): void {
            $system->save();
            $build->lay($system, BuildTemplates::plan($template), $since);
        });

        return new JsonResponse(['slug' => $system->slug], 201);
    }

    /** Puts a system to sleep, or wakes it. Asleep it raises no alarm; its filter starves meanwhile. */
    public function sleep(SleepRequest $request, System $system, SleepSystem $sleep): JsonResponse
    {
        $sleep->turn($system, $request->asleep(), $this->person($request));

        return new JsonResponse(['asleep' => $system->asleep_since !== null]);
    }
}
