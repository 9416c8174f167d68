<?php

declare(strict_types=1);

use App\Http\ClientKey;
use App\Http\Writing;
use App\Models\VolumeMeasure;
use App\Volumes\VolumeController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/volumes', [VolumeController::class, 'show']);

    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('systems/{system}/volumes/{id}', [VolumeController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(VolumeMeasure::class));
        Route::post('systems/{system}/volumes/choice', [VolumeController::class, 'choose']);
    });
});
