<?php

declare(strict_types=1);

/*
 * A backup and a restore of a book with so many readings of a probe: seconds, and the most memory each took. Needs an
 * empty database with the schema, and leaves nothing in it.
 *
 *     DATABASE_URL=postgresql://… php -d memory_limit=200M bench/backup.php 4000000
 */

use App\Models\Site;
use App\Transfer\ReadBook;
use App\Transfer\RemoveSite;
use App\Transfer\WriteBook;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require __DIR__ . '/../vendor/autoload.php';
$app = require __DIR__ . '/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$rows = (int) ($argv[1] ?? 100000);
$bench = require __DIR__ . '/site.php';
[$site, , $system] = $bench();
DB::statement(
    'INSERT INTO probe_readings (system_id, parameter, taken_at, value) ' .
        "SELECT ?, 'temp_c', now() - g * interval '1 minute', 15 + random() FROM generate_series(1, ?) g",
    [$system->id, $rows],
);
$file = sys_get_temp_dir() . '/bench-' . bin2hex(random_bytes(4)) . '.zip';
$told = [];
$measured = static function (string $name, Closure $do) use (&$told): void {
    memory_reset_peak_usage();
    $begun = hrtime(true);
    $do();
    $told["{$name}_s"] = (hrtime(true) - $begun) / 1e9;
    $told["{$name}_mb"] = memory_get_peak_usage(true) / 1048576;
};
try {
    $sites = Site::query()->whereKey($site->id)->get()->toBase();
    $measured('write', static fn() => app(WriteBook::class)->write($sites, $file, secrets: true));
    (new RemoveSite())->remove($site);
    $measured('read', static fn() => app(ReadBook::class)->read($file, beside: false));
    $told['rows'] = DB::table('probe_readings')->count();
} finally {
    Site::query()->get()->each(static fn(Site $one) => (new RemoveSite())->remove($one));
    @unlink($file);
}
echo json_encode($told), "\n";
