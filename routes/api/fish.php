<?php

declare(strict_types=1);

use App\Fish\FishController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/fish', [FishController::class, 'show']);

    Route::middleware('can:write')->group(function (): void {
        Route::put('systems/{system}/fish/{id}', [FishController::class, 'put'])->whereUlid('id');
        Route::put('systems/{system}/fish/{group}/measures/{id}', [FishController::class, 'measure'])->whereUlid([
            'group',
            'id',
        ]);
        Route::put('systems/{system}/fish/{group}/{kind}/{id}', [FishController::class, 'leave'])
            ->where('kind', 'moved|lost|sold')
            ->whereUlid(['group', 'id']);
        Route::put('systems/{system}/feed', [FishController::class, 'plan']);
        Route::put('systems/{system}/feeds/{id}', [FishController::class, 'feed'])->whereUlid('id');
        Route::delete('systems/{system}/feeds/{id}', [FishController::class, 'withdrawFeed'])->whereUlid('id');
    });
});
