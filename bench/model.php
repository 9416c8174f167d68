<?php

declare(strict_types=1);

/*
 * How long the moving model takes: a start found again from 30, 90 and 200 readings, a year's run, and the extremes of
 * what may be asked of it.
 *
 *     php bench/model.php
 */

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Catalogue\Registry;

require __DIR__ . '/../vendor/autoload.php';

$registry = Registry::standard(Library::shipped());
$tub = [
    'volume_l' => 4500,
    'grown_mg_l_d' => 25,
    'feed_g_d' => 60,
    'temp_c' => 23,
    'do_mg_l' => 7,
    'ph' => 8.0,
];
$timed = static function (string $what, string $calculator, array $input) use ($registry): void {
    $begun = hrtime(true);
    try {
        $registry->run($calculator, $input);
        $end = 'answered';
    } catch (BadInput $bad) {
        $end = 'refused: ' . implode(' ', $bad->errors);
    }
    printf("%-44s %8.0f ms  %s\n", $what, (hrtime(true) - $begun) / 1e6, $end);
};

$true = $registry->run('model.run', [...$tub, 'days' => 45, 'points_a_day' => 5, 'now' => ['alkalinity_mg_l' => 300]])
    ->figures['series'];
foreach ([30, 90, 200] as $count) {
    $readings = [];
    for ($i = 0; $i < $count; $i++) {
        $point = $true[(int) floor(($i * (count($true) - 1)) / ($count - 1))];
        $readings[] = [
            'day' => $point['day'],
            'tan_low_mg_l' => 0.9 * $point['tan_mg_l'],
            'tan_high_mg_l' => 1.1 * $point['tan_mg_l'] + 0.05,
            'no2_low_mg_l' => 0.9 * $point['no2_n_mg_l'],
            'no2_high_mg_l' => 1.1 * $point['no2_n_mg_l'] + 0.05,
        ];
    }
    $timed("filter.maturation, {$count} readings", 'filter.maturation', [
        ...$tub,
        'then' => ['alkalinity_mg_l' => 300],
        'readings' => $readings,
    ]);
}
$timed('model.run, a year', 'model.run', [...$tub, 'days' => 365, 'now' => ['alkalinity_mg_l' => 1000]]);
foreach ([100, 1000, 10000] as $grown) {
    $timed("model.run, two years, grown full {$grown}", 'model.run', [
        ...$tub,
        'grown_mg_l_d' => $grown,
        'active_ammonia_mg_l_d' => $grown,
        'active_nitrite_mg_l_d' => $grown,
        'days' => 730,
        'points_a_day' => 48,
        'now' => ['alkalinity_mg_l' => 1000, 'tan_mg_l' => 20],
    ]);
}
$timed('model.run, two years, 500 events', 'model.run', [
    ...$tub,
    'days' => 730,
    'points_a_day' => 48,
    'now' => ['alkalinity_mg_l' => 1000],
    'events' => array_map(
        static fn(int $i): array => ['at_d' => 1.4 * $i, 'kind' => 'dose', 'mg_l' => 2.0],
        range(1, 500),
    ),
]);
