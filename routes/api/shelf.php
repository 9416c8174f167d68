<?php

declare(strict_types=1);

use App\Http\ClientKey;
use App\Http\Writing;
use App\Models\Good;
use App\Models\Kit;
use App\Shelf\GoodController;
use App\Shelf\ShelfController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('shelf', [ShelfController::class, 'show']);

    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('kits/{id}', [ShelfController::class, 'putKit'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Kit::class));
        Route::delete('kits/{id}', [ShelfController::class, 'removeKit'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Kit::class));
        Route::put('goods/{id}', [GoodController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Good::class));
        Route::delete('goods/{id}', [GoodController::class, 'remove'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Good::class));
    });
});
