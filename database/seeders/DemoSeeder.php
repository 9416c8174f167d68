<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Build\FollowLoop;
use App\Build\LayBuild;
use App\Maturing\BookSeed;
use App\Maturing\PlannedSeed;
use App\Models\FishEvent;
use App\Models\Good;
use App\Models\Kit;
use App\Models\Role;
use App\Models\Service;
use App\Models\Site;
use App\Models\System;
use App\Models\User;
use App\Models\WaterSource;
use App\Running\SwitchThing;
use App\Service\ServicedPart;
use App\Variants\CopyBuild;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Database\Factories\SiteFactory;
use Database\Factories\SystemFactory;
use Database\Factories\UserFactory;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Ironwort\Core\Filter\SeedKind;
use Ironwort\Core\Fish\Condition;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Service\JobTable;

/** The invented demo: Sallow Yard, its three people and six systems, with up to half a year of history ending now. */
final class DemoSeeder extends Seeder
{
    private const PASSWORD = 'yarrow-42';

    private const NOISE = 20260531;

    private const PEOPLE = [
        [
            'name' => 'Maren',
            'email' => 'maren@sallow.example',
            'role' => 'owner',
            'says' => 'owner',
        ],
        [
            'name' => 'Tobias',
            'email' => 'tobias@sallow.example',
            'role' => 'helper',
            'says' => 'helper, logs and services',
        ],
        [
            'name' => 'Ines',
            'email' => 'ines@sallow.example',
            'role' => 'reader',
            'says' => 'visiting vet, reads only',
        ],
    ];

    public function __construct(
        private readonly DemoWater $water,
        private readonly VolumeReport $volumes,
        private readonly LoopSums $systems,
        private readonly BookSeed $seeds,
        private readonly SwitchThing $switches,
        private readonly FollowLoop $loop,
        private readonly JobTable $jobs,
    ) {}

    /** @return list<array{email: string, password: string, who: string}> */
    public static function logins(): array
    {
        return array_map(
            static fn(array $person): array => [
                'email' => $person['email'],
                'password' => self::PASSWORD,
                'who' => "{$person['name']}, {$person['says']}",
            ],
            self::PEOPLE,
        );
    }

    /** Loads the demo into an empty book, and leaves any other book alone. */
    public function run(): void
    {
        if (Site::query()->exists()) {
            return;
        }
        DB::transaction(function (): void {
            $site = SiteFactory::new()->createOne([
                'name' => 'Sallow Yard',
                'altitude_m' => 85,
                'is_demo' => true,
                'price_per_kwh' => 0.31,
                'price_per_m3' => 4.2,
            ]);
            $hash = Hash::make(self::PASSWORD);
            $people = array_map(
                static fn(array $person): User => UserFactory::new()->createOne([
                    'site_id' => $site->id,
                    'name' => $person['name'],
                    'email' => $person['email'],
                    'role' => Role::from($person['role']),
                    'password' => $hash,
                ]),
                self::PEOPLE,
            );
            $waters = $this->shelf($site, $people[0]);
            foreach (DemoSystems::all() as $position => $plan) {
                $this->system($site, $plan, $position, $people, $waters);
            }
            foreach (DemoSystems::all() as $plan) {
                if (isset($plan['seed'])) {
                    $this->moved($site, $plan, $people[1]);
                }
            }
            self::planned($site);
            (new DemoFish($site, $people))->write();
            (new DemoIncident($site, $people))->write();
        });
    }

    /**
     * @param  array<string, mixed>  $plan
     * @param  list<User>  $people
     * @param  array<string, string>  $waters  keys by what the story calls them
     */
    private function system(Site $site, array $plan, int $position, array $people, array $waters): void
    {
        // Each its own noise: what is told of one changes nothing that was read of another.
        mt_srand(self::NOISE + 101 * $position);
        $story = $plan['story'];
        $system = SystemFactory::new()->createOne([
            'site_id' => $site->id,
            'name' => $plan['name'],
            'kind' => $plan['kind'],
            'life_stage' => $plan['life_stage'],
            'position' => $position,
            'water_id' => $waters[$story['source']],
        ]);
        $own = ['site_id' => $site->id];
        (new LayBuild())->lay($system, [
            'vessels' => $plan['vessels'],
            'stages' => $plan['stages'],
            ...DemoPlumbing::of($plan['name']),
        ]);
        // What flows through its stages is what its loop gives them.
        $system->stages()->update(['flow_of_loop' => true]);
        $this->loop->follow($system->unsetRelations());
        $system->unsetRelations();
        foreach ($plan['fish'] as $i => $group) {
            $system->fish()->create([...$own, 'condition' => 1.5, ...$group, 'position' => $i]);
        }
        foreach ($plan['gone'] ?? [] as $i => [$name, $count, $length, $arrived, $sold]) {
            $this->gone($system, $name, $count, $length, $arrived, $sold, 100 + $i);
        }
        $system->load(['site', 'vessels', 'stages', 'fish']);
        $volume = $this->volumes->inUse($system)->value;
        $days = $this->water->days(
            $plan,
            $volume,
            $this->systems->biomass($system)->value,
            $site->altitude_m,
            DemoSystems::SOURCES,
        );
        (new DemoBook($system, $people, $waters, $volume))->write($plan, $days);
        $this->served($system, $people[1], $plan['served'] ?? []);
        foreach ($plan['switched'] ?? [] as [$ago, $hour, $name, $state, $reason]) {
            $system->unsetRelations();
            $part = $system->pumps->firstWhere('name', $name) ?? $system->stages->firstWhere('name', $name);
            $this->switches->switch(
                strtoupper((string) Str::ulid()),
                $system,
                $people[1],
                $part ?? throw new \LogicException("Nothing is called {$name} in {$system->name}."),
                $state,
                Carbon::now($site->timezone)->subDays($ago)->setTime($hour, 10)->utc(),
                $reason,
            );
        }
    }

    /**
     * Jobs that were done, as the book of service has them.
     *
     * @param  list<array{int, string, string, int}>  $served  days ago, part, job, minutes it took
     */
    private function served(System $system, User $user, array $served): void
    {
        foreach ($served as [$ago, $name, $id, $minutes]) {
            $part = null;
            foreach (ServicedPart::all($system->unsetRelations()) as $one) {
                $part = $one->name === $name ? $one : $part;
            }
            if ($part === null) {
                throw new \LogicException("Nothing is called {$name} in {$system->name}.");
            }
            $job = $this->jobs->get($id);
            $at = Carbon::now($system->site->timezone)->subDays($ago)->setTime(17, 20)->utc();
            Service::query()->create([
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $user->id,
                'ended_by' => $user->id,
                'job' => $job->id,
                'job_name' => $job->name,
                'part_kind' => $part->kind,
                'part_id' => $part->id,
                'name' => $part->name,
                'way' => 'stopped',
                'rinse' => 'system',
                'started_at' => $at->copy()->subMinutes($minutes),
                'planned_min' => $job->minutes,
                'ended_at' => $at,
            ]);
        }
    }

    /** Another build beside the one that stands: the Press Room with wider returns, and what they would cost. */
    private static function planned(Site $site): void
    {
        $standing = System::query()->where('site_id', $site->id)->where('name', 'Press Room')->firstOrFail();
        $plan = CopyBuild::of($standing, strtoupper((string) Str::ulid()), 'Press Room, wider returns');
        foreach ($plan->lines as $line) {
            if (str_starts_with($line->name, 'Return')) {
                $line->update([
                    'bore_mm' => $line->bore_mm > 50 ? 75 : 57,
                    'cost' => round(6.4 * $line->length_m + 12),
                ]);
            }
        }
    }

    /** Fish that lived here, and were sold. */
    private function gone(
        System $system,
        string $name,
        int $count,
        float $length,
        int $arrived,
        int $sold,
        int $position,
    ): void {
        $system->fish()->create([
            'site_id' => $system->site_id,
            'name' => $name,
            'count' => 0,
            'length_cm' => $length,
            'condition' => 1.5,
            'arrived_on' => Carbon::now()->subDays($arrived)->toDateString(),
            'position' => $position,
        ]);
        FishEvent::query()->create([
            'site_id' => $system->site_id,
            'kind' => 'sold',
            'from_system_id' => $system->id,
            'group_name' => $name,
            'count' => $count,
            'mean_weight_g' => Condition::weight($length),
            'happened_on' => Carbon::now()->subDays($sold)->toDateString(),
            'reason' => 'sold to a yard up the valley',
        ]);
    }

    /**
     * Media that were moved from one system of the yard to another.
     *
     * @param  array<string, mixed>  $plan
     */
    private function moved(Site $site, array $plan, User $user): void
    {
        [$from, $litres, $ago] = $plan['seed'];
        $system = System::query()->where('site_id', $site->id)->where('name', $plan['name'])->firstOrFail();
        $this->seeds->book(
            strtoupper((string) Str::ulid()),
            $system,
            $user,
            new PlannedSeed(
                kind: SeedKind::OwnMedia,
                litres: (float) $litres,
                medium: null,
                from: $from,
                fromStage: null,
                donor: 'clean',
                madeUp: true,
                on: Carbon::now()->subDays($ago)->toDateString(),
            ),
        );
    }

    /**
     * Waters and kits of the yard.
     *
     * @return array<string, string> keys of the waters, by what stories call them
     */
    private function shelf(Site $site, User $owner): array
    {
        $reading = static fn(Parameter $parameter, string $typed): array => [
            'typed' => $typed,
            'unit' => ($parameter->units()[0] ?? null)?->value,
            'value' => TypedReading::read($parameter, $typed, null)->value,
        ];
        $keys = [];
        foreach (
            [
                'borehole' => [
                    'Borehole',
                    'well',
                    null,
                    false,
                    [
                        [Parameter::Nitrate, '14'],
                        [Parameter::Alkalinity, '11'],
                        [Parameter::Hardness, '16'],
                        [Parameter::Chlorine, '0'],
                        [Parameter::Ph, '7.4'],
                        [Parameter::Temperature, '11'],
                    ],
                ],
                'mains' => [
                    'Mains tap',
                    'tap',
                    'the carbon train',
                    true,
                    [
                        [Parameter::Nitrate, '22'],
                        [Parameter::Alkalinity, '9'],
                        [Parameter::Hardness, '14'],
                        [Parameter::Chlorine, '.6'],
                        [Parameter::Ph, '7.6'],
                    ],
                ],
                'ro' => [
                    'RO unit',
                    'ro',
                    null,
                    false,
                    [
                        [Parameter::Nitrate, '1'],
                        [Parameter::Alkalinity, '0'],
                        [Parameter::Hardness, '0'],
                        [Parameter::Temperature, '14'],
                    ],
                ],
                'blend' => [
                    'Blend, 3 RO to 1 borehole',
                    'blend',
                    null,
                    false,
                    [
                        [Parameter::Nitrate, '4.2'],
                        [Parameter::Alkalinity, '3'],
                        [Parameter::Hardness, '4'],
                        [Parameter::Ph, '7.2'],
                        [Parameter::Temperature, '13'],
                    ],
                ],
                'half RO' => [
                    'Half RO, half borehole',
                    'blend',
                    null,
                    false,
                    [
                        [Parameter::Nitrate, '7.5'],
                        [Parameter::Alkalinity, '5.5'],
                        [Parameter::Hardness, '8'],
                        [Parameter::Ph, '7.3'],
                        [Parameter::Temperature, '20'],
                    ],
                ],
            ]
            as $key => [$name, $kind, $unit, $chloramine, $readings]
        ) {
            $water = WaterSource::query()->create([
                'site_id' => $site->id,
                'name' => $name,
                'kind' => $kind,
                'unit_name' => $unit,
                'unit_carbon_l' => $unit === null ? null : 40,
                'position' => count($keys),
            ]);
            $keys[$key] = $water->id;
            $water->tests()->create([
                'site_id' => $site->id,
                'user_id' => $owner->id,
                'side' => 'raw',
                'tested_on' => Carbon::now()->subDays(18)->toDateString(),
                'chloramine' => $chloramine,
                'readings' => array_column(
                    array_map(static fn(array $row): array => [$row[0]->value, $reading($row[0], $row[1])], $readings),
                    1,
                    0,
                ),
            ]);
        }
        foreach (
            [
                [
                    'Ammonia drops',
                    'drops',
                    Parameter::Ammonia,
                    'mg_l_n',
                    [0, 0.05, 0.1, 0.15, 0.25, 0.5, 1, 2, 4, 8],
                    null,
                    60,
                ],
                [
                    'Nitrate drops',
                    'drops',
                    Parameter::Nitrate,
                    'mg_l_no3',
                    [0, 5, 10, 15, 20, 25, 40, 80, 160],
                    null,
                    25,
                ],
                ['KH drops', 'drops', Parameter::Alkalinity, 'dkh', [], 0.5, 80],
                ['pH probe', 'probe', Parameter::Ph, null, [], 0.1, null],
            ]
            as [$name, $kind, $parameter, $unit, $steps, $resolution, $left]
        ) {
            Kit::query()->create([
                'site_id' => $site->id,
                'name' => $name,
                'kind' => $kind,
                'parameter' => $parameter->value,
                'unit' => $unit,
                'steps' => $steps,
                'resolution' => $resolution,
                'tests_left' => $left,
                'expires_on' => $left === null ? null : Carbon::now()->addDays(160)->toDateString(),
                'in_use' => true,
            ]);
        }

        $day = static fn(int $days): string => Carbon::now()->addDays($days)->toDateString();
        foreach (
            [
                [
                    'conditioner',
                    'Water conditioner, blue can',
                    [
                        'label' => ['label_ml' => 10.0, 'label_treats_l' => 200.0, 'label_chlorine_mg_l' => 1.0],
                        'cap_ml' => 25.0,
                        'amount' => 1650,
                        'opened_on' => $day(-70),
                        'lot' => 'B14',
                    ],
                ],
                [
                    'binder',
                    'Ammonia binder, 5 L can',
                    [
                        'label' => ['label_ml' => 20.0, 'label_treats_l' => 400.0, 'label_binds_mg_l' => 1.0],
                        'cap_ml' => 30.0,
                        'amount' => 3400,
                        'opened_on' => $day(-63),
                        'lot' => '0771',
                    ],
                ],
                ['salt', 'Pond salt, sacks', ['unit' => 'g', 'amount' => 50000, 'expires_on' => null]],
                [
                    'bicarbonate',
                    'Sodium bicarbonate, tub',
                    [
                        'unit' => 'g',
                        'amount' => 4200,
                        'opened_on' => $day(-120),
                        'expires_on' => null,
                    ],
                ],
                [
                    'praziquantel',
                    'Praziquantel, jar',
                    [
                        'unit' => 'g',
                        'amount' => 40,
                        'opened_on' => $day(-9),
                        'lot' => 'P-22',
                        'expires_on' => $day(420),
                    ],
                ],
                [
                    'hydrogen_peroxide',
                    'Peroxide, 12 %',
                    [
                        'unit' => 'g',
                        'amount' => 900,
                        'strength_pct' => 12,
                        'expires_on' => $day(-30),
                    ],
                ],
                ['battery_air', 'Battery air pump', ['unit' => 'pieces', 'amount' => 1, 'expires_on' => null]],
            ]
            as [$kind, $name, $more]
        ) {
            Good::query()->create([
                'site_id' => $site->id,
                'kind' => $kind,
                'name' => $name,
                'label' => [],
                'expires_on' => $day(300),
                ...$more,
            ]);
        }

        return $keys;
    }
}
