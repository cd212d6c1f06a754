<?php

declare(strict_types=1);

namespace App\JobScreen;

use App\Intake\ShowJob;
use Illuminate\Support\ServiceProvider;

final class JobScreenServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(ShowJob::class, ReadJob::class);
    }
}
