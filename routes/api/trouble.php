<?php

declare(strict_types=1);

use App\Http\ClientKey;
use App\Http\Writing;
use App\Models\Incident;
use App\Models\IncidentTick;
use App\Trouble\IncidentController;
use App\Trouble\TroubleController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/trouble', [TroubleController::class, '__invoke']);
    Route::get('systems/{system}/card', [TroubleController::class, 'card']);
    Route::get('systems/{system}/refuges', [TroubleController::class, 'refuges']);
    Route::get('systems/{system}/incidents', [IncidentController::class, 'index']);
    Route::get('systems/{system}/incidents/{id}', [IncidentController::class, 'show'])->whereUlid('id');

    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('systems/{system}/incidents/{id}', [IncidentController::class, 'open'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Incident::class));
        Route::put('systems/{system}/incidents/{id}/end', [IncidentController::class, 'end'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Incident::class));
        Route::put('systems/{system}/incidents/{incident}/ticks/{id}', [IncidentController::class, 'tick'])
            ->whereUlid(['incident', 'id'])
            ->middleware(ClientKey::of(IncidentTick::class));
        Route::delete('systems/{system}/ticks/{id}', [IncidentController::class, 'untick'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(IncidentTick::class));
    });
});
