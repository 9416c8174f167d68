<?php

declare(strict_types=1);

use App\Trouble\TroubleController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/trouble', [TroubleController::class, '__invoke']);
});
