<?php

declare(strict_types=1);

use App\Http\ClientKey;
use App\Http\Writing;
use App\Models\MeterReading;
use App\Models\Trickle;
use App\Models\WaterChange;
use App\Models\WaterSource;
use App\Models\WaterTest;
use App\Water\BlendController;
use App\Water\MeterController;
use App\Water\SourceWaterController;
use App\Water\WaterController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/bench/blend', [BlendController::class, 'blend']);
    Route::get('systems/{system}/water', [WaterController::class, 'show']);

    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('waters/{id}', [SourceWaterController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(WaterSource::class));
        Route::delete('waters/{id}', [SourceWaterController::class, 'remove'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(WaterSource::class));
        Route::put('waters/{water}/tests/{id}', [SourceWaterController::class, 'test'])
            ->whereUlid(['water', 'id'])
            ->middleware(ClientKey::of(WaterTest::class));
        Route::put('systems/{system}/changes/{id}', [WaterController::class, 'book'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(WaterChange::class));
        Route::put('systems/{system}/changes/{id}/flow', [WaterController::class, 'flow'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(WaterChange::class));
        Route::put('systems/{system}/changes/{id}/put-back/{what}', [WaterController::class, 'putIn'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(WaterChange::class));
        Route::delete('systems/{system}/changes/{id}/put-back/{what}', [WaterController::class, 'putOut'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(WaterChange::class));
        Route::put('systems/{system}/trickles/{id}', [WaterController::class, 'open'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Trickle::class));
        Route::delete('systems/{system}/trickles/{id}', [WaterController::class, 'close'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Trickle::class));
        Route::put('systems/{system}/meter/{id}', [MeterController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(MeterReading::class));
        Route::delete('systems/{system}/meter/{id}', [MeterController::class, 'remove'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(MeterReading::class));
        Route::delete('systems/{system}/changes/{id}', [WaterController::class, 'withdraw'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(WaterChange::class));
    });
});
