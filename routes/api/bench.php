<?php

declare(strict_types=1);

use App\Bench\BenchController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/bench/{bench}', [BenchController::class, 'show'])->where('bench', '(?!blend$)[a-z_]+');
});
