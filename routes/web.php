<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

Route::get('/health', function (): array {
    DB::select('SELECT 1');

    return ['status' => 'ok'];
})->withoutMiddleware('web');

// Every other address is the page; the page knows its own places.
Route::view('/{any?}', 'page')->where('any', '^(?!api/|build/|health).*$')->name('page');
