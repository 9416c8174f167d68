<?php

declare(strict_types=1);

use App\Http\ClientKey;
use App\Http\Writing;
use App\Models\OwnJob;
use App\Models\Service;
use App\Service\ServiceController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/service', [ServiceController::class, 'show']);
    Route::get('systems/{system}/service/year', [ServiceController::class, 'year']);
    Route::get('systems/{system}/service/clear', [ServiceController::class, 'clear']);
    Route::get('systems/{system}/service/whole/{job}', [ServiceController::class, 'big'])->where('job', '[a-z_]+');
    Route::get('systems/{system}/services/{id}', [ServiceController::class, 'run'])
        ->whereUlid('id')
        ->middleware(ClientKey::of(Service::class));
    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('systems/{system}/services/{id}', [ServiceController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Service::class));
        Route::put('systems/{system}/services/{id}/steps/{step}', [ServiceController::class, 'tick'])
            ->whereUlid('id')
            ->whereNumber('step')
            ->middleware(ClientKey::of(Service::class));
        Route::put('systems/{system}/services/{id}/flow', [ServiceController::class, 'flow'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Service::class));
        Route::put('systems/{system}/services/{id}/end', [ServiceController::class, 'end'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Service::class));
        Route::delete('systems/{system}/services/{id}', [ServiceController::class, 'remove'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Service::class));
        Route::post('systems/{system}/service/interval', [ServiceController::class, 'interval']);
        Route::put('systems/{system}/own-jobs/{id}', [ServiceController::class, 'putOwn'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(OwnJob::class));
        Route::delete('systems/{system}/own-jobs/{id}', [ServiceController::class, 'removeOwn'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(OwnJob::class));
    });
});
