<?php

declare(strict_types=1);

use App\Http\Writing;
use App\Site\PasswordController;
use App\Site\SessionController;
use App\Site\SiteController;
use App\Site\SystemController;
use App\Site\UnitsController;
use Illuminate\Support\Facades\Route;

Route::get('session', [SessionController::class, 'show']);
Route::post('session', [SessionController::class, 'store']);

Route::middleware('auth')->group(function (): void {
    Route::delete('session', [SessionController::class, 'destroy']);
    Route::put('session/password', [PasswordController::class, '__invoke']);
    Route::put('session/units', [UnitsController::class, '__invoke']);
    Route::get('site', [SiteController::class, 'show']);
    Route::get('systems', [SystemController::class, 'index']);
    Route::get('systems/{system}', [SystemController::class, 'show']);

    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('site', [SiteController::class, 'put']);
        Route::post('systems', [SystemController::class, 'store']);
        Route::put('systems/{system}/sleep', [SystemController::class, 'sleep']);
    });
});
