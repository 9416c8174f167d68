<?php

declare(strict_types=1);

use App\Report\LossController;
use App\Report\ReportController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('reports', [ReportController::class, 'show']);
    Route::get('reports.csv', [ReportController::class, 'csv']);
    Route::get('losses', [LossController::class, 'show']);
    Route::get('losses.csv', [LossController::class, 'csv']);
});
