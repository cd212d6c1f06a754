<?php

declare(strict_types=1);

namespace App\Release;

use App\Diagnosis\Faults\KnowsComebacks;
use App\Machines\Owners\SaysToOwner;
use Illuminate\Support\ServiceProvider;

final class ReleaseServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->tag(ToldOwners::class, SaysToOwner::TAG);
        $this->app->when(MoreForOwner::class)->needs('$rooms')->giveTagged(OnOwnersPage::TAG);
        $this->app->bind(KnowsComebacks::class, Comebacks::class);
    }
}
