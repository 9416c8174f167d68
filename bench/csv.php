<?php

declare(strict_types=1);

/*
 * An import of so many rows of eight readings, and once more when all of it is known: seconds, and the most memory it
 * took. Needs an empty database with the schema, and leaves nothing in it.
 *
 *     DATABASE_URL=postgresql://… php -d memory_limit=192M bench/csv.php 200000
 */

use App\Book\ReadingsCsv;
use App\Transfer\RemoveSite;
use Illuminate\Contracts\Console\Kernel;

require __DIR__ . '/../vendor/autoload.php';
$app = require __DIR__ . '/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$rows = (int) ($argv[1] ?? 10000);
$bench = require __DIR__ . '/site.php';
[$site, $user, $system] = $bench();
$head = "time,ammonia,nitrite,nitrate,ph,temperature,oxygen,kh,gh\n";
$at = strtotime('2026-01-01T00:00:00Z') - 60 * $rows;
$text = static function () use ($head, $at, $rows): string {
    $text = $head;
    for ($i = 0; $i < $rows; $i++) {
        $text .= gmdate('Y-m-d\TH:i:s\Z', $at + 60 * $i) . ',.1,.05,' . $i % 40 . ',7.' . $i % 9 . ",18.5,8.1,6,9\n";
    }

    return $text;
};
try {
    $system->load(['vessels', 'site']);
    $begun = hrtime(true);
    $kept = app(ReadingsCsv::class)->import($system, $user, $text(), null);
    $seconds = (hrtime(true) - $begun) / 1e9;
    $again = app(ReadingsCsv::class)->import($system, $user, $text(), null);
    $told = [...$kept, 'known' => $again['known'], 's' => $seconds, 'mb' => memory_get_peak_usage(true) / 1048576];
} finally {
    (new RemoveSite())->remove($site);
}
echo json_encode($told), "\n";
