<?php

declare(strict_types=1);

use App\Arrivals\MoveController;
use App\Fish\FishController;
use App\Http\ClientKey;
use App\Http\Writing;
use App\Models\Feed;
use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\FishMeasure;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/fish', [FishController::class, 'show']);
    Route::get('systems/{system}/fish/move', [MoveController::class, 'show']);
    Route::get('systems/{system}/arrivals', [MoveController::class, 'bag']);
    Route::get('systems/{system}/quarantine', [MoveController::class, 'quarantine']);

    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('systems/{system}/fish/{id}', [FishController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(FishGroup::class));
        Route::put('systems/{system}/fish/{group}/measures/{id}', [FishController::class, 'measure'])
            ->whereUlid(['group', 'id'])
            ->middleware(ClientKey::of(FishMeasure::class));
        Route::put('systems/{system}/quarantine', [MoveController::class, 'protocol']);
        Route::put('systems/{system}/feed', [FishController::class, 'plan']);
        Route::put('systems/{system}/feeds/{id}', [FishController::class, 'feed'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Feed::class));
        Route::delete('systems/{system}/feeds/{id}', [FishController::class, 'withdrawFeed'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Feed::class));
    });

    // Fish may move into another system: both are judged and written.
    Route::middleware(['can:write', Writing::WITH_SITE])->group(function (): void {
        Route::put('systems/{system}/fish/{group}/{kind}/{id}', [MoveController::class, 'leave'])
            ->where('kind', 'moved|lost|sold')
            ->whereUlid(['group', 'id'])
            ->middleware(ClientKey::of(FishEvent::class));
    });
});
