<?php

declare(strict_types=1);

// Makes docs/reliability.md of the figures that bin/test faults left in var/faults.jsonl: the last of each.

$root = dirname(__DIR__, 2);
$rows = [];
foreach (file("{$root}/var/faults.jsonl", FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
    /** @var array{string, string, string} $row */
    $row = json_decode($line, true, 512, JSON_THROW_ON_ERROR);
    $rows[$row[0]] = $row;
}
$table = implode("\n", array_map(static fn(array $row): string => '| ' . implode(' | ', $row) . ' |', $rows));
file_put_contents(
    "{$root}/docs/reliability.md",
    <<<MD
    # What it stands

    Each figure was measured by `bin/test faults`, on servers of its own that are killed, cut off and flooded while it
    runs; the tests fail when a figure is no longer so. `FULL=1 bin/test faults` runs the whole of what is sampled, and
    `php tests/Faults/table.php` makes this page of the last run.

    | what | figure | how it was measured |
    | --- | --- | --- |
    {$table}

    Besides, in other suites:

    | what | where |
    | --- | --- |
    | No hostile request ends in a fault of ours (1,500, in full 10,000, seeded) | `tests/Feature/AnyRequestTest.php` |
    | Two people at the same instant never book what one alone could not | `tests/Writing` |
    | A sealed backup that was changed or cut does not open | `tests/Feature/BackupTest.php` |
    | Nobody writes into a site of others, on any route | `tests/Feature/WhoMayWriteTest.php` |
    | The hour that a clock change leaves out or doubles is asked about | `tests/Feature/ClockChangeTest.php` |

    MD
    ,
);
