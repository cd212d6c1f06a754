<?php

declare(strict_types=1);

namespace App\Shop;

use Carbon\CarbonInterface;
use Illuminate\Support\Carbon;

/** Which day it is in the shop: its zone is a setting, the server’s clock runs in another. One of these lives as long as a request. */
final class ShopDay
{
    private ?string $zone = null;

    /** As 2026-11-25. */
    public function today(): string
    {
        return $this->of(now());
    }

    /** The day of a moment, as 2026-11-25. */
    public function of(CarbonInterface $at): string
    {
        return $at->copy()->setTimezone($this->zone())->toDateString();
    }

    /** The moment today began. */
    public function began(): Carbon
    {
        return Carbon::now($this->zone())->startOfDay()->utc();
    }

    public function zone(): string
    {
        return $this->zone ??= Setting::text('zone');
    }
}
