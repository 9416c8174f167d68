<?php

declare(strict_types=1);

use App\Http\Writing;
use App\Round\RoundController;
use App\Round\TimerController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('timers', [TimerController::class, '__invoke']);
    Route::get('round', [RoundController::class, '__invoke']);
    Route::put('walk', [RoundController::class, 'walk'])->middleware(['can:write', Writing::class]);
});
