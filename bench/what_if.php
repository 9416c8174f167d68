<?php

declare(strict_types=1);

/*
 * How long a live what-if of the Capacity page takes at the server, for a system of ten stages, and how
 * that compares with a route that does nothing. Needs a database with the schema; leaves nothing in it.
 *
 *     DATABASE_URL=postgresql://… php bench/what_if.php
 */

use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

require __DIR__ . '/../vendor/autoload.php';
putenv('APP_KEY=' . (getenv('APP_KEY') ?: 'base64:aXJvbndvcnQtdGVzdC1rZXktMzItYnl0ZXMtbG9uZyE='));
$app = require __DIR__ . '/../bootstrap/app.php';
$kernel = $app->make(Kernel::class);
$kernel->bootstrap();

DB::beginTransaction();
$bench = require __DIR__ . '/site.php';
[$site, $user, $system] = $bench();
$own = ['site_id' => $site->id];
$system
    ->vessels()
    ->create([
        ...$own,
        'name' => 'Bay',
        'kind' => 'bay',
        'shape' => 'box',
        'measures' => ['length_m' => 6, 'width_m' => 3, 'depth_m' => 1],
        'freeboard_m' => 0.1,
        'displaced_l' => 0,
    ]);
foreach (
    [
        ['brush', 'brush'],
        ['matting', 'coarse_matting'],
        ['moving_bed', 'small_carrier'],
        ['static_bed', 'floating_bead'],
        ['shower', 'ball'],
    ]
    as $i => [$kind, $medium]
) {
    foreach (['a', 'b'] as $branch) {
        $system
            ->stages()
            ->create([
                ...$own,
                'name' => "{$kind} {$branch}",
                'kind' => $kind,
                'medium' => $medium,
                'media_l' => 150,
                'flow_l_h' => 9000,
                'air_l_min' => 40,
                'branch' => $i < 3 ? null : $branch,
                'position' => 2 * $i,
            ]);
    }
}
$system->pumps()->create([...$own, 'name' => 'Air', 'kind' => 'air', 'air_l_min' => 200, 'power_w' => 150]);
foreach (['Large' => 62, 'Middling' => 48, 'Small' => 30] as $name => $length) {
    $system->fish()->create([...$own, 'name' => $name, 'count' => 12, 'length_cm' => $length, 'condition' => 1.5]);
}
foreach ([60 => 180, 20 => 260] as $days => $feed) {
    $system
        ->feedFigures()
        ->create([...$own, 'since' => now()->subDays($days)->toDateString(), 'feed_g_d' => $feed, 'protein_pct' => 38]);
}
$app->instance('request', Request::create('/'));
Auth::setUser($user);

$time = static function (string $uri, int $status) use ($kernel): float {
    $start = hrtime(true);
    $response = $kernel->handle(Request::create($uri, 'GET', server: ['HTTP_ACCEPT' => 'application/json']));
    $gone = (hrtime(true) - $start) / 1e6;
    if ($response->getStatusCode() !== $status) {
        throw new RuntimeException(
            "{$uri} answered {$response->getStatusCode()}: " . substr((string) $response->getContent(), 0, 300),
        );
    }

    return $gone;
};
$median = static function (array $times): float {
    sort($times);

    return $times[intdiv(count($times), 2)];
};
$empty = $whatIf = [];
for ($i = 0; $i < 40; $i++) {
    $empty[] = $time('/api/health', 200);
    $whatIf[] = $time('/api/systems/bench/capacity?temp_c=' . (14 + $i / 4) . '&fish_more=' . $i % 9, 200);
}
DB::rollBack();
$empty = array_slice($empty, 5);
$whatIf = array_slice($whatIf, 5);
printf(
    'what-if of ten stages: median %.1f ms, slowest %.1f ms; a route that does nothing: median ' .
        "%.1f ms; %.1f times as long\n",
    $median($whatIf),
    max($whatIf),
    $median($empty),
    $median($whatIf) / $median($empty),
);
