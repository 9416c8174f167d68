<?php

declare(strict_types=1);

use App\Book\LogCommand;
use App\Dosing\DoseCommand;
use App\Http\ErrorAnswers;
use App\Http\PlainHeaders;
use App\Site\DemoLoginsCommand;
use App\Site\PersonCommand;
use App\Transfer\ExportCommand;
use App\Transfer\ImportCommand;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Support\Facades\Route;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        using: function (): void {
            foreach (glob(base_path('routes/api/*.php')) ?: [] as $subject) {
                Route::middleware('web')->prefix('api')->group($subject);
            }
            Route::middleware('web')->group(base_path('routes/web.php'));
        },
    )
    ->withCommands([
        DemoLoginsCommand::class,
        DoseCommand::class,
        ExportCommand::class,
        ImportCommand::class,
        LogCommand::class,
        PersonCommand::class,
    ])
    ->withMiddleware(function (Middleware $middleware): void {
        // One origin serves pages and data, so there is nothing to share across origins.
        $middleware->remove(HandleCors::class);
        $middleware->trustProxies(at: array_filter(explode(',', (string) getenv('TRUSTED_PROXIES'))));
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
