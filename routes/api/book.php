<?php

declare(strict_types=1);

use App\Book\BookController;
use App\Book\LogController;
use App\Http\ClientKey;
use App\Http\Writing;
use App\Models\Note;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('systems/{system}/book', [BookController::class, 'show']);
    Route::get('systems/{system}/book.csv', [BookController::class, 'csv']);
    Route::post('systems/{system}/book/preview', [BookController::class, 'preview']);
    Route::get('imports/{id}', [BookController::class, 'progress'])->whereUlid('id');
    Route::get('systems/{system}/score', [BookController::class, 'score']);
    Route::get('systems/{system}/notes/{id}/photo', [BookController::class, 'picture'])->whereUlid('id');
    Route::post('systems/{system}/log/meaning', [LogController::class, 'meaning']);

    Route::middleware(['can:write', Writing::class])->group(function (): void {
        Route::put('systems/{system}/probe', [BookController::class, 'probe']);
        Route::put('systems/{system}/notes/{id}', [BookController::class, 'note'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Note::class));
        Route::delete('systems/{system}/notes/{id}', [BookController::class, 'withdrawNote'])
            ->whereUlid('id')
            ->middleware(ClientKey::of(Note::class));
    });

    // A line may move media from one system to another.
    Route::middleware(['can:write', Writing::WITH_SITE])->group(function (): void {
        Route::post('systems/{system}/log', [LogController::class, 'store']);
        Route::delete('systems/{system}/log/{id}', [LogController::class, 'withdraw'])->whereUlid('id');
    });

    // Long, and written visit by visit: each of them is a transaction of its own.
    Route::middleware('can:write')->group(function (): void {
        Route::post('systems/{system}/book/import', [BookController::class, 'import']);
    });
});
