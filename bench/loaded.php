<?php

declare(strict_types=1);

/*
 * How many files of app and core are loaded to answer one request, of those a keeper makes most. Needs a database with
 * the demo in it; what it books is rolled back.
 *
 *     DATABASE_URL=postgresql://… php bench/loaded.php            the figures of each request
 *     DATABASE_URL=postgresql://… php bench/loaded.php log-ph     the files of one
 */

use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

$root = dirname(__DIR__);
$requests = [
    'log-ph' => ['POST', '/api/systems/press-room/log', ['line' => 'ph 7.8', 'id' => null], 201],
    'dose-refused' => ['PUT', '/api/systems/hospital-tub/doses/', ['thing' => 'salt', 'target_g_l' => '2'], 422],
    'capacity' => ['GET', '/api/systems/press-room/capacity', [], 200],
];
if (!isset($argv[1])) {
    foreach (array_keys($requests) as $name) {
        $files = array_filter(explode("\n", (string) shell_exec('php ' . escapeshellarg(__FILE__) . " {$name}")));
        printf("%-14s %d project files\n", $name, count($files));
    }
    exit();
}

require $root . '/vendor/autoload.php';
putenv('APP_KEY=' . (getenv('APP_KEY') ?: 'base64:aXJvbndvcnQtdGVzdC1rZXktMzItYnl0ZXMtbG9uZyE='));
$app = require $root . '/bootstrap/app.php';
$kernel = $app->make(Kernel::class);
$kernel->bootstrap();
[$method, $uri, $data, $status] = $requests[$argv[1]];
$id = strtoupper((string) Str::ulid());
$uri = str_ends_with($uri, '/') ? $uri . $id : $uri;
if (array_key_exists('id', $data)) {
    $data['id'] = $id;
}
DB::beginTransaction();
$app->instance('request', Request::create('/'));
Auth::setUser(User::query()->where('role', 'owner')->firstOrFail());
$app->bind(
    Illuminate\Foundation\Http\Middleware\ValidateCsrfToken::class,
    fn() => new class {
        public function handle($request, $next)
        {
            return $next($request);
        }
    },
);
$request = Request::create($uri, $method, $data, server: ['HTTP_ACCEPT' => 'application/json']);
$response = $kernel->handle($request);
DB::rollBack();
if ($response->getStatusCode() !== $status) {
    fwrite(
        STDERR,
        "{$uri} answered {$response->getStatusCode()}: " . substr((string) $response->getContent(), 0, 300) . "\n",
    );
    exit(1);
}
foreach (get_included_files() as $file) {
    $path = str_replace($root . '/', '', $file);
    if (preg_match('#^(app|core)/#', $path) === 1) {
        echo $path, "\n";
    }
}
