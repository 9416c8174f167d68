<?php

declare(strict_types=1);

use App\Http\ErrorAnswers;
use App\Http\Middleware\PlainHeaders;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Support\Facades\Route;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        using: function (): void {
            Route::middleware('web')->prefix('api')->group(base_path('routes/api.php'));
            Route::middleware('web')->group(base_path('routes/web.php'));
        },
        commands: base_path('routes/console.php'),
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // One origin serves pages and data, so there is nothing to share across origins.
        $middleware->remove(HandleCors::class);
        $middleware->trustProxies(at: array_filter(explode(',', (string) env('TRUSTED_PROXIES', ''))));
        $middleware->append(PlainHeaders::class);
        $middleware->redirectGuestsTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        ErrorAnswers::register($exceptions);
    })
    ->create();

// All that is written at run time lives under var/, so that the code itself can stay read-only.
$app->useEnvironmentPath($app->basePath('var'));
$app->useStoragePath($app->basePath('var/storage'));

return $app;
