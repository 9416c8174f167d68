<?php

declare(strict_types=1);

use App\Http\Writing;
use App\Schools\SchoolController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/schools/{topic}/trial', [SchoolController::class, 'try']);

    // One school may be chosen for all systems of the site.
    Route::middleware(['can:write', Writing::WITH_SITE])->group(function (): void {
        Route::put('systems/{system}/schools/{topic}', [SchoolController::class, 'put']);
    });
});
