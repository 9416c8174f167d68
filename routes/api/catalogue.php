<?php

declare(strict_types=1);

use App\Catalogue\CalcController;
use App\Catalogue\ReferenceController;
use App\Catalogue\VocabularyController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('vocabulary', [VocabularyController::class, '__invoke']);
    Route::get('reference', [ReferenceController::class, '__invoke']);
    Route::get('calc', [CalcController::class, 'index']);
    Route::post('calc/{name}', [CalcController::class, 'run'])->where('name', '[a-z0-9_.]+');
    Route::get('sources', [CalcController::class, 'sources']);
});
