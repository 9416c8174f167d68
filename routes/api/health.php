<?php

declare(strict_types=1);

use App\Http\HealthController;
use Illuminate\Support\Facades\Route;

Route::get('health', [HealthController::class, '__invoke'])->withoutMiddleware('web');
