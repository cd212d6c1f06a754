<?php

declare(strict_types=1);

use App\Diagnosis\Trials\TrialController;
use App\Fleet\Farm\FarmController;
use App\Intake\PhotographController;
use App\Machines\Families\FamilyController;
use App\Machines\MachineTableController;
use App\Machines\Owners\OwnerController;
use App\Machines\PaperController;
use App\Money\Ledger\LedgerController;
use App\Money\PaperController as MoneyPapers;
use App\Proof\PrintController;
use App\Release\SheetController;
use App\Shop\Tokens\TokenController;
use App\Stock\Orders\OrderController;
use App\Stock\Parts\PartController;
use App\Stock\Tables\StockFileController;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use OddBench\Proof\Prints\ProofPrint;

Route::get('/health', function (): array {
    DB::select('SELECT 1');

    return ['status' => 'ok'];
})->withoutMiddleware('web');

// Files: pictures and tables to keep elsewhere.
Route::middleware(['auth', 'cache.headers:private;no_store'])->prefix('files')->group(function (): void {
    Route::get('papers/{paper}', [PaperController::class, 'file']);
    Route::get('photographs/{photograph}.jpg', [PhotographController::class, 'show']);
    Route::get('jobs/{job}/loom-slab.gcode', [PrintController::class, 'slab']);
    Route::get('jobs/{job}/{print}.gcode', [PrintController::class, 'print'])->whereIn('print', array_column(ProofPrint::cases(), 'value'));
    Route::get('jobs/{job}/sheet.pdf', [SheetController::class, 'ofJob']);
    Route::get('jobs/{job}/estimate.pdf', [MoneyPapers::class, 'estimate']);
    Route::get('jobs/{job}/bill.pdf', [MoneyPapers::class, 'bill']);
    Route::get('farm.csv', [FarmController::class, 'csv']);
    Route::get('ledger.csv', [LedgerController::class, 'csv']);
    Route::get('bills.csv', [LedgerController::class, 'bills']);
    Route::get('orders/{order}.csv', [OrderController::class, 'csv']);
    Route::get('orders/{order}.pdf', [OrderController::class, 'pdf']);
    Route::get('parts/{number}.jpg', [PartController::class, 'picture']);
    Route::get('parts/{number}/file', [PartController::class, 'download']);
    Route::get('families/{family}.yaml', [FamilyController::class, 'export'])->where('family', '[a-z0-9-]+');
    Route::get('families/{family}.jpg', [FamilyController::class, 'picture'])->where('family', '[a-z0-9-]+');
    Route::get('api.json', [TokenController::class, 'description']);
    Route::get('owners/{owner}.json', [OwnerController::class, 'export']);
    Route::get('machines.csv', [MachineTableController::class, 'export']);
    Route::get('stock/{kind}.csv', [StockFileController::class, 'out']);
    Route::get('jobs/{job}/trials.csv', [TrialController::class, 'csv']);
});

// Every other address is the page; the page knows its own places.
Route::view('/{any?}', 'page')->where('any', '^(?!api/|build/|files/|o/|calendar/|health).*$')->name('page');
