<?php

declare(strict_types=1);

use App\Api\OnceOnly;
use App\Bench\BenchController;
use App\Computation\ComputationController;
use App\Diagnosis\Complaint\ComplaintController;
use App\Diagnosis\DiagnosisController;
use App\Diagnosis\Trials\TrialController;
use App\Fleet\Campaigns\CampaignController;
use App\Fleet\Farm\FarmController;
use App\Fleet\Hold\HoldController;
use App\Fleet\Lives\LivesController;
use App\Fleet\Risks\RiskController;
use App\Instruments\InstrumentController;
use App\Intake\JobController;
use App\Intake\PhotographController;
use App\Knowledge\KnowledgeController;
use App\Machines\CounterController;
use App\Machines\Families\FamilyController;
use App\Machines\KnownController;
use App\Machines\MachineTableController;
use App\Machines\Owners\OwnerController;
use App\Machines\PaperController;
use App\Money\Buying\OfferController;
use App\Money\Buying\SaleController;
use App\Money\Claims\ClaimController;
use App\Money\Estimates\EstimateController;
use App\Money\JobMoneyController;
use App\Money\Ledger\LedgerController;
use App\Money\Pickup\PickupController;
use App\Money\Terms\PriceListController;
use App\Passport\MachineController;
use App\Plan\Calendar\CalendarController;
use App\Plan\HandOver\HandOverController;
use App\Plan\Promises\PromiseController;
use App\Plan\Today\TodayController;
use App\Plan\Week\WeekController;
use App\Plan\Went\WentController;
use App\Proof\ProofController;
use App\Proof\Run\RunController;
use App\Release\ReleaseController;
use App\Repair\Guides\GuideController;
use App\Repair\Positions\CareController;
use App\Repair\RepairController;
use App\Repair\Timers\TimerController;
use App\Repair\Tray\TrayController;
use App\Safety\SafetyController;
use App\Scan\ScanController;
use App\Shop\HidePrivate;
use App\Shop\PeopleController;
use App\Shop\Security\SecurityController;
use App\Shop\SessionController;
use App\Shop\SettingsController;
use App\Shop\Tokens\TokenController;
use App\Stock\Orders\OrderController;
use App\Stock\Parts\PartController;
use App\Stock\Shelf\ShelfController;
use App\Stock\Spools\SpoolController;
use App\Stock\Stocktake\StocktakeController;
use App\Stock\Tables\StockFileController;
use Illuminate\Support\Facades\Route;

Route::get('session', [SessionController::class, 'show']);
Route::post('session', [SessionController::class, 'store']);
Route::delete('session', [SessionController::class, 'destroy']);
Route::post('session/pin', [SessionController::class, 'takeOver']);
Route::post('session/lock', [SessionController::class, 'lock']);
Route::post('shop', [SessionController::class, 'open'])->middleware('throttle:20,1');
Route::post('session/code', [SessionController::class, 'code']);

Route::middleware(['auth', 'throttle:person', 'cache.headers:private;no_store;etag', HidePrivate::class])->group(function (): void {
    Route::get('bench', [BenchController::class, 'show']);
    Route::put('session/password', [SessionController::class, 'password']);
    Route::put('session/pin', [SessionController::class, 'pin']);
    Route::get('tokens', [TokenController::class, 'index']);
    Route::post('tokens', [TokenController::class, 'store']);
    Route::delete('tokens/{token}', [TokenController::class, 'revoke']);
    Route::get('security', [SecurityController::class, 'index']);
    Route::get('settings', [SettingsController::class, 'show']);
    Route::put('settings', [SettingsController::class, 'update']);
    Route::get('people', [PeopleController::class, 'index']);
    Route::post('people', [PeopleController::class, 'store']);
    Route::put('people/{person}', [PeopleController::class, 'update']);
    Route::post('people/{person}/code', [PeopleController::class, 'code']);
    Route::delete('people/{person}', [PeopleController::class, 'leave']);
    Route::get('knowledge', [KnowledgeController::class, 'show']);
    Route::get('scan', [ScanController::class, 'show']);

    Route::get('machines', [MachineController::class, 'index']);
    Route::get('machines-labels', [MachineController::class, 'labels']);
    Route::post('machines', [KnownController::class, 'store']);
    Route::post('machines/table', [MachineTableController::class, 'store']);
    Route::get('machines/{tag}', [MachineController::class, 'show']);
    Route::get('machines/{tag}/known', [KnownController::class, 'show']);
    Route::put('machines/{tag}/known', [KnownController::class, 'update']);
    Route::post('machines/{tag}/page-key', [KnownController::class, 'renewCode']);
    Route::get('owners', [OwnerController::class, 'index']);
    Route::get('owners/{owner}', [OwnerController::class, 'show']);
    Route::put('owners/{owner}', [OwnerController::class, 'update']);
    Route::post('owners/{owner}/merge', [OwnerController::class, 'merge']);
    Route::post('owners/{owner}/erase', [OwnerController::class, 'erase']);
    Route::get('counters', [CounterController::class, 'index']);
    Route::post('machines/{tag}/counters', [CounterController::class, 'store']);
    Route::post('machines/{tag}/counters/printer', [CounterController::class, 'fromPrinter']);
    Route::delete('machines/{tag}/counters/{counter}', [CounterController::class, 'withdraw']);
    Route::put('machines/{tag}/warranty', [MachineController::class, 'warranty']);
    Route::post('machines/{tag}/service-jobs', [CareController::class, 'openService']);

    Route::get('fleet/farm', [FarmController::class, 'show']);
    Route::post('fleet/racks', [FarmController::class, 'drawRack']);
    Route::put('fleet/racks/{rack}', [FarmController::class, 'redrawRack']);
    Route::delete('fleet/racks/{rack}', [FarmController::class, 'takeDownRack']);
    Route::post('fleet/standing', [FarmController::class, 'stand']);
    Route::get('fleet/hold', [HoldController::class, 'show']);
    Route::get('fleet/lives', [LivesController::class, 'index']);
    Route::get('fleet/lives/{class}', [LivesController::class, 'show']);
    Route::get('fleet/risks', [RiskController::class, 'index']);
    Route::post('fleet/service-jobs', [RiskController::class, 'makeJobs']);

    Route::get('families/{family}', [FamilyController::class, 'show']);
    Route::post('families', [FamilyController::class, 'store']);
    Route::post('families/import', [FamilyController::class, 'import']);
    Route::put('families/{family}', [FamilyController::class, 'update']);
    Route::delete('families/{family}', [FamilyController::class, 'drop']);
    Route::post('families/{family}/picture', [FamilyController::class, 'photograph']);
    Route::get('families/{family}/papers', [PaperController::class, 'index']);
    Route::post('families/{family}/papers', [PaperController::class, 'store']);
    Route::delete('papers/{paper}', [PaperController::class, 'withdraw']);
    Route::post('papers/{paper}/marks', [PaperController::class, 'mark']);
    Route::delete('papers/{paper}/marks/{mark}', [PaperController::class, 'unmark']);

    Route::get('guides', [GuideController::class, 'index']);
    Route::get('guides/{code}', [GuideController::class, 'show']);

    Route::get('parts', [ShelfController::class, 'index']);
    Route::post('parts', [ShelfController::class, 'store']);
    Route::prefix('parts/{number}')->group(function (): void {
        Route::get('', [PartController::class, 'show']);
        Route::patch('', [PartController::class, 'update']);
        Route::post('movements', [ShelfController::class, 'move']);
        Route::put('supply', [PartController::class, 'supply']);
        Route::post('substitutes', [PartController::class, 'substitute']);
        Route::delete('substitutes/{other}', [PartController::class, 'noSubstitute']);
        Route::put('successor', [PartController::class, 'succeed']);
        Route::post('photograph', [PartController::class, 'photograph']);
        Route::post('promises', [PartController::class, 'promise']);
        Route::put('movements/{movement}/bad-batch', [PartController::class, 'flag']);
        Route::delete('movements/{movement}/bad-batch', [PartController::class, 'lift']);
        Route::put('recipe', [PartController::class, 'recipe']);
        Route::post('recipe/file', [PartController::class, 'recipeFile']);
        Route::post('made', [PartController::class, 'made']);
    });
    Route::get('donors', [ShelfController::class, 'donors']);
    Route::post('donors/{tag}/parts', [ShelfController::class, 'salvage']);
    Route::get('stocktakes', [StocktakeController::class, 'index']);
    Route::post('stocktakes', [StocktakeController::class, 'start']);
    Route::post('stocktakes/{stocktake}/end', [StocktakeController::class, 'end']);
    Route::prefix('stocktakes/{stocktake}/bins/{bin}')->group(function (): void {
        Route::get('', [StocktakeController::class, 'sheet']);
        Route::put('', [StocktakeController::class, 'open']);
        Route::post('counts', [StocktakeController::class, 'count']);
        Route::post('done', [StocktakeController::class, 'done']);
    });
    Route::get('spools', [SpoolController::class, 'index']);
    Route::post('spools', [SpoolController::class, 'store']);
    Route::post('spools/{code}/events', [SpoolController::class, 'event']);
    Route::get('stock-files', [StockFileController::class, 'index']);
    Route::get('stock-files/{file}', [StockFileController::class, 'show']);
    Route::post('stock-files/{file}/apply', [StockFileController::class, 'apply']);
    Route::post('stock-files/{kind}', [StockFileController::class, 'store']);
    Route::get('orders', [OrderController::class, 'index']);
    Route::post('orders', [OrderController::class, 'send']);
    Route::post('orders/{order}/lines/{line}/receipts', [OrderController::class, 'receive']);
    Route::post('orders/{order}/close', [OrderController::class, 'close']);

    Route::prefix('money')->group(function (): void {
        Route::get('ledger', [LedgerController::class, 'show']);
        Route::get('terms', [PriceListController::class, 'show']);
        Route::put('terms', [PriceListController::class, 'update']);
        Route::get('not-fetched', [PickupController::class, 'index']);
        Route::get('estimates', [EstimateController::class, 'index']);
        Route::get('claims', [ClaimController::class, 'index']);
        Route::post('claims', [ClaimController::class, 'store']);
        Route::post('claims/{claim}/words', [ClaimController::class, 'say']);
        Route::post('claims/{claim}/end', [ClaimController::class, 'close']);
        Route::post('sales/{tag}', [SaleController::class, 'store']);
        Route::get('offers', [OfferController::class, 'index']);
        Route::post('offers', [OfferController::class, 'store']);
        Route::post('offers/look', [OfferController::class, 'look'])->withoutMiddleware(OnceOnly::class);
        Route::get('offers/{offer}', [OfferController::class, 'show']);
        Route::put('offers/{offer}', [OfferController::class, 'update']);
        Route::post('offers/{offer}/purchase', [OfferController::class, 'buy']);
        Route::post('offers/{offer}/let-go', [OfferController::class, 'letGo']);
        Route::post('offers/{offer}/stages/{place}', [OfferController::class, 'stage']);
    });

    Route::prefix('plan')->group(function (): void {
        Route::get('today', [TodayController::class, 'show']);
        Route::get('week', [WeekController::class, 'show']);
        Route::get('hand-over', [HandOverController::class, 'show']);
        Route::get('went', [WentController::class, 'show']);
        Route::get('calendar', [CalendarController::class, 'show']);
        Route::put('hours', [CalendarController::class, 'hours']);
        Route::post('days-off', [CalendarController::class, 'away']);
        Route::delete('days-off/{off}', [CalendarController::class, 'back']);
        Route::post('calendar-address', [CalendarController::class, 'address']);
        Route::delete('calendar-address', [CalendarController::class, 'endAddress']);
        Route::post('moves', [TodayController::class, 'move']);
        Route::delete('moves', [TodayController::class, 'undo']);
        Route::post('move-cost', [TodayController::class, 'cost'])->withoutMiddleware(OnceOnly::class);
        Route::post('promise-offer', [PromiseController::class, 'offer'])->withoutMiddleware(OnceOnly::class);
    });

    // works something out and keeps nothing, so it needs no key
    Route::post('computations/{name}', [ComputationController::class, 'compute'])->withoutMiddleware(OnceOnly::class);
    Route::get('instruments', [InstrumentController::class, 'index']);
    Route::post('instruments/{name}/sheet', [InstrumentController::class, 'sheet'])->withoutMiddleware(OnceOnly::class);
    Route::post('complaints', [ComplaintController::class, 'read'])->withoutMiddleware(OnceOnly::class);
    Route::post('instruments/{name}', [InstrumentController::class, 'compute'])->withoutMiddleware(OnceOnly::class);

    Route::get('campaigns', [CampaignController::class, 'index']);
    Route::post('campaigns', [CampaignController::class, 'store']);
    Route::post('campaigns/who', [CampaignController::class, 'who'])->withoutMiddleware(OnceOnly::class);
    Route::prefix('campaigns/{campaign}')->group(function (): void {
        Route::get('', [CampaignController::class, 'show']);
        Route::put('', [CampaignController::class, 'change']);
        Route::post('looks', [CampaignController::class, 'look']);
        Route::post('mended', [CampaignController::class, 'mended']);
        Route::post('red-tags', [CampaignController::class, 'tagTheRest']);
        Route::get('letters', [CampaignController::class, 'letters']);
        Route::post('letters', [CampaignController::class, 'wroteTo']);
        Route::post('end', [CampaignController::class, 'close']);
    });

    Route::post('jobs', [JobController::class, 'store']);
    Route::prefix('jobs/{job}')->group(function (): void {
        Route::get('', [JobController::class, 'show']);
        Route::patch('', [JobController::class, 'update']);
        Route::post('station', [JobController::class, 'move']);
        Route::post('hands', [JobController::class, 'hands']);
        Route::put('accessories', [JobController::class, 'accessories']);

        Route::post('safety-answers', [SafetyController::class, 'answer']);
        Route::post('red-tag', [SafetyController::class, 'putOn']);
        Route::post('red-tag/off', [SafetyController::class, 'askOff']);
        Route::post('red-tag/countersignature', [SafetyController::class, 'countersign']);
        Route::post('red-tag/supervised-test', [SafetyController::class, 'signTest']);

        Route::get('diagnosis', [DiagnosisController::class, 'show']);
        Route::post('campaigns', [CampaignController::class, 'fromJob']);
        Route::post('spool', [SpoolController::class, 'inJob']);
        Route::post('findings', [DiagnosisController::class, 'record']);
        Route::get('instruments/{name}', [InstrumentController::class, 'compare']);
        Route::post('instruments/{name}', [InstrumentController::class, 'take']);
        Route::post('readings', [DiagnosisController::class, 'reading']);
        Route::delete('findings/{finding}', [DiagnosisController::class, 'withdraw']);
        Route::post('hidden-checks', [DiagnosisController::class, 'hide']);
        Route::post('faults', [DiagnosisController::class, 'confirm']);
        Route::post('faults/pass', [DiagnosisController::class, 'pass']);
        Route::post('faults/supersede', [DiagnosisController::class, 'supersede']);

        Route::get('trials', [TrialController::class, 'index']);
        Route::post('trials', [TrialController::class, 'store']);
        Route::post('trials/plan', [TrialController::class, 'plan']);
        Route::post('trials/conclusion', [TrialController::class, 'conclude']);
        Route::delete('trials/{trial}', [TrialController::class, 'withdraw']);
        Route::post('photographs', [PhotographController::class, 'store']);

        Route::post('mends', [RepairController::class, 'note']);
        Route::post('parts', [RepairController::class, 'usePart']);
        Route::delete('parts/{movement}', [RepairController::class, 'putBack']);
        Route::post('positions/{position}/turn', [CareController::class, 'turn']);
        Route::post('positions/{position}/removal', [CareController::class, 'remove']);
        Route::post('warranty', [CareController::class, 'choose']);
        Route::post('service', [CareController::class, 'serviceDone']);

        Route::get('fix', [TrayController::class, 'show']);
        Route::post('teardown-steps', [TrayController::class, 'take']);
        Route::delete('teardown-steps/{step}', [TrayController::class, 'withdraw']);
        Route::post('teardown-steps/{step}/missing', [TrayController::class, 'missing']);
        Route::post('teardown-steps/{step}/back', [TrayController::class, 'putBack']);
        Route::delete('teardown-steps/{step}/back', [TrayController::class, 'undo']);
        Route::post('differences/explanation', [TrayController::class, 'explain']);

        Route::post('guide-runs', [GuideController::class, 'start']);
        Route::post('guide-runs/{run}/steps/{step}', [GuideController::class, 'tick']);
        Route::delete('guide-runs/{run}/steps/{step}', [GuideController::class, 'untick']);
        Route::post('guide-runs/{run}/end', [GuideController::class, 'end']);
        Route::post('guide-runs/{run}/kit', [GuideController::class, 'reserve']);
        Route::delete('promised-parts', [GuideController::class, 'release']);
        Route::post('timers', [TimerController::class, 'start']);
        Route::post('guide-runs/{run}/steps/{step}/timer', [TimerController::class, 'startStep']);
        Route::delete('timers/{timer}', [TimerController::class, 'stop']);

        Route::post('proofs', [ProofController::class, 'record']);
        Route::post('proofs/waiver', [ProofController::class, 'waive']);
        Route::get('proof-run', [RunController::class, 'show']);
        Route::post('proof-run', [RunController::class, 'start']);
        Route::post('proof-run/{run}/answer', [RunController::class, 'answer']);
        Route::post('proof-run/{run}/stop', [RunController::class, 'stop']);
        Route::post('proof-run/{run}/unplugged', [RunController::class, 'unplugged']);
        Route::post('proof-run/{run}/back-to-find', [RunController::class, 'takeBack']);
        Route::post('release', [ReleaseController::class, 'send']);

        Route::get('promise', [PromiseController::class, 'show']);
        Route::get('money', [JobMoneyController::class, 'show']);
        Route::post('estimates', [JobMoneyController::class, 'sendEstimate']);
        Route::post('estimates/{estimate}/answer', [JobMoneyController::class, 'answer']);
        Route::delete('estimates', [JobMoneyController::class, 'withdraw']);
        Route::post('messages', [JobMoneyController::class, 'note']);
        Route::post('bill', [JobMoneyController::class, 'bill']);
        Route::post('split', [JobMoneyController::class, 'split']);
        Route::post('ready', [JobMoneyController::class, 'ready']);
        Route::post('reminders', [JobMoneyController::class, 'remind']);
    });
});
Route::any('{any}', fn () => abort(404))->where('any', '.*');
