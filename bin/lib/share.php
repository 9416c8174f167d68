<?php

declare(strict_types=1);

/* What share of the lines are tests: lines with anything on them, of our own code and of its tests. */

$root = dirname(__DIR__, 2);
$lines = ['code' => 0, 'tests' => 0];
$code = ['core', 'app', 'front/src', 'database', 'routes', 'config', 'bootstrap', 'bin', 'bench'];
$folders = [...$code, 'front/testing', 'tests'];
foreach ($folders as $folder) {
    $files = new RecursiveIteratorIterator(
        new RecursiveDirectoryIterator("{$root}/{$folder}", FilesystemIterator::SKIP_DOTS),
    );
    foreach ($files as $file) {
        $path = substr((string) $file, strlen($root) + 1);
        $made = str_contains($path, 'contract.d.ts') || str_contains($path, '/cache/');
        if ($made || preg_match('/\.(php|ts|vue|css|mjs|sh)$|^bin\/\w+$/D', $path) !== 1) {
            continue;
        }
        $tests = preg_match('/^(tests|core\/tests|front\/testing)\/|\.spec\.ts$/', $path) === 1;
        $written = preg_grep('/\S/', file((string) $file) ?: []) ?: [];
        $lines[$tests ? 'tests' : 'code'] += count($written);
    }
}
printf(
    "figure: share of tests: %.1f %% of %s lines (25 to 33 wanted)\n",
    (100 * $lines['tests']) / ($lines['code'] + $lines['tests']),
    number_format($lines['code'] + $lines['tests']),
);
