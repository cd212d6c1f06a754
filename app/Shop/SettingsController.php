<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

final class SettingsController
{
    private const KEYS = [
        'shopName' => 'shop_name',
        'zone' => 'zone',
        'currency' => 'currency',
        'benchMinuteMinor' => 'bench_minute_minor',
        'orderMinutes' => 'order_minutes',
        'holdingPct' => 'holding_pct',
        'servicePct' => 'service_pct',
        'school' => 'school',
        'idleMinutes' => 'idle_minutes',
        'warrantyDays' => 'warranty_days',
        'warrantyHours' => 'warranty_hours',
        'openMinutes' => 'open_minutes',
        'findMinutes' => 'find_minutes',
        'downDays' => 'down_days',
        'printHourMinor' => 'print_hour_minor',
        'ovens' => 'ovens',
    ];

    public function show(): SettingsView
    {
        Gate::authorize(Ability::RunShop);

        return SettingsView::read();
    }

    public function update(SettingsRequest $request): SettingsView
    {
        Gate::authorize(Ability::RunShop);
        DB::transaction(static function () use ($request): void {
            foreach (self::KEYS as $field => $key) {
                $text = in_array($field, ['shopName', 'zone', 'currency', 'school'], true);
                Setting::put($key, $text ? $request->string($field)->trim()->toString() : $request->integer($field));
            }
            Setting::put('nights', $request->boolean('nights'));
        });

        return SettingsView::read();
    }
}
