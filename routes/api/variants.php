<?php

declare(strict_types=1);

use App\Http\ClientKey;
use App\Http\Writing;
use App\Models\System;
use App\Variants\VariantController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/variants', [VariantController::class, 'index']);
    Route::middleware(['can:write', Writing::ALSO_PLANS])->group(function (): void {
        Route::put('systems/{system}/variants/{id}', [VariantController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(System::class));
        Route::delete('systems/{system}/variants', [VariantController::class, 'destroy']);
    });
});
