<?php

declare(strict_types=1);

namespace Tests;

use App\Build\LayBuild;
use App\Models\AirOutlet;
use App\Models\Bag;
use App\Models\BuildChange;
use App\Models\Charge;
use App\Models\Course;
use App\Models\Dose;
use App\Models\Feed;
use App\Models\FilterTest;
use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\FishMeasure;
use App\Models\Flush;
use App\Models\Good;
use App\Models\Incident;
use App\Models\IncidentTick;
use App\Models\Junction;
use App\Models\Kit;
use App\Models\Line;
use App\Models\Look;
use App\Models\MeterReading;
use App\Models\Note;
use App\Models\OwnJob;
use App\Models\Pump;
use App\Models\Round;
use App\Models\Seed;
use App\Models\Service;
use App\Models\Setback;
use App\Models\Shipment;
use App\Models\SingleFish;
use App\Models\SingleMeasure;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\System;
use App\Models\Trickle;
use App\Models\Vessel;
use App\Models\Visit;
use App\Models\VolumeMeasure;
use App\Models\WaterChange;
use App\Models\WaterSource;
use App\Models\WaterTest;
use App\Models\WhatIf;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Routing\Route;
use Illuminate\Support\Str;

/** One row of each kind in the site of a test, and the address of any route with their keys in it. */
trait OneOfEach
{
    /** Parameters that are no keys, with a value each that the route takes. */
    private const WORDS = [
        'parameter' => 'ph',
        'topic' => 'ammonia',
        'step' => 'change',
        'what' => 'salt',
        'bench' => 'heat',
        'name' => 'fish.load',
        'list' => 'media',
        'job' => 'drain_clean',
    ];

    /** The model that stands behind a segment of an address. */
    private const BEHIND = [
        'doses' => Dose::class,
        'changes' => WaterChange::class,
        'trickles' => Trickle::class,
        'charges' => Charge::class,
        'courses' => Course::class,
        'feeds' => Feed::class,
        'fish' => FishGroup::class,
        'measures' => FishMeasure::class,
        'moved' => FishEvent::class,
        'moves' => FishEvent::class,
        'tests' => FilterTest::class,
        'runs' => FilterTest::class,
        'setbacks' => Setback::class,
        'seeds' => Seed::class,
        'switchings' => Switching::class,
        'flushes' => Flush::class,
        'meter' => MeterReading::class,
        'what-ifs' => WhatIf::class,
        'vessels' => Vessel::class,
        'stages' => Stage::class,
        'pumps' => Pump::class,
        'lines' => Line::class,
        'junctions' => Junction::class,
        'outlets' => AirOutlet::class,
        'services' => Service::class,
        'own-jobs' => OwnJob::class,
        'looks' => Look::class,
        'incidents' => Incident::class,
        'ticks' => IncidentTick::class,
        'rounds' => Round::class,
        'skips' => Round::class,
        'shipments' => Shipment::class,
        'bags' => Bag::class,
        'singles' => SingleFish::class,
        'sizes' => SingleMeasure::class,
        'build-changes' => BuildChange::class,
        'variants' => System::class,
        'volumes' => VolumeMeasure::class,
        'notes' => Note::class,
        'log' => Note::class,
        'kits' => Kit::class,
        'goods' => Good::class,
        'waters' => WaterSource::class,
        'visits' => Visit::class,
        'imports' => Visit::class,
    ];

    /** @return list<?string> what a route's `{kind}` may be */
    private function kinds(Route $route): array
    {
        return isset($route->wheres['kind']) ? explode('|', $route->wheres['kind']) : [null];
    }

    /** @param  array<class-string<Model>, Model>  $rows  of another site; made up where there is none */
    private function address(Route $route, string $system, array $rows, ?string $kind = null): string
    {
        $segments = explode('/', $route->uri());
        $kind ??= $this->kinds($route)[0];
        foreach ($segments as $i => $segment) {
            $name = trim($segment, '{}');
            if ($segment === $name) {
                continue;
            }
            $before = $segments[$i - 1];
            $segments[$i] = match (true) {
                $name === 'system' => $system,
                $name === 'kind' => (string) $kind,
                $before === 'steps' => '0',
                $before === 'feed' && $name === 'key' => str_repeat('a', 40),
                isset(self::WORDS[$name]) => self::WORDS[$name],
                $name === 'group' => $this->key($rows, FishGroup::class),
                in_array($before, ['sold', 'lost'], true) => $this->key($rows, FishEvent::class),
                $before === 'tests' && in_array('waters', $segments, true) => $this->key($rows, WaterTest::class),
                default => $this->key($rows, self::BEHIND[$before] ?? throw new \LogicException($route->uri())),
            };
        }

        return '/' . implode('/', $segments);
    }

    /** @param  array<class-string<Model>, Model>  $rows */
    private function key(array $rows, string $class): string
    {
        return isset($rows[$class]) ? (string) $rows[$class]->getKey() : strtoupper((string) Str::ulid());
    }

    /** @return array<class-string<Model>, Model> one of each in the site of this test */
    private function rows(): array
    {
        $system = $this->system;
        $site = ['site_id' => $this->site->id];
        $own = [...$site, 'system_id' => $system->id];
        $bay = ['name' => 'Bay', 'kind' => 'bay', 'shape' => 'box', 'freeboard_m' => 0];
        (new LayBuild())->lay($system, [
            'vessels' => [[...$bay, 'measures' => ['length_m' => 2, 'width_m' => 1, 'depth_m' => 1]]],
            'stages' => [
                [
                    'name' => 'Mat',
                    'kind' => 'matting',
                    'medium' => 'coarse_matting',
                    'media_l' => 20,
                    'flow_l_h' => 1000,
                ],
            ],
            'pumps' => [['name' => 'Air', 'kind' => 'air', 'air_l_min' => 20, 'power_w' => 10]],
            'junctions' => [['name' => 'Collector']],
            'lines' => [['Fall', 'v:Bay', 's:Mat', 100, 1, ['bend_90' => 1]]],
            'outlets' => [['Stones', 'Air', 'v:Bay']],
        ]);
        $vessel = $system->vessels()->firstOrFail();
        $group = FishGroup::query()->create([
            ...$own,
            'name' => 'Koi',
            'count' => 3,
            'length_cm' => 40,
            'condition' => 1.5,
        ]);
        $water = WaterSource::query()->create([...$site, 'name' => 'Well', 'kind' => 'well']);
        $given = [
            'thing' => 'salt',
            'name' => 'Salt',
            'way' => 'prolonged',
            'amount' => 1,
            'unit' => 'g',
            'volume_l' => 2000,
            'calc' => 'dose.salt',
            'input' => [],
            'given_at' => now(),
        ];
        $rows = [
            $system,
            $vessel,
            $system->stages()->firstOrFail(),
            $system->pumps()->firstOrFail(),
            $system->lines()->firstOrFail(),
            $system->junctions()->firstOrFail(),
            $system->airOutlets()->firstOrFail(),
            BuildChange::query()->create([...$own, 'says' => 'Bay changed', 'parts' => []]),
            $group,
            $water,
            Dose::query()->create([...$own, ...$given]),
            Course::query()->create([
                ...$own,
                'thing' => 'praziquantel',
                'way' => 'prolonged',
                'dose_mg_l' => 2,
                'repeats' => 3,
                'started_at' => now(),
            ]),
            Charge::query()->create([...$own, 'kind' => 'carbon', 'mass_g' => 100, 'put_in_at' => now()]),
            WaterChange::query()->create([
                ...$own,
                'kind' => 'batch',
                'litres' => 10,
                'volume_l' => 2000,
                'changed_at' => now(),
            ]),
            Trickle::query()->create([...$own, 'flow_l_h' => 5, 'started_at' => now()]),
            Feed::query()->create([...$own, 'feed_g' => 10, 'fed_at' => now()]),
            FishMeasure::query()->create([
                ...$site,
                'fish_group_id' => $group->id,
                'measured_on' => now()->toDateString(),
                'length_cm' => 40,
            ]),
            FishEvent::query()->create([
                ...$site,
                'kind' => 'lost',
                'from_system_id' => $system->id,
                'group_name' => 'Koi',
                'count' => 1,
                'mean_weight_g' => 900,
                'happened_on' => now()->toDateString(),
            ]),
            FilterTest::query()->create([
                ...$own,
                'flow_l_h' => 1000,
                'in_mg_l' => 0.2,
                'out_mg_l' => 0.1,
                'expected_g_d' => 2,
                'tested_at' => now(),
            ]),
            Flush::query()->create([
                ...$own,
                'stage_id' => $system->stages()->firstOrFail()->id,
                'name' => 'Mat',
                'happened_at' => now(),
            ]),
            MeterReading::query()->create([...$own, 'litres' => 1200, 'read_at' => now()]),
            Switching::query()->create([
                ...$own,
                'thing' => 'pump',
                'part_id' => strtoupper((string) Str::ulid()),
                'name' => 'Air',
                'kind' => 'air',
                'state' => 'off',
                'was' => 'on',
                'happened_at' => now(),
            ]),
            Seed::query()->create([
                ...$own,
                'happened_on' => now()->toDateString(),
                'kind' => 'culture',
                'donor' => 'unknown',
                'gain_g_d' => 0.1,
                'low_g_d' => 0,
                'high_g_d' => 1,
            ]),
            Service::query()->create([
                ...$own,
                'job' => 'vacuum',
                'job_name' => 'Vacuum the floor',
                'part_kind' => 'vessel',
                'part_id' => $vessel->id,
                'name' => 'Bay',
                'way' => 'throttled',
                'rinse' => 'system',
                'started_at' => now(),
                'planned_min' => 30,
            ]),
            OwnJob::query()->create([
                ...$own,
                'name' => 'Grease',
                'part_kind' => 'vessel',
                'part_id' => $vessel->id,
                'every_d' => 30,
                'minutes' => 5,
            ]),
            Setback::query()->create([
                ...$own,
                'kind' => 'swished',
                'lost_pct' => 10,
                'low_pct' => 5,
                'high_pct' => 20,
                'happened_on' => now()->toDateString(),
            ]),
            WhatIf::query()->create([...$own, 'name' => 'July', 'changes' => ['temp_c' => '24']]),
            VolumeMeasure::query()->create([
                ...$own,
                'method' => 'meter',
                'input' => [],
                'volume_l' => 2000,
                'low_l' => 1990,
                'high_l' => 2010,
            ]),
            $this->look($own),
            ...$this->troubled($own),
            ...$this->shipped($own),
            ...$this->named($own),
            Note::query()->create([...$own, 'words' => 'Well.', 'seen' => [], 'taken_at' => now()]),
            Kit::query()->create([...$site, 'name' => 'pH', 'kind' => 'drops', 'parameter' => 'ph', 'steps' => []]),
            Good::query()->create([...$site, 'kind' => 'salt', 'name' => 'Salt', 'label' => []]),
            WaterTest::query()->create([
                ...$site,
                'water_id' => $water->id,
                'side' => 'raw',
                'tested_on' => now()->toDateString(),
                'readings' => [],
            ]),
            Visit::query()->create([...$own, 'taken_at' => now(), 'booked_at' => now()]),
        ];
        $byClass = [];
        foreach ($rows as $row) {
            $byClass[$row::class] = $row->fresh();
        }

        return $byClass;
    }

    /** @param  array<string, string>  $own */
    private function look(array $own): Look
    {
        $note = Note::query()->create([...$own, 'words' => 'Looked at all.', 'seen' => [], 'taken_at' => now()]);

        return Look::query()->create([...$own, 'id' => $note->id, 'signs' => [], 'marks' => []]);
    }

    /**
     * @param  array<string, string>  $own
     * @return list<Model>
     */
    private function shipped(array $own): array
    {
        $shipment = Shipment::query()->create([...$own, 'from_whom' => 'Reed Farm', 'arrived_at' => now()]);

        return [
            $shipment,
            Bag::query()->create([
                ...$own,
                'shipment_id' => $shipment->id,
                'name' => 'Young koi',
                'count' => 5,
                'length_cm' => 20,
            ]),
        ];
    }

    /**
     * @param  array<string, string>  $own
     * @return list<Model>
     */
    private function named(array $own): array
    {
        $fish = SingleFish::query()->create([...$own, 'name' => 'Old lady']);

        return [
            $fish,
            SingleMeasure::query()->create([
                'site_id' => $own['site_id'],
                'single_fish_id' => $fish->id,
                'measured_on' => now()->toDateString(),
                'length_cm' => 60,
            ]),
        ];
    }

    /**
     * @param  array<string, string>  $own
     * @return list<Model>
     */
    private function troubled(array $own): array
    {
        $incident = Incident::query()->create([...$own, 'event' => 'seen', 'opened_at' => now()]);

        return [
            $incident,
            IncidentTick::query()->create([
                ...$own,
                'incident_id' => $incident->id,
                'step' => 'oxygen incident.air',
                'words' => 'Air on.',
                'what' => 'done',
                'at' => now(),
            ]),
            Round::query()->create(['site_id' => $own['site_id'], 'user_id' => $this->owner?->id, 'began_at' => now()]),
        ];
    }
}
