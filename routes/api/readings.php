<?php

declare(strict_types=1);

use App\Http\Writing;
use App\Readings\LimitController;
use App\Readings\VisitController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/limits', [LimitController::class, 'show']);
    Route::post('systems/{system}/meaning', [VisitController::class, 'meaning']);
    Route::get('systems/{system}/visits', [VisitController::class, 'index']);
    Route::get('visits/{visit}', [VisitController::class, 'one'])->whereUlid('visit');

    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('systems/{system}/limits/{parameter}', [LimitController::class, 'put']);
        Route::delete('systems/{system}/limits/{parameter}', [LimitController::class, 'remove']);
        Route::put('systems/{system}/schedule/{parameter}', [LimitController::class, 'putPlan']);
        Route::put('systems/{system}/source', [LimitController::class, 'putSource']);
        Route::post('systems/{system}/visits', [VisitController::class, 'store']);
        Route::delete('visits/{visit}', [VisitController::class, 'destroy'])->whereUlid('visit');
    });
});
