<?php

declare(strict_types=1);

namespace App\Money\Terms;

use App\Shop\Setting;
use App\Shop\Settings;

/** What the shop asks for its work, and how it reckons with what it buys: settings, with their defaults. */
final readonly class PriceList
{
    /**
     * @param  int  $minuteMinor  what an owner is charged for a minute of hands
     * @param  float  $markupPct  on parts
     * @param  float  $taxPct  on the whole
     * @param  int  $minimumMinor  least net of a job that is charged
     * @param  int  $freeDays  that a machine which is ready stands for nothing
     * @param  int  $storageDayMinor  after them
     * @param  int  $marginMinor  to be earned on a machine that is bought
     * @param  int  $sellingMinor  what selling one costs: a notice, a box, the talk
     * @param  int  $idleDayMinor  what a day costs that a machine stands
     * @param  bool  $residual  of a lot, what is sold pays first
     * @param  bool  $partsClaims  the shop fits parts that were claimed itself
     */
    private function __construct(
        public int $minuteMinor,
        public float $markupPct,
        public float $taxPct,
        public int $minimumMinor,
        public int $freeDays,
        public int $storageDayMinor,
        public int $marginMinor,
        public int $sellingMinor,
        public int $idleDayMinor,
        public bool $residual,
        public bool $partsClaims,
    ) {
    }

    public static function read(): self
    {
        $settings = app(Settings::class);
        $figure = static function (string $key, float $default) use ($settings): float {
            $kept = $settings->get($key);

            return is_numeric($kept) ? (float) $kept : $default;
        };
        $whole = static fn (string $key, int $default): int => (int) round($figure($key, $default));

        return new self(
            $whole('charge_minute_minor', Setting::benchMinuteMinor()),
            $figure('markup_pct', 35),
            $figure('tax_pct', 0),
            $whole('minimum_minor', 0),
            $whole('storage_free_days', 30),
            $whole('storage_day_minor', 100),
            $whole('margin_minor', 4000),
            $whole('selling_minor', 1500),
            $whole('idle_day_minor', 4 * Setting::benchMinuteMinor()),
            $settings->get('residual_school') === true,
            $settings->get('parts_claims') !== false,
        );
    }
}
