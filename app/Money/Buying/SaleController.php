<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Machines\Machine;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;

final readonly class SaleController
{
    public function store(string $tag, SaleRequest $request, SellMachine $sell): SaleView
    {
        Gate::authorize(Ability::SeeMoney);
        Gate::authorize(Ability::SendOut);
        $sale = $sell->sell(Machine::known($tag), $request->sum('price'), $request->boolean('belowParts'), Here::person());

        return new SaleView($sale->price_minor, $sale->at->toIso8601String());
    }
}
