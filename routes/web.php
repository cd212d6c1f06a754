<?php

declare(strict_types=1);

use App\Diagnosis\TrialController;
use App\Intake\PhotographController;
use App\Machines\PaperController;
use App\Proof\PrintController;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

Route::get('/health', function (): array {
    DB::select('SELECT 1');

    return ['status' => 'ok'];
})->withoutMiddleware('web');

// Files: pictures and tables to keep elsewhere.
Route::middleware('auth')->prefix('files')->group(function (): void {
    Route::get('papers/{paper}', [PaperController::class, 'file'])->whereNumber('paper');
    Route::get('photographs/{photograph}.jpg', [PhotographController::class, 'show'])->whereNumber('photograph');
    Route::get('jobs/{job}/ring.gcode', [PrintController::class, 'ring'])->whereNumber('job');
    Route::get('jobs/{job}/loom-slab.gcode', [PrintController::class, 'slab'])->whereNumber('job');
    Route::get('jobs/{job}/trials.csv', [TrialController::class, 'csv'])->whereNumber('job');
});

// Every other address is the page; the page knows its own places.
Route::view('/{any?}', 'page')->where('any', '^(?!api/|build/|files/|health).*$')->name('page');
