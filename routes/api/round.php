<?php

declare(strict_types=1);

use App\Http\Writing;
use App\Round\RoundController;
use App\Round\TimerController;
use App\Round\WalkController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('timers', [TimerController::class, '__invoke']);
    Route::get('round', [RoundController::class, '__invoke']);
    Route::get('rounds', [WalkController::class, 'show']);

    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('walk', [RoundController::class, 'walk']);
        Route::put('rounds/{id}', [WalkController::class, 'begin'])->whereUlid('id');
        Route::put('rounds/{id}/pass', [WalkController::class, 'pass'])->whereUlid('id');
        Route::put('rounds/{id}/end', [WalkController::class, 'finish'])->whereUlid('id');
    });
    Route::middleware(['can:write', Writing::WITH_SITE])->group(function (): void {
        Route::put('systems/{system}/skips/{round}', [WalkController::class, 'skip'])->whereUlid('round');
        Route::delete('systems/{system}/skips/{round}', [WalkController::class, 'unskip'])->whereUlid('round');
    });
});
