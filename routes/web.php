<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// It watches over all pages, so it stands at their root.
Route::get(
    '/sw.js',
    static fn() => response()->file(public_path('build/sw.js'), [
        'Content-Type' => 'application/javascript',
        'Cache-Control' => 'no-cache',
    ]),
);

// Every other address is a page of the front, which finds its own way from there.
Route::view('/{page?}', 'page')->where('page', '^(?!api/|build/).*$');
