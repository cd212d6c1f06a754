<?php

declare(strict_types=1);

namespace App\Shop;

/** What the shop has set, with its defaults. */
final class Setting
{
    private const DEFAULTS = [
        'demo' => false,
        'shop_name' => 'The bench',
        'currency' => 'EUR',
        'zone' => 'UTC',
        // what a minute of hands costs, in minor units of the currency
        'bench_minute_minor' => 90,
        // how long the shop stands for a repair unless it says otherwise
        'warranty_days' => 90,
        'warranty_hours' => 500,
        // what it costs to write, watch and unpack an order, in minutes of hands
        'order_minutes' => 12,
        // a tablet others use too forgets who was there after so many minutes of rest
        'idle_minutes' => 30,
        // what comes first where both ways are open
        'school' => 'measure-first',
        // a part is there in at least so many of a hundred times it is wanted; where its class asks for more, that holds
        'service_pct' => 80,
        // a part in a bin costs a fifth of its price a year: money, room, what goes out of use (from memory)
        'holding_pct' => 20,
        // minutes of hands to take a machine out of its rack, open it, prove it and put it back (from memory)
        'open_minutes' => 12,
        // and until it is known what failed
        'find_minutes' => 30,
        // how long a machine stands that failed by itself, and what an hour of printing brings (from memory)
        'down_days' => 2,
        'print_hour_minor' => 120,
        // dryers in the shop, one machine's spools in each
        'ovens' => 1,
        // whether what has earned it may run when nobody is there
        'nights' => false,
    ];

    public static function isDemo(): bool
    {
        return config('odd-bench.real') !== true && (bool) self::get('demo');
    }

    public static function text(string $key): string
    {
        $value = self::get($key);

        return is_string($value) ? $value : '';
    }

    public static function benchMinuteMinor(): int
    {
        return self::whole('bench_minute_minor');
    }

    /**
     * @param  'bench_minute_minor'|'warranty_days'|'warranty_hours'|'order_minutes'|'holding_pct'|'idle_minutes'|'service_pct'
     *     |'open_minutes'|'find_minutes'|'down_days'|'print_hour_minor'|'ovens'  $key
     */
    public static function whole(string $key): int
    {
        $value = self::get($key);

        return is_int($value) ? $value : self::DEFAULTS[$key];
    }

    /** @param  'nights'|'demo_playing'  $key */
    public static function yes(string $key): bool
    {
        return self::get($key) === true;
    }

    public static function put(string $key, mixed $value): void
    {
        app(Settings::class)->put($key, $value);
    }

    private static function get(string $key): mixed
    {
        return app(Settings::class)->get($key) ?? (self::DEFAULTS[$key] ?? null);
    }
}
