<?php

declare(strict_types=1);

namespace App\Plan;

use App\Intake\HearsJob;
use App\Intake\HearsPromise;
use App\Intake\SaysNextStep;
use App\Intake\WorkSpell;
use App\Plan\Ahead\LookedBefore;
use App\Plan\Ahead\Names;
use App\Plan\Ahead\Practice;
use App\Plan\Calendar\ShopHours;
use App\Plan\Making\HearsChanges;
use App\Plan\Promises\HearsPromises;
use App\Shop\Person;
use App\Stock\Orders\Order;
use App\Stock\Shelf\Movement;
use Illuminate\Support\ServiceProvider;

final class PlanServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(SaysNextStep::class, NextStep::class);
        $this->app->bind(HearsJob::class, HearsChanges::class);
        $this->app->bind(HearsPromise::class, HearsPromises::class);
        $this->app->scoped(LookedBefore::class);
        $this->app->scoped(Names::class);
        $this->app->scoped(Practice::class);
        $this->app->scoped(ShopHours::class);
    }

    /** What the plan rests on besides the jobs themselves: what comes for them, and who is there. */
    public function boot(): void
    {
        Movement::created(static function (Movement $movement): void {
            if ($movement->kind !== 'used') {
                PlanNews::note($movement->kind === 'received' ? "{$movement->part->name} came in" : 'Something else lies on the shelf');
            }
        });
        WorkSpell::created(static fn () => PlanNews::note(''));
        WorkSpell::updated(static function (WorkSpell $spell): void {
            if ($spell->wasChanged('ended_at')) {
                PlanNews::note('');
            }
        });
        Order::created(static fn () => PlanNews::note('Parts are ordered'));
        Order::updated(static function (Order $order): void {
            if ($order->wasChanged('closed_at')) {
                PlanNews::note("Nothing more comes of the order from {$order->supplier->name}");
            }
        });
        Person::updated(static function (Person $person): void {
            if ($person->wasChanged(['left_at', 'role', 'mains_until', 'name'])) {
                PlanNews::note($person->wasChanged('left_at') && $person->left_at !== null
                    ? "{$person->name} has left the shop"
                    : "{$person->name} is in the plan as they are now");
            }
        });
        Person::created(static fn (Person $person) => PlanNews::note("{$person->name} is new here"));
    }
}
