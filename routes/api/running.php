<?php

declare(strict_types=1);

use App\Http\ClientKey;
use App\Http\Writing;
use App\Models\Switching;
use App\Running\RunningController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/running', [RunningController::class, 'show']);

    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('systems/{system}/switchings/{id}', [RunningController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Switching::class));
        Route::delete('systems/{system}/switchings/{id}', [RunningController::class, 'remove'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Switching::class));
    });
});
