<?php

declare(strict_types=1);

use App\Api\LimitBody;
use App\Api\OnceOnly;
use App\Api\Problem;
use App\Api\Wait;
use App\Demo\DemoIsFilled;
use App\Demo\WhileFilled;
use App\Fleet\Risks\KeepRisks;
use App\Plan\Making\PlanWatch;
use App\Stock\Shelf\MovementDays;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;

// What takes long gives way to what somebody waits for; a worker that has done so before does already.
if (getenv('ODD_BENCH_POOL') === 'slow') {
    $stat = (string) @file_get_contents('/proc/self/stat');
    if ((explode(' ', substr($stat, (int) strrpos($stat, ')') + 2))[16] ?? '') === '0') {
        @proc_nice(10);
    }
}
// Data, logs and generated files of this instance; bin/odd-bench says where.
$state = getenv('ODD_BENCH_STATE') ?: dirname(__DIR__).'/var/tools';
foreach (['SERVICES' => 'services', 'PACKAGES' => 'packages', 'CONFIG' => 'config', 'ROUTES' => 'routes', 'EVENTS' => 'events'] as $key => $file) {
    $_ENV["APP_{$key}_CACHE"] = $_SERVER["APP_{$key}_CACHE"] = "{$state}/cache/{$file}.php";
}
// the page keeps its configuration and its routes worked out, in a folder only it can read; `up` makes them anew
if (getenv('ODD_BENCH_ENV') === '.env.web') {
    foreach (['CONFIG' => 'config', 'ROUTES' => 'routes'] as $key => $file) {
        $_ENV["APP_{$key}_CACHE"] = $_SERVER["APP_{$key}_CACHE"] = "{$state}/web-tmp/{$file}.php";
    }
}
if (! is_dir("{$state}/cache")) {
    @mkdir("{$state}/cache", 0755, true);
    foreach (['storage/framework/views', 'storage/framework/cache', 'storage/framework/sessions', 'storage/logs', 'storage/app'] as $folder) {
        @mkdir("{$state}/{$folder}", 0755, true);
    }
}

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        then: function (): void {
            Illuminate\Support\Facades\Route::middleware(App\Shop\Security\NoteSecurity::class)->group(__DIR__.'/../routes/open.php');
            Illuminate\Support\Facades\Route::middleware(['web', LimitBody::class, OnceOnly::class])
                ->prefix('api/v1')
                ->group(__DIR__.'/../routes/api.php');
        },
    )
    ->withProviders()
    ->withCommands([
        App\Instruments\Console\PluckCommand::class,
        App\Proof\Console\RigCommand::class,
        App\Proof\Console\ProverCommand::class,
        App\Proof\Console\ClerkCommand::class,
        App\Proof\Console\MeasureRunCommand::class,
        App\Computation\ComputeCommand::class,
        App\Computation\FuzzCommand::class,
        App\Computation\AccuracyCommand::class,
        App\Knowledge\Console\KnowledgeCommand::class,
        App\Diagnosis\Console\RatesCommand::class,
        App\Fleet\Risks\WorkOutCommand::class,
        App\Machines\Console\AskPrintersCommand::class,
        App\Plan\NextStepsCommand::class,
        App\Plan\Making\PlanCommand::class,
        App\Practice\JobTestCommand::class,
        App\Computation\MeasureCommand::class,
        App\Api\Console\OpenApiCommand::class,
        App\Stock\Console\AuditCommand::class,
        App\Stock\Console\MeasureScaleCommand::class,
        App\Demo\DemoCommand::class,
        App\Shop\Console\ClockCommand::class,
        App\Shop\Console\MigrateCommand::class,
        App\Shop\Console\BackupCommand::class,
        App\Api\Console\PruneCommand::class,
        App\Shop\Console\PersonCommand::class,
        App\Shop\Console\WelcomeCommand::class,
    ])
    ->withSchedule(function (Schedule $schedule): void {
        $schedule->command('odd-bench:prune')->hourly();
        $schedule->command('odd-bench:counters')->hourlyAt(40)->withoutOverlapping(60)->runInBackground();
        // what changed on many machines at once; and, once a night, everything anew
        $schedule->call(static fn (KeepRisks $risks) => $risks->catchUp())->name('changed')->everyMinute()->withoutOverlapping(10);
        $schedule->command('odd-bench:lives --due')->hourlyAt(10)->withoutOverlapping(60)->runInBackground();
        $schedule->call(static fn (MovementDays $days) => $days->catchUp())->name('sums')->hourlyAt(50);
        // what was heard since the last plan; it is worked out on the queue
        $schedule->call(static function (Application $app): void {
            $app->forgetScopedInstances();
            $app->make(PlanWatch::class)->look();
        })->name('plan')->everyFiveSeconds();
        // a shop's night; what fails, or fell into hours the machine was off, is made up for
        if (config('odd-bench.real') === true) {
            $schedule->command('odd-bench:backup --due')->hourlyAt(20)->withoutOverlapping(360)->runInBackground();
        }
    })
    ->withMiddleware(function (Middleware $middleware): void {
        // One origin only: the page and its API come from the same server.
        $middleware->remove(HandleCors::class);
        $middleware->web(
            prepend: [App\Proof\Run\HearStop::class, WhileFilled::class, App\Shop\Tokens\ByToken::class],
            replace: [
                Illuminate\Session\Middleware\StartSession::class => App\Shop\StartSession::class,
                Illuminate\Foundation\Http\Middleware\ValidateCsrfToken::class => App\Shop\Tokens\CheckPage::class,
            ],
        );
        $middleware->web(append: [App\Shop\Security\NoteSecurity::class, App\Shop\Tablets\KeepSitting::class, App\Api\SameOrigin::class]);
        // before anybody is asked who they are
        foreach ([App\Shop\Security\NoteSecurity::class, App\Shop\Tablets\KeepSitting::class] as $first) {
            $middleware->prependToPriorityList(Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests::class, $first);
        }
        $middleware->trimStrings(except: ['password']);
        $middleware->redirectGuestsTo(fn (Request $request): ?string => $request->is('api/*') ? null : '/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport([OddBench\Input\InputError::class, App\Api\Refused::class, App\Api\Stale::class]);
        $exceptions->render(fn (Throwable $e, Request $request) => match (true) {
            $request->is('api/*') => Problem::for($e)->response(),
            Problem::isAway($e) => Wait::for('The database is away just now', [
                'This page asks again every three seconds; it is usually back within five.',
                'If a printer is under proof: its heaters are switched off when this lasts. Look at it.',
            ]),
            $e instanceof DemoIsFilled => Wait::for('The demo shop is being filled', [
                'That takes about ten seconds. This page asks again every three and opens by itself when the shop is ready.',
            ]),
            default => null,
        });
    })
    ->create();

$app->useStoragePath("{$state}/storage");
$app->useEnvironmentPath($state);
// the page has a copy of its own: it runs as another user
$app->loadEnvironmentFrom(getenv('ODD_BENCH_ENV') ?: '.env');

return $app;
