<?php

declare(strict_types=1);

use App\Capacity\CapacityController;
use App\Capacity\FilterController;
use App\Http\ClientKey;
use App\Http\Writing;
use App\Models\FilterTest;
use App\Models\Flush;
use App\Models\Setback;
use App\Models\WhatIf;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/capacity', [CapacityController::class, '__invoke']);
    Route::get('systems/{system}/filter', [FilterController::class, 'show']);
    Route::get('systems/{system}/what-ifs', [FilterController::class, 'whatIfs']);
    Route::get('systems/{system}/what-ifs/{id}', [FilterController::class, 'whatIf'])->whereUlid('id');

    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('systems/{system}/filter/tests/{id}', [FilterController::class, 'test'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(FilterTest::class));
        Route::put('systems/{system}/filter/runs/{id}', [FilterController::class, 'run'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(FilterTest::class));
        Route::put('systems/{system}/filter/believed', [FilterController::class, 'believe']);
        Route::put('systems/{system}/filter/setbacks/{id}', [FilterController::class, 'setback'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Setback::class));
        Route::delete('systems/{system}/filter/setbacks/{id}', [FilterController::class, 'removeSetback'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Setback::class));
        Route::put('systems/{system}/filter/flushes/{id}', [FilterController::class, 'flush'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Flush::class));
        Route::delete('systems/{system}/filter/flushes/{id}', [FilterController::class, 'removeFlush'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Flush::class));
        Route::put('systems/{system}/what-ifs/{id}', [FilterController::class, 'keepWhatIf'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(WhatIf::class));
        Route::delete('systems/{system}/what-ifs/{id}', [FilterController::class, 'removeWhatIf'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(WhatIf::class));
    });
});
