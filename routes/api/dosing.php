<?php

declare(strict_types=1);

use App\Dosing\ChargeController;
use App\Dosing\CourseController;
use App\Dosing\DoseController;
use App\Http\ClientKey;
use App\Http\Writing;
use App\Models\Charge;
use App\Models\Dose;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/dose', [DoseController::class, 'show']);
    Route::get('systems/{system}/courses', [CourseController::class, 'show']);

    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('systems/{system}/doses/{id}', [DoseController::class, 'give'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Dose::class));
        Route::put('systems/{system}/doses/{id}/end', [DoseController::class, 'end'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Dose::class));
        Route::delete('systems/{system}/doses/{id}', [DoseController::class, 'withdraw'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Dose::class));
        Route::put('systems/{system}/courses/{course}/doses/{id}', [CourseController::class, 'carryOn'])
            ->whereUlid(['course', 'id'])
            ->middleware(ClientKey::of(Dose::class));
        Route::put('systems/{system}/courses/{course}/end', [CourseController::class, 'stop'])->whereUlid('course');
        Route::put('systems/{system}/courses/{course}/after/{step}', [CourseController::class, 'returned'])->whereUlid(
            'course',
        );
        Route::put('systems/{system}/charges/{id}', [ChargeController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Charge::class));
        Route::delete('systems/{system}/charges/{id}', [ChargeController::class, 'withdraw'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Charge::class));
        Route::put('systems/{system}/charges/{id}/out', [ChargeController::class, 'takeOut'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Charge::class));
    });
});
