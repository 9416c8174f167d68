<?php

declare(strict_types=1);

use App\Build\BuildController;
use App\Build\PlumbingController;
use App\Http\ClientKey;
use App\Http\Writing;
use App\Models\AirOutlet;
use App\Models\BuildChange;
use App\Models\Junction;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\Vessel;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/plumbing', [PlumbingController::class, 'show']);
    Route::post('systems/{system}/plumbing/what-if', [PlumbingController::class, 'whatIf']);
    Route::post('volume', [BuildController::class, 'vesselMeaning']);

    Route::middleware(['can:write', Writing::ALSO_PLANS])->group(function (): void {
        Route::put('systems/{system}/vessels/{id}/shut-off', [PlumbingController::class, 'shut'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Vessel::class));
        Route::post('systems/{system}/plumbing/flows', [PlumbingController::class, 'adopt']);
        Route::put('systems/{system}/vessels/{id}', [BuildController::class, 'putVessel'])
            ->whereUlid('id')
            ->name('vessels')
            ->middleware(ClientKey::of(Vessel::class));
        Route::put('systems/{system}/stages/{id}', [BuildController::class, 'putStage'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Stage::class));
        Route::put('systems/{system}/pumps/{id}', [BuildController::class, 'putPump'])
            ->whereUlid('id')
            ->name('pumps')
            ->middleware(ClientKey::of(Pump::class));
        Route::put('systems/{system}/lines/{id}', [BuildController::class, 'putLine'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Line::class));
        Route::put('systems/{system}/junctions/{id}', [BuildController::class, 'putJunction'])
            ->whereUlid('id')
            ->name('junctions')
            ->middleware(ClientKey::of(Junction::class));
        Route::put('systems/{system}/outlets/{id}', [BuildController::class, 'putOutlet'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(AirOutlet::class));
        Route::post('systems/{system}/build-changes/{id}/undo', [BuildController::class, 'undo'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(BuildChange::class));
        Route::put('systems/{system}/{kind}/{id}/retired', [BuildController::class, 'retire'])
            ->where('kind', 'vessels|stages|pumps')
            ->whereUlid('id');
        Route::delete('systems/{system}/{kind}/{id}', [BuildController::class, 'destroy'])
            ->where('kind', 'vessels|stages|pumps|lines|junctions|outlets|fish')
            ->whereUlid('id');
    });
});
