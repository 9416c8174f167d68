<?php

declare(strict_types=1);

/*
 * How many of a list of one-line faults the tests see: each is put in by itself, in a copy of the tree under
 * var/strength. For the core the tests of its subject run first, then all of them; for the application those that are
 * named with it, on the database of DATABASE_URL. Prints what was not seen.
 *
 *     bin/test strength              all of tests/Strength/faults.txt
 *     bin/test strength Dose         those in files whose path has this word
 */

const SECONDS = 240;

$root = dirname(__DIR__, 2);
$copy = (getenv('IRONWORT_VAR') ?: "{$root}/var") . '/strength';
$only = $argv[1] ?? '';

/** @return list<array{string, string, string, string}> file, tests, the line as it is, the line with the fault */
$faults = (static function () use ($root): array {
    $file = $was = null;
    $by = '';
    $list = [];
    foreach (file("{$root}/tests/Strength/faults.txt", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
        match (true) {
            $line === '' || $line[0] === '#' => null,
            str_starts_with($line, '- ') => ($was = substr($line, 2)),
            str_starts_with($line, '+ ') => ($list[] = [(string) $file, $by, (string) $was, substr($line, 2)]),
            default => ([$file, $by] = [...explode(' @ ', $line), '']),
        };
    }

    return $list;
})();

$run = static function (string $command): int {
    exec($command . ' 2>&1', $lines, $code);

    return $code;
};
$run('rm -rf ' . escapeshellarg($copy) . ' && mkdir -p ' . escapeshellarg($copy));
$parts = ['core', 'app', 'vendor', 'compat', 'bin', 'api', 'bootstrap', 'config', 'database', 'resources', 'routes'];
foreach ([...$parts, 'public', 'tests', 'artisan', 'composer.json', 'phpunit.xml'] as $part) {
    $run('cp -a ' . escapeshellarg("{$root}/{$part}") . ' ' . escapeshellarg("{$copy}/{$part}"));
}
$tests = static function (string $config, string $filter) use ($run, $copy): bool {
    $by = $filter === '' ? '' : ' --filter ' . escapeshellarg($filter);

    // A loop without an end is a fault that is seen as well: it does not pass.
    return $run(
        'cd ' .
            escapeshellarg($copy) .
            ' && timeout ' .
            SECONDS .
            " vendor/bin/phpunit -c {$config} --stop-on-defect{$by}",
    ) === 0;
};
$core = static fn(string $filter): bool => $tests('core/phpunit.xml', $filter);
if (!$core('')) {
    fwrite(STDERR, "The tests fail without any fault: mend that first.\n");
    exit(2);
}
$seen = $tried = 0;
foreach ($faults as [$file, $by, $was, $is]) {
    if ($only !== '' && !str_contains($file, $only)) {
        continue;
    }
    $path = "{$copy}/{$file}";
    $text = (string) file_get_contents($path);
    if (substr_count($text, $was) !== 1) {
        fwrite(STDERR, "{$file}: this line is not there once any more: {$was}\n");
        exit(2);
    }
    $tried++;
    file_put_contents($path, str_replace($was, $is, $text));
    $subject = explode('/', $file)[2];
    $passes = $by === '' ? $core("\\\\{$subject}\\\\") && $core('') : $tests('phpunit.xml --testsuite feature', $by);
    file_put_contents($path, $text);
    $seen += $passes ? 0 : 1;
    if ($passes) {
        echo "not seen: {$file}\n  - {$was}\n  + {$is}\n";
    }
}
printf("figure: faults seen: %d of %d, %.0f %% (95 wanted)\n", $seen, $tried, (100 * $seen) / max(1, $tried));
exit($tried > 0 && $seen / $tried >= 0.95 ? 0 : 1);
