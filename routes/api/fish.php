<?php

declare(strict_types=1);

use App\Arrivals\MoveController;
use App\Arrivals\ShipmentController;
use App\Fish\FishController;
use App\Fish\SingleController;
use App\Growth\GrowthController;
use App\Http\ClientKey;
use App\Http\Writing;
use App\Looks\LookController;
use App\Models\Bag;
use App\Models\Feed;
use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\FishMeasure;
use App\Models\Look;
use App\Models\Shipment;
use App\Models\SingleFish;
use App\Models\SingleMeasure;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/fish', [FishController::class, 'show']);
    Route::get('systems/{system}/fish/move', [MoveController::class, 'show']);
    Route::get('systems/{system}/arrivals', [MoveController::class, 'bag']);
    Route::get('systems/{system}/shipments', [ShipmentController::class, 'show']);
    Route::get('systems/{system}/singles', [SingleController::class, 'show']);
    Route::get('systems/{system}/growth', GrowthController::class);
    Route::get('systems/{system}/looks', [LookController::class, 'show']);
    Route::get('systems/{system}/quarantine', [MoveController::class, 'quarantine']);

    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('systems/{system}/fish/{id}', [FishController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(FishGroup::class));
        Route::put('systems/{system}/fish/{group}/measures/{id}', [FishController::class, 'measure'])
            ->whereUlid(['group', 'id'])
            ->middleware(ClientKey::of(FishMeasure::class));
        Route::put('systems/{system}/shipments/{id}', [ShipmentController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Shipment::class));
        Route::delete('systems/{system}/shipments/{id}', [ShipmentController::class, 'remove'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Shipment::class));
        Route::put('systems/{system}/shipments/{shipment}/bags/{id}', [ShipmentController::class, 'bag'])
            ->whereUlid(['shipment', 'id'])
            ->middleware(ClientKey::of(Bag::class));
        foreach (
            [
                'removeBag' => ['delete', ''],
                'drip' => ['put', '/drip'],
                'stop' => ['delete', '/drip'],
                'putIn' => ['put', '/in'],
                'takeBack' => ['delete', '/in'],
            ]
            as $deed => [$method, $rest]
        ) {
            Route::match([$method], "systems/{system}/bags/{id}{$rest}", [ShipmentController::class, $deed])
                ->whereUlid('id')
                ->middleware(ClientKey::of(Bag::class));
        }
        Route::put('systems/{system}/singles/{id}', [SingleController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(SingleFish::class));
        Route::put('systems/{system}/singles/{single}/sizes/{id}', [SingleController::class, 'measure'])
            ->whereUlid(['single', 'id'])
            ->middleware(ClientKey::of(SingleMeasure::class));
        Route::put('systems/{system}/looks/{id}', [LookController::class, 'put'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Look::class));
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
        Route::put('systems/{system}/moves/{id}', [MoveController::class, 'moveAll'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(FishEvent::class));
        Route::put('systems/{system}/fish/{group}/{kind}/{id}', [MoveController::class, 'leave'])
            ->where('kind', 'moved|lost|sold')
            ->whereUlid(['group', 'id'])
            ->middleware(ClientKey::of(FishEvent::class));
    });
});
