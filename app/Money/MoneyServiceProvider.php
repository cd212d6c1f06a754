<?php

declare(strict_types=1);

namespace App\Money;

use App\Intake\SaysOfWalk;
use App\Machines\Owners\SaysToOwner;
use App\Money\Estimates\AskedOnPage;
use App\Money\Estimates\OwnerOnWalk;
use App\Money\Messages\ToldByMoney;
use App\Money\Worth\PieceCosts;
use App\Money\Worth\Sales;
use App\Release\OnOwnersPage;
use App\Stock\Donors\KnowsPieceCosts;
use App\Stock\Shelf\AsksBeforeTaking;
use Illuminate\Support\ServiceProvider;

final class MoneyServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->tag([OwnerOnWalk::class], SaysOfWalk::TAG);
        $this->app->tag([ToldByMoney::class], SaysToOwner::TAG);
        $this->app->tag([AskedOnPage::class], OnOwnersPage::TAG);
        $this->app->bind(AsksBeforeTaking::class, OwnerOnWalk::class);
        $this->app->bind(KnowsPieceCosts::class, PieceCosts::class);
        $this->app->scoped(Sales::class);
    }
}
