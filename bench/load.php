<?php

declare(strict_types=1);

/*
 * Every page of the first site in a book: the median of 15 answers, how many times as long as health takes, and how
 * many queries it made. Reads only.
 *
 *     DATABASE_URL=postgresql://… php bench/load.php [SYSTEM]
 */

use App\Models\System;
use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

require __DIR__ . '/../vendor/autoload.php';
putenv('APP_KEY=' . (getenv('APP_KEY') ?: 'base64:aXJvbndvcnQtdGVzdC1rZXktMzItYnl0ZXMtbG9uZyE='));
putenv('LOG_REQUESTS=');
$app = require __DIR__ . '/../bootstrap/app.php';
$kernel = $app->make(Kernel::class);
$kernel->bootstrap();
$app->instance('request', Request::create('/'));

const TIMES = 15;

$user = User::query()->firstOrFail();
Auth::setUser($user);
$slug = $argv[1] ?? System::query()->where('site_id', $user->site_id)->firstOrFail()->slug;
$pages = ['health', 'round', 'systems', 'timers', 'shelf'];
foreach (
    ['', '/running', '/book', '/capacity', '/filter', '/maturing', '/fish', '/limits', '/water', '/dose', '/plumbing']
    as $page
) {
    $pages[] = "systems/{$slug}{$page}";
}
$health = null;
foreach ([...$pages, "systems/{$slug}/trouble"] as $page) {
    $taken = [];
    for ($i = 0; $i < TIMES; $i++) {
        DB::flushQueryLog();
        // What is shared by a request is made anew for each, as where each has a process of its own.
        $app->forgetScopedInstances();
        DB::enableQueryLog();
        $begun = hrtime(true);
        $answer = $kernel->handle(
            Request::create("/api/{$page}", 'GET', server: ['HTTP_ACCEPT' => 'application/json']),
        );
        $taken[] = (hrtime(true) - $begun) / 1e6;
        $queries = count(DB::getQueryLog());
    }
    sort($taken);
    $median = $taken[intdiv(TIMES, 2)];
    $health ??= $median;
    printf(
        "%-36s %6.1f ms %5.1f × health %4d queries %d\n",
        $page,
        $median,
        $median / $health,
        $queries,
        $answer->getStatusCode(),
    );
}
