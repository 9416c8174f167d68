<?php

declare(strict_types=1);

use App\Http\Controllers\BenchController;
use App\Http\Controllers\BookController;
use App\Http\Controllers\BuildController;
use App\Http\Controllers\CalcController;
use App\Http\Controllers\CapacityController;
use App\Http\Controllers\DoseController;
use App\Http\Controllers\FilterController;
use App\Http\Controllers\FishController;
use App\Http\Controllers\GoodController;
use App\Http\Controllers\HealthController;
use App\Http\Controllers\LimitController;
use App\Http\Controllers\LogController;
use App\Http\Controllers\MaturingController;
use App\Http\Controllers\PlumbingController;
use App\Http\Controllers\RoundController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\ShelfController;
use App\Http\Controllers\SourceWaterController;
use App\Http\Controllers\SystemController;
use App\Http\Controllers\TimerController;
use App\Http\Controllers\TroubleController;
use App\Http\Controllers\VisitController;
use App\Http\Controllers\VocabularyController;
use App\Http\Controllers\VolumeController;
use App\Http\Controllers\WaterController;
use Illuminate\Support\Facades\Route;

Route::get('health', HealthController::class)->withoutMiddleware('web');
Route::get('session', [SessionController::class, 'show']);
Route::post('session', [SessionController::class, 'store']);

Route::middleware('auth')->group(function (): void {
    Route::delete('session', [SessionController::class, 'destroy']);
    Route::get('vocabulary', VocabularyController::class);

    Route::get('calc', [CalcController::class, 'index']);
    Route::post('calc/{name}', [CalcController::class, 'run'])->where('name', '[a-z0-9_.]+');
    Route::get('sources', [CalcController::class, 'sources']);

    Route::get('systems', [SystemController::class, 'index']);
    Route::post('systems', [SystemController::class, 'store']);
    Route::get('systems/{system}', [SystemController::class, 'show']);
    Route::put('systems/{system}/sleep', [SystemController::class, 'sleep']);
    Route::get('systems/{system}/capacity', CapacityController::class);
    Route::get('systems/{system}/maturing', MaturingController::class);
    Route::get('systems/{system}/trouble', TroubleController::class);

    Route::get('shelf', [ShelfController::class, 'show']);
    Route::put('kits/{id}', [ShelfController::class, 'putKit'])->whereUlid('id');
    Route::delete('kits/{id}', [ShelfController::class, 'removeKit'])->whereUlid('id');
    Route::put('goods/{id}', [GoodController::class, 'put'])->whereUlid('id');
    Route::delete('goods/{id}', [GoodController::class, 'remove'])->whereUlid('id');
    Route::put('waters/{id}', [SourceWaterController::class, 'put'])->whereUlid('id');
    Route::delete('waters/{id}', [SourceWaterController::class, 'remove'])->whereUlid('id');
    Route::put('waters/{water}/tests/{id}', [SourceWaterController::class, 'test'])->whereUlid(['water', 'id']);
    Route::get('systems/{system}/limits', [LimitController::class, 'show']);
    Route::put('systems/{system}/limits/{parameter}', [LimitController::class, 'put']);
    Route::delete('systems/{system}/limits/{parameter}', [LimitController::class, 'remove']);
    Route::put('systems/{system}/schools/{topic}', [LimitController::class, 'putSchool']);
    Route::put('systems/{system}/schedule/{parameter}', [LimitController::class, 'putPlan']);
    Route::put('systems/{system}/source', [LimitController::class, 'putSource']);

    Route::get('systems/{system}/book', [BookController::class, 'show']);
    Route::get('systems/{system}/book.csv', [BookController::class, 'csv']);
    Route::post('systems/{system}/book/preview', [BookController::class, 'preview']);
    Route::post('systems/{system}/book/import', [BookController::class, 'import']);
    Route::get('imports/{id}', [BookController::class, 'progress'])->whereUlid('id');
    Route::put('systems/{system}/probe', [BookController::class, 'probe']);
    Route::get('systems/{system}/score', [BookController::class, 'score']);
    Route::put('systems/{system}/notes/{id}', [BookController::class, 'note'])->whereUlid('id');
    Route::get('systems/{system}/notes/{id}/photo', [BookController::class, 'picture'])->whereUlid('id');
    Route::delete('systems/{system}/notes/{id}', [BookController::class, 'withdrawNote'])->whereUlid('id');

    Route::get('systems/{system}/filter', [FilterController::class, 'show']);
    Route::put('systems/{system}/filter/tests/{id}', [FilterController::class, 'test'])->whereUlid('id');
    Route::put('systems/{system}/filter/runs/{id}', [FilterController::class, 'run'])->whereUlid('id');
    Route::put('systems/{system}/filter/believed', [FilterController::class, 'believe']);
    Route::put('systems/{system}/filter/setbacks/{id}', [FilterController::class, 'setback'])->whereUlid('id');
    Route::delete('systems/{system}/filter/setbacks/{id}', [FilterController::class, 'removeSetback'])->whereUlid('id');
    Route::put('systems/{system}/filter/stages/{id}', [FilterController::class, 'clean'])->whereUlid('id');
    Route::get('systems/{system}/what-ifs', [FilterController::class, 'whatIfs']);
    Route::put('systems/{system}/what-ifs/{id}', [FilterController::class, 'keepWhatIf'])->whereUlid('id');
    Route::delete('systems/{system}/what-ifs/{id}', [FilterController::class, 'removeWhatIf'])->whereUlid('id');

    Route::get('systems/{system}/dose', [DoseController::class, 'show']);
    Route::put('systems/{system}/doses/{id}', [DoseController::class, 'give'])->whereUlid('id');
    Route::put('systems/{system}/doses/{id}/end', [DoseController::class, 'end'])->whereUlid('id');
    Route::delete('systems/{system}/doses/{id}', [DoseController::class, 'withdraw'])->whereUlid('id');
    Route::get('systems/{system}/courses', [DoseController::class, 'courses']);
    Route::put('systems/{system}/courses/{course}/doses/{id}', [DoseController::class, 'carryOn'])->whereUlid([
        'course',
        'id',
    ]);
    Route::put('systems/{system}/courses/{course}/end', [DoseController::class, 'stop'])->whereUlid('course');
    Route::put('systems/{system}/courses/{course}/after/{step}', [DoseController::class, 'returned'])->whereUlid(
        'course',
    );
    Route::put('systems/{system}/charges/{id}', [DoseController::class, 'charge'])->whereUlid('id');
    Route::put('systems/{system}/charges/{id}/out', [DoseController::class, 'takeOut'])->whereUlid('id');

    Route::get('systems/{system}/bench/blend', [BenchController::class, 'blend']);
    Route::get('systems/{system}/bench/{bench}', [BenchController::class, 'show'])->where('bench', '[a-z_]+');
    Route::get('systems/{system}/water', [WaterController::class, 'show']);
    Route::put('systems/{system}/changes/{id}', [WaterController::class, 'book'])->whereUlid('id');
    Route::put('systems/{system}/changes/{id}/flow', [WaterController::class, 'flow'])->whereUlid('id');
    Route::put('systems/{system}/changes/{id}/put-back/{what}', [WaterController::class, 'putIn'])->whereUlid('id');
    Route::put('systems/{system}/trickles/{id}', [WaterController::class, 'open'])->whereUlid('id');
    Route::delete('systems/{system}/trickles/{id}', [WaterController::class, 'close'])->whereUlid('id');
    Route::delete('systems/{system}/changes/{id}', [WaterController::class, 'withdraw'])->whereUlid('id');

    Route::get('systems/{system}/plumbing', [PlumbingController::class, 'show']);
    Route::post('systems/{system}/plumbing/what-if', [PlumbingController::class, 'whatIf']);
    Route::put('systems/{system}/vessels/{id}/shut-off', [PlumbingController::class, 'shut'])->whereUlid('id');
    Route::get('timers', TimerController::class);
    Route::get('round', RoundController::class);
    Route::post('systems/{system}/plumbing/flows', [PlumbingController::class, 'adopt']);

    Route::post('systems/{system}/meaning', [VisitController::class, 'meaning']);
    Route::get('systems/{system}/visits', [VisitController::class, 'index']);
    Route::post('systems/{system}/visits', [VisitController::class, 'store']);
    Route::get('visits/{visit}', [VisitController::class, 'one'])->whereUlid('visit');
    Route::delete('visits/{visit}', [VisitController::class, 'destroy'])->whereUlid('visit');

    Route::post('systems/{system}/log/meaning', [LogController::class, 'meaning']);
    Route::post('systems/{system}/log', [LogController::class, 'store']);
    Route::delete('systems/{system}/log/{id}', [LogController::class, 'withdraw'])->whereUlid('id');

    Route::get('systems/{system}/volumes', [VolumeController::class, 'show']);
    Route::put('systems/{system}/volumes/{id}', [VolumeController::class, 'put'])->whereUlid('id');
    Route::post('systems/{system}/volumes/choice', [VolumeController::class, 'choose']);
    Route::post('volume', [BuildController::class, 'vesselMeaning']);
    Route::put('systems/{system}/vessels/{id}', [BuildController::class, 'putVessel'])->whereUlid('id');
    Route::put('systems/{system}/stages/{id}', [BuildController::class, 'putStage'])->whereUlid('id');
    Route::put('systems/{system}/pumps/{id}', [BuildController::class, 'putPump'])->whereUlid('id');
    Route::put('systems/{system}/lines/{id}', [BuildController::class, 'putLine'])->whereUlid('id');
    Route::put('systems/{system}/fish/{id}', [BuildController::class, 'putFish'])->whereUlid('id');
    Route::get('systems/{system}/fish', [FishController::class, 'show']);
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
    Route::put('systems/{system}/{kind}/{id}/retired', [BuildController::class, 'retire'])
        ->where('kind', 'vessels|stages|pumps')
        ->whereUlid('id');
    Route::delete('systems/{system}/{kind}/{id}', [BuildController::class, 'destroy'])
        ->where('kind', 'vessels|stages|pumps|lines|fish')
        ->whereUlid('id');
});
