<?php

declare(strict_types=1);

use App\Report\ReportController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('reports', [ReportController::class, 'show']);
    Route::get('reports.csv', [ReportController::class, 'csv']);
});
