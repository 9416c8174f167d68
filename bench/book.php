<?php

declare(strict_types=1);

/*
 * The pages of the book over a long history: 24 systems, ten years of tests twice a week, two years of
 * five-minute probes on six of them. Needs an empty database with the schema, and leaves nothing in it.
 *
 *     DATABASE_URL=postgresql://… php bench/book.php [--import]
 */

use App\Book\ReadingsCsv;
use App\Models\Role;
use App\Models\Site;
use App\Models\System;
use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

require __DIR__ . '/../vendor/autoload.php';
putenv('APP_KEY=' . (getenv('APP_KEY') ?: 'base64:aXJvbndvcnQtdGVzdC1rZXktMzItYnl0ZXMtbG9uZyE='));
ini_set('memory_limit', '2G');
$app = require __DIR__ . '/../bootstrap/app.php';
$kernel = $app->make(Kernel::class);
$kernel->bootstrap();

DB::beginTransaction();
mt_srand(11);
$site = Site::query()->create(['name' => 'Bench', 'timezone' => 'Europe/London', 'altitude_m' => 0]);
$user = User::query()->create([
    'site_id' => $site->id,
    'name' => 'Bench',
    'email' => 'bench@bench.example',
    'role' => Role::Owner,
    'password' => 'a long password',
]);
for ($i = 0; $i < 24; $i++) {
    $system = System::query()->create([
        'site_id' => $site->id,
        'name' => "Bench {$i}",
        'slug' => "bench-{$i}",
        'kind' => 'holding',
        'life_stage' => 'adult',
    ]);
    $system->vessels()->create([
        'site_id' => $site->id,
        'name' => 'Bay',
        'kind' => 'bay',
        'shape' => 'box',
        'measures' => ['length_m' => 4, 'width_m' => 2, 'depth_m' => 1],
        'freeboard_m' => 0,
        'displaced_l' => 0,
    ]);
    DB::statement(
        <<<'SQL'
        WITH v AS (
            INSERT INTO visits (id, site_id, system_id, user_id, taken_at, booked_at)
            SELECT upper(substr(md5(? || g::text), 1, 26)), ?, ?, ?, now() - g * interval '3.5 days', now()
            FROM generate_series(1, 1043) g RETURNING id, site_id, system_id, taken_at
        )
        INSERT INTO readings (site_id, system_id, visit_id, parameter, typed, value, low, high, taken_at)
        SELECT v.site_id, v.system_id, v.id, p.key, '', p.base * (0.8 + 0.4 * random()), p.base * 0.75,
            p.base * 1.25, v.taken_at
        FROM v CROSS JOIN (VALUES ('tan_mg_l', 0.1), ('no2_n_mg_l', 0.05), ('no3_n_mg_l', 5), ('ph', 7.6),
            ('temp_c', 16), ('do_mg_l', 8), ('alkalinity_mg_l', 90)) AS p (key, base)
        SQL
        ,
        [$system->id, $site->id, $system->id, $user->id],
    );
    if ($i < 6) {
        DB::statement(
            'INSERT INTO probe_readings SELECT ?, p.key, g, p.base + random() FROM ' .
                "generate_series(date_trunc('hour', now()) - interval '730 days', now(), interval '5 " .
                "minutes') g CROSS JOIN (VALUES ('temp_c', 16), ('do_mg_l', 8), ('ph', 7.5)) AS p " .
                '(key, base)',
            [$system->id],
        );
        DB::statement(
            'INSERT INTO probe_sums SELECT system_id, parameter, w, date_trunc(w, taken_at, ' .
                "'UTC'), count(*), sum(value), min(value), max(value) FROM probe_readings CROSS JOIN " .
                "(VALUES ('hour'), ('day')) AS s (w) WHERE system_id = ? GROUP BY 1, 2, 3, 4",
            [$system->id],
        );
    }
}
DB::statement('ANALYZE readings, visits, probe_readings, probe_sums');
$stored = DB::selectOne('SELECT (SELECT count(*) FROM readings) + (SELECT count(*) FROM probe_readings) AS n');
printf("%s readings stored\n", number_format((int) $stored->n));
$app->instance('request', Request::create('/'));
Auth::setUser($user);

$median = static function (string $uri) use ($kernel): float {
    $times = [];
    for ($i = 0; $i < 15; $i++) {
        $start = hrtime(true);
        $response = $kernel->handle(Request::create($uri, 'GET', server: ['HTTP_ACCEPT' => 'application/json']));
        $times[] = (hrtime(true) - $start) / 1e6;
        if ($response->getStatusCode() !== 200) {
            throw new RuntimeException(
                "{$uri} answered {$response->getStatusCode()}: " . substr((string) $response->getContent(), 0, 300),
            );
        }
    }
    sort($times);

    return $times[7];
};
$ago = static fn(int $days): string => urlencode(now()->subDays($days)->toIso8601ZuluString());
$month = $median("/api/systems/bench-2/score?pixels=900&from={$ago(30)}");
foreach (
    [
        'Book, a year' => "/api/systems/bench-2/score?pixels=900&from={$ago(365)}",
        'Book, ten years' => "/api/systems/bench-2/score?pixels=900&from={$ago(3650)}",
        'entries' => '/api/systems/bench-2/book',
        'System' => '/api/systems/bench-2',
        'Trouble' => '/api/systems/bench-2/trouble?seen=gasping',
        'all systems' => '/api/systems',
        'Round' => '/api/round',
    ]
    as $name => $uri
) {
    $time = $median($uri);
    printf("%-16s median %6.1f ms, %.2f times the book of one month (%.1f ms)\n", $name, $time, $time / $month, $month);
}
if (in_array('--import', $argv, true)) {
    $target = System::query()
        ->create([
            'site_id' => $site->id,
            'name' => 'Import',
            'slug' => 'import',
            'kind' => 'holding',
            'life_stage' => 'adult',
        ])
        ->load(['site', 'vessels']);
    $csv = "taken_at,Ammonia [mg/L as N],pH\n";
    for ($i = 0; $i < 100000; $i++) {
        $csv .=
            now()
                ->subMinutes(50 * ($i + 1))
                ->toIso8601ZuluString() .
            ',.' .
            mt_rand(1, 9) .
            ',' .
            (7 + mt_rand(0, 9) / 10) .
            "\n";
    }
    $start = hrtime(true);
    $kept = $app->make(ReadingsCsv::class)->import($target, $user, $csv, null);
    printf(
        "%s rows in, %s readings: %.1f s\n",
        number_format($kept['visits']),
        number_format($kept['readings']),
        (hrtime(true) - $start) / 1e9,
    );
}
DB::rollBack();
