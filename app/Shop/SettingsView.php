<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\View;
use Illuminate\Support\Facades\Config;
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
        #[OA\Property(description: 'a part is there in at least so many of a hundred times')] public int $servicePct,
        #[OA\Property(enum: ['measure-first', 'swap-first'])] public string $school,
        #[OA\Property(description: 'where a tablet gets the shop’s certificate; null where the page is on this machine alone')]
        public ?string $trustAddress,
        #[OA\Property(description: 'its print, to compare')] public ?string $trustPrint,
        #[OA\Property(description: 'minutes of rest after which a shared tablet forgets who was there')] public int $idleMinutes,
        #[OA\Property(description: 'how long a repair is stood for')] public int $warrantyDays,
        #[OA\Property] public int $warrantyHours,
        #[OA\Property(description: 'minutes of hands to take a machine out, open it, prove it and put it back')] public int $openMinutes,
        #[OA\Property(description: 'minutes of hands until it is known what failed')] public int $findMinutes,
        #[OA\Property(description: 'days a machine stands that failed by itself')] public int $downDays,
        #[OA\Property(description: 'what a print hour brings, minor units')] public int $printHourMinor,
        #[OA\Property(description: 'dryers in the shop')] public int $ovens,
        #[OA\Property(description: 'what has earned it may run when nobody is there')] public bool $nights,
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
            Setting::whole('service_pct'),
            Setting::text('school'),
            Config::string('odd-bench.trust_address') ?: null,
            Config::string('odd-bench.trust_print') ?: null,
            Setting::whole('idle_minutes'),
            Setting::whole('warranty_days'),
            Setting::whole('warranty_hours'),
            Setting::whole('open_minutes'),
            Setting::whole('find_minutes'),
            Setting::whole('down_days'),
            Setting::whole('print_hour_minor'),
            Setting::whole('ovens'),
            Setting::yes('nights'),
            timezone_identifiers_list(),
        );
    }
}
