<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// Every other address is a page of the front, which finds its own way from there.
Route::view('/{page?}', 'page')->where('page', '^(?!api/|build/).*$');
