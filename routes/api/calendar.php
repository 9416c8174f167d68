<?php

declare(strict_types=1);

use App\Calendar\CalendarController;
use Illuminate\Support\Facades\Route;

Route::get('calendar/feed/{key}', [CalendarController::class, 'feed'])->where('key', '[A-Za-z0-9]{40}');
Route::middleware('auth')->group(function (): void {
    Route::get('calendar', [CalendarController::class, 'show']);
    Route::post('calendar/feed', [CalendarController::class, 'open']);
    Route::delete('calendar/feed', [CalendarController::class, 'close']);
});
