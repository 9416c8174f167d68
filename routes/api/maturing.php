<?php

declare(strict_types=1);

use App\Http\ClientKey;
use App\Http\Writing;
use App\Maturing\MaturingController;
use App\Maturing\SeedController;
use App\Models\Seed;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/maturing', [MaturingController::class, '__invoke']);

    // Media moved is lost to one system and won by another.
    Route::middleware(['can:write', Writing::WITH_SITE])->group(function (): void {
        Route::put('systems/{system}/seeds/{id}', [SeedController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Seed::class));
        Route::delete('systems/{system}/seeds/{id}', [SeedController::class, 'remove'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Seed::class));
    });
});
