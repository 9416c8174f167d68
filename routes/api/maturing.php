<?php

declare(strict_types=1);

use App\Maturing\MaturingController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/maturing', [MaturingController::class, '__invoke']);
});
