<?php

declare(strict_types=1);

use App\Volumes\VolumeController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/volumes', [VolumeController::class, 'show']);

    Route::middleware('can:write')->group(function (): void {
        Route::put('systems/{system}/volumes/{id}', [VolumeController::class, 'put'])->whereUlid('id');
        Route::post('systems/{system}/volumes/choice', [VolumeController::class, 'choose']);
    });
});
