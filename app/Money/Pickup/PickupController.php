<?php

declare(strict_types=1);

namespace App\Money\Pickup;

use App\Shop\Ability;
use Illuminate\Support\Facades\Gate;

final readonly class PickupController
{
    public function __construct(private PickupsQuery $pickups)
    {
    }

    public function index(): NotFetchedView
    {
        Gate::authorize(Ability::SeeMoney);

        return $this->pickups->all();
    }
}
