<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\LayBuild;
use App\Models\Feed;
use App\Models\Kit;
use App\Models\Note;
use App\Models\Role;
use App\Models\Site;
use App\Models\System;
use App\Models\User;
use App\Models\WaterSource;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\TypedReading;

/** The invented demo: Sallow Yard, its three people and six systems, with some weeks of readings ending now. */
final class DemoSeeder extends Seeder
{
    private const PASSWORD = 'yarrow-42';

    private const PEOPLE = [
        ['name' => 'Maren', 'email' => 'maren@sallow.example', 'role' => 'owner', 'says' => 'owner'],
        ['name' => 'Tobias', 'email' => 'tobias@sallow.example', 'role' => 'helper', 'says' => 'helper, logs and services'],
        ['name' => 'Ines', 'email' => 'ines@sallow.example', 'role' => 'reader', 'says' => 'visiting vet, reads only'],
    ];

    /** @return list<array{email: string, password: string, who: string}> */
    public static function logins(): array
    {
        return array_map(static fn (array $person): array => [
            'email' => $person['email'], 'password' => self::PASSWORD, 'who' => "{$person['name']}, {$person['says']}",
        ], self::PEOPLE);
    }

    /** Loads the demo into an empty book, and leaves any other book alone. */
    public function run(): void
    {
        if (Site::query()->exists()) {
            return;
        }
        DB::transaction(function (): void {
            mt_srand(20260531);
            $site = Site::query()->create(['name' => 'Sallow Yard', 'timezone' => 'Europe/London', 'altitude_m' => 85, 'is_demo' => true, 'price_per_kwh' => 0.31]);
            $hash = Hash::make(self::PASSWORD);
            $people = array_map(static fn (array $person): User => User::query()->create([
                'site_id' => $site->id, 'name' => $person['name'], 'email' => $person['email'], 'role' => Role::from($person['role']), 'password' => $hash,
            ]), self::PEOPLE);
            $well = $this->shelf($site, $people[0]);
            foreach (DemoSystems::all() as $position => $plan) {
                $this->system($site, $plan, $position, $people, $well);
            }
        });
    }

    /**
     * @param  array<string, mixed>  $plan
     * @param  list<User>  $people
     */
    private function system(Site $site, array $plan, int $position, array $people, string $water): void
    {
        $system = System::query()->create([
            'site_id' => $site->id, 'slug' => Str::slug($plan['name']), 'name' => $plan['name'], 'kind' => $plan['kind'],
            'life_stage' => $plan['life_stage'], 'position' => $position, 'water_id' => $water,
        ]);
        $own = ['site_id' => $site->id];
        (new LayBuild)->lay($system, ['vessels' => $plan['vessels'], 'stages' => $plan['stages'], ...DemoPlumbing::of($plan['name'])]);
        foreach ($plan['fish'] as $i => $group) {
            $system->fish()->create([...$own, 'condition' => 1.5, ...$group, 'position' => $i]);
        }
        if ($plan['feed_g_d'] > 0) {
            $system->feedFigures()->create([...$own, 'user_id' => $people[0]->id, 'since' => Carbon::now()->subDays(24)->toDateString(), 'feed_g_d' => $plan['feed_g_d'], 'protein_pct' => 38]);
        }
        $this->readings($system, $plan, $people);
        $this->feeds($system, (float) $plan['feed_g_d'], $people);
        foreach ($plan['notes'] ?? [] as [$daysAgo, $seen, $words]) {
            $system->hasMany(Note::class)->create([...$own, 'user_id' => $people[1]->id, 'taken_at' => Carbon::now()->subDays($daysAgo)->setTime(8, 20), 'seen' => $seen, 'words' => $words]);
        }
    }

    /** Waters and kits of the yard; the key of its borehole. */
    private function shelf(Site $site, User $owner): string
    {
        $reading = static fn (Parameter $parameter, string $typed): array => ['typed' => $typed, 'unit' => ($parameter->units()[0] ?? null)?->value, 'value' => TypedReading::read($parameter, $typed, null)->value];
        $well = null;
        foreach ([
            ['Borehole', 'well', null, false, [[Parameter::Nitrate, '14'], [Parameter::Alkalinity, '11'], [Parameter::Hardness, '16'], [Parameter::Chlorine, '0'], [Parameter::Ph, '7.4'], [Parameter::Temperature, '11']]],
            ['Mains tap', 'tap', 'the carbon train', true, [[Parameter::Nitrate, '22'], [Parameter::Alkalinity, '9'], [Parameter::Hardness, '14'], [Parameter::Chlorine, '.6'], [Parameter::Ph, '7.6']]],
            ['RO unit', 'ro', null, false, [[Parameter::Nitrate, '1'], [Parameter::Alkalinity, '0'], [Parameter::Hardness, '0']]],
        ] as $i => [$name, $kind, $unit, $chloramine, $readings]) {
            $water = WaterSource::query()->create(['site_id' => $site->id, 'name' => $name, 'kind' => $kind, 'unit_name' => $unit, 'position' => $i]);
            $well ??= $water->id;
            $water->tests()->create(['site_id' => $site->id, 'user_id' => $owner->id, 'side' => 'raw', 'tested_on' => Carbon::now()->subDays(18)->toDateString(), 'chloramine' => $chloramine,
                'readings' => array_column(array_map(static fn (array $row): array => [$row[0]->value, $reading($row[0], $row[1])], $readings), 1, 0)]);
        }
        foreach ([
            ['Ammonia drops', 'drops', Parameter::Ammonia, 'mg_l_n', [0, 0.05, 0.1, 0.15, 0.25, 0.5, 1, 2, 4, 8], null, 60], ['Nitrate drops', 'drops', Parameter::Nitrate, 'mg_l_no3', [0, 5, 10, 15, 20, 25, 40, 80, 160], null, 25],
            ['KH drops', 'drops', Parameter::Alkalinity, 'dkh', [], 0.5, 80], ['pH probe', 'probe', Parameter::Ph, null, [], 0.1, null],
        ] as [$name, $kind, $parameter, $unit, $steps, $resolution, $left]) {
            Kit::query()->create(['site_id' => $site->id, 'name' => $name, 'kind' => $kind, 'parameter' => $parameter->value, 'unit' => $unit, 'steps' => $steps, 'resolution' => $resolution, 'tests_left' => $left, 'expires_on' => $left === null ? null : Carbon::now()->addDays(160)->toDateString(), 'in_use' => true]);
        }

        return (string) $well;
    }

    /**
     * Two weeks of feeds about the plan, the fish slower on a cool morning.
     *
     * @param  list<User>  $people
     */
    private function feeds(System $system, float $planned, array $people): void
    {
        for ($day = 13; $planned > 0 && $day >= 0; $day--) {
            $system->hasMany(Feed::class)->create([
                'site_id' => $system->site_id, 'user_id' => $people[mt_rand(0, 1)]->id, 'fed_at' => Carbon::now()->subDays($day)->subMinutes(mt_rand(60, 200)),
                'feed_g' => round($planned * mt_rand(85, 110) / 100, $planned < 20 ? 1 : -1), 'came_up' => mt_rand(0, 6) === 0 ? 'slowly' : 'yes', 'left_some' => mt_rand(0, 9) === 0,
            ]);
        }
    }

    /**
     * @param  array<string, mixed>  $plan
     * @param  list<User>  $people
     */
    private function readings(System $system, array $plan, array $people): void
    {
        $kits = Kit::inUse($system->site);
        foreach ($plan['days'] as $daysAgo) {
            $at = Carbon::now()->subDays($daysAgo)->subMinutes(40 + mt_rand(0, 90));
            $visit = $system->visits()->create([
                'site_id' => $system->site_id, 'user_id' => $people[mt_rand(0, 1)]->id, 'taken_at' => $at, 'booked_at' => $at,
            ]);
            $rows = [];
            foreach ($plan['course'] as $key => [$then, $now, $decimals, $step]) {
                $parameter = Parameter::from($key);
                $course = $then + ($now - $then) * (1 - $daysAgo / max($plan['days']));
                $value = max(0.0, $course + $step * (mt_rand(-100, 100) / 100));
                $typed = number_format($step > 0 ? round($value / $step) * $step : $value, $decimals, '.', '');
                $unit = ($parameter->units()[0] ?? null)?->value;
                $kit = $kits[$key] ?? null;
                $reading = TypedReading::read($parameter, $typed, $unit, $kit !== null && $kit->unit === $unit ? $kit->judge() : null);
                $rows[] = [
                    'site_id' => $system->site_id, 'system_id' => $system->id, 'visit_id' => $visit->id, 'parameter' => $key, 'typed' => $typed, 'unit' => $unit,
                    'value' => $reading->value, 'low' => $reading->interval->low, 'high' => $reading->interval->high, 'taken_at' => $at,
                ];
            }
            DB::table('readings')->insert($rows);
        }
    }
}
