<?php

declare(strict_types=1);

use App\Operation\FirstOwnerController;
use App\Operation\HealthController;
use Illuminate\Support\Facades\Route;

Route::get('health', [HealthController::class, '__invoke'])->withoutMiddleware('web');

Route::get('first-owner', [FirstOwnerController::class, 'show']);
Route::post('first-owner', [FirstOwnerController::class, 'store']);
