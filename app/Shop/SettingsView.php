<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What the shop has set. */
#[OA\Schema]
final readonly class SettingsView extends View
{
    /** @param  list<string>  $zones */
    public function __construct(
        #[OA\Property] public string $shopName,
        #[OA\Property(description: 'the day of the shop begins at its midnight')] public string $zone,
        #[OA\Property(description: 'ISO 4217')] public string $currency,
        #[OA\Property(description: 'what a minute of hands costs, in minor units')] public int $benchMinuteMinor,
        #[OA\Property(description: 'minutes of hands it takes to write, watch and unpack an order')] public int $orderMinutes,
        #[OA\Property(description: 'what a part in a bin costs a year, per cent of its price')] public int $holdingPct,
        #[OA\Property(description: 'how long a repair is stood for')] public int $warrantyDays,
        #[OA\Property] public int $warrantyHours,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $zones,
    ) {
    }

    public static function read(): self
    {
        return new self(
            Setting::text('shop_name'),
            Setting::text('zone'),
            Setting::text('currency'),
            Setting::benchMinuteMinor(),
            Setting::whole('order_minutes'),
            Setting::whole('holding_pct'),
            Setting::whole('warranty_days'),
            Setting::whole('warranty_hours'),
            timezone_identifiers_list(),
        );
    }
}
