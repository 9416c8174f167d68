<?php

declare(strict_types=1);

use App\Book\LogCommand;
use App\Dosing\DoseCommand;
use App\Http\AnswersInUnits;
use App\Http\ErrorAnswers;
use App\Http\MadeAt;
use App\Http\PlainHeaders;
use App\Http\ReadableText;
use App\Http\RequestLog;
use App\Operation\DemoCommand;
use App\Operation\FaultsCommand;
use App\Operation\WelcomeCommand;
use App\Providers\AsksAhead;
use App\Providers\ReadsOnce;
use App\Site\PersonCommand;
use App\Transfer\BackupCommand;
use App\Transfer\ExportCommand;
use App\Transfer\RestoreCommand;
use Illuminate\Console\Scheduling\Schedule;
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
        BackupCommand::class,
        DemoCommand::class,
        DoseCommand::class,
        ExportCommand::class,
        FaultsCommand::class,
        LogCommand::class,
        PersonCommand::class,
        RestoreCommand::class,
        WelcomeCommand::class,
    ])
    ->withSchedule(function (Schedule $schedule): void {
        // Looked at often, so that a machine that slept through the night is backed up when it wakes.
        $schedule->command('ironwort:backup --due')->everyTenMinutes();
    })
    ->withMiddleware(function (Middleware $middleware): void {
        // One origin serves pages and data, so there is nothing to share across origins.
        $middleware->remove(HandleCors::class);
        $middleware->trustProxies(at: array_filter(explode(',', (string) getenv('TRUSTED_PROXIES'))));
        $middleware->prepend(RequestLog::class);
        $middleware->append(PlainHeaders::class);
        $middleware->append(ReadsOnce::class);
        $middleware->append(ReadableText::class);
        $middleware->web(append: [MadeAt::class, AnswersInUnits::class, AsksAhead::class]);
        $middleware->redirectGuestsTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        ErrorAnswers::register($exceptions);
    })
    ->create();

// All that is written at run time lives under var/, so that the code itself can stay read-only.
$var = getenv('IRONWORT_VAR') ?: $app->basePath('var');
$app->useEnvironmentPath($var);
$app->useStoragePath("{$var}/storage");

return $app;
