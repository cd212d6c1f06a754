<?php

declare(strict_types=1);

use App\Money\Estimates\OwnerAnswerController;
use App\Plan\Calendar\PlanCalendar;
use App\Release\SheetController;
use Illuminate\Support\Facades\Route;

// No login and no session: whoever has the address. It stands in the access log without its key.

// The page behind the code on a machine’s label: only what whoever stands before the machine may see.
Route::prefix('o')->group(function (): void {
    $key = '[0-9]{1,18}-[0-9]{1,9}-[0-9a-fA-F]{20}';
    Route::get('answer/{key}', [OwnerAnswerController::class, 'show'])->where('key', $key)->middleware('throttle:60,1');
    Route::post('answer/{key}', [OwnerAnswerController::class, 'store'])->where('key', $key)->middleware('throttle:20,1');
    Route::get('{key}', [SheetController::class, 'page'])->where('key', '[0-9a-fA-F]{20}');
    Route::get('{key}/sheet.pdf', [SheetController::class, 'pdf'])->where('key', '[0-9a-fA-F]{20}');
});

// What a person has to do, for their own calendar: whoever has the address sees it.
Route::middleware('throttle:60,1')->get('calendar/{secret}.ics', [PlanCalendar::class, 'show'])->where('secret', '[0-9a-f]{40}');
