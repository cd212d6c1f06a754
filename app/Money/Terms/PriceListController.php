<?php

declare(strict_types=1);

namespace App\Money\Terms;

use App\Shop\Ability;
use App\Shop\Setting;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use OddBench\Input\InputError;

final class PriceListController
{
    public function show(): PriceListView
    {
        Gate::authorize(Ability::SeeMoney);

        return PriceListView::of(PriceList::read());
    }

    public function update(PriceListRequest $request): PriceListView
    {
        Gate::authorize(Ability::RunShop);
        DB::transaction(static function () use ($request): void {
            $sums = [];
            foreach (PriceListRequest::SUMS as $field => $key) {
                $sums[$key] = $request->sum($field);
            }
            if ($sums['charge_minute_minor'] === 0) {
                throw InputError::at('minute', 'A minute of hands costs more than nothing.');
            }
            foreach ($sums as $key => $sum) {
                Setting::put($key, $sum);
            }
            Setting::put('markup_pct', round($request->float('markupPct'), 2));
            Setting::put('tax_pct', round($request->float('taxPct'), 2));
            Setting::put('storage_free_days', $request->integer('freeDays'));
            Setting::put('residual_school', $request->boolean('residual'));
            Setting::put('parts_claims', $request->boolean('partsClaims'));
        });

        return PriceListView::of(PriceList::read());
    }
}
