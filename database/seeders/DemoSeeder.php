<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\LayBuild;
use App\Models\Feed;
use App\Models\Role;
use App\Models\Site;
use App\Models\System;
use App\Models\User;
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
            foreach (DemoSystems::all() as $position => $plan) {
                $this->system($site, $plan, $position, $people);
            }
        });
    }

    /**
     * @param  array<string, mixed>  $plan
     * @param  list<User>  $people
     */
    private function system(Site $site, array $plan, int $position, array $people): void
    {
        $system = System::query()->create([
            'site_id' => $site->id, 'slug' => Str::slug($plan['name']), 'name' => $plan['name'], 'kind' => $plan['kind'],
            'life_stage' => $plan['life_stage'], 'position' => $position,
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
                $reading = TypedReading::read($parameter, $typed, $unit);
                $rows[] = [
                    'site_id' => $system->site_id, 'system_id' => $system->id, 'visit_id' => $visit->id, 'parameter' => $key, 'typed' => $typed, 'unit' => $unit,
                    'value' => $reading->value, 'low' => $reading->interval->low, 'high' => $reading->interval->high, 'taken_at' => $at,
                ];
            }
            DB::table('readings')->insert($rows);
        }
    }
}
