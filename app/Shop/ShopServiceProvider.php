<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\KeptConnection;
use App\Shop\Tokens\ByToken;
use App\Shop\Tokens\Token;
use Illuminate\Auth\Access\Response;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use Laravel\Sanctum\Sanctum;
use OddBench\Shop\DiskRoom;
use OddBench\Shop\PasswordRule;

final class ShopServiceProvider extends ServiceProvider
{
    /** Names in addresses that stand for a number. */
    private const NUMBERS = [
        'job',
        'finding',
        'trial',
        'step',
        'run',
        'timer',
        'movement',
        'order',
        'line',
        'stocktake',
        'file',
        'campaign', 'rack',
        'paper',
        'mark',
        'photograph',
        'counter',
        'person',
        'owner',
        'token',
        'claim',
        'offer',
        'estimate',
        'place',
        'off',
    ];

    public function register(): void
    {
        $this->app->bind('db.connector.pgsql', KeptConnection::class);
        $this->app->scoped(ShopDay::class);
        $this->app->scoped(Settings::class);
        $this->app->when(EndPerson::class)->needs('$rooms')->giveTagged(HearsLeaving::TAG);
        $this->app->singleton(PasswordRule::class, static fn (): PasswordRule => new PasswordRule(array_values(array_filter(
            file(resource_path('passwords/commonest.txt'), FILE_IGNORE_NEW_LINES) ?: [],
            static fn (string $line): bool => ! str_starts_with($line, '#'),
        ))));
        $this->app->bind(
            DiskRoom::class,
            static fn (): DiskRoom => new DiskRoom(
                max(0.0, (float) @disk_free_space(storage_path())),
                max(1.0, (float) @disk_total_space(storage_path())),
            ),
        );
    }

    public function boot(): void
    {
        // a number no table can hold is no address of anything here
        Route::patterns(array_fill_keys(self::NUMBERS, '[0-9]{1,18}'));
        // whatever name or port the page is reached by
        Vite::createAssetPathsUsing(static fn (string $path): string => "/{$path}");
        foreach (Ability::cases() as $ability) {
            Gate::define(
                $ability,
                static fn (Person $person): Response => match (true) {
                    ($refused = ByToken::refuses(request(), $ability)) !== null => $refused,
                    $ability->of($person->role, $person->sees_money) => Response::allow(),
                    default => Response::deny($ability->refusal()),
                },
            );
        }
        Sanctum::usePersonalAccessTokenModel(Token::class);
        Relation::enforceMorphMap(['person' => Person::class]);
        Session::extend('database', static fn (Application $app): QuietSessions => new QuietSessions(
            $app->make('db')->connection(), Config::string('session.table'), Config::integer('session.lifetime'), $app,
        ));
        Model::preventLazyLoading(! app()->isProduction());
        Model::preventSilentlyDiscardingAttributes();
        // more than hands can do, less than a script needs to keep everybody else waiting
        RateLimiter::for('person', fn (Request $request): Limit => Limit::perMinute(Config::integer('odd-bench.requests_a_minute'))->by(
            'person:'.Here::person()->id,
        ));
    }
}
