<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Who is logged in, and what the page must know of the shop. */
#[OA\Schema]
final readonly class SessionView extends View
{
    /** @param  list<DemoLoginView>  $demoLogins shown on the login page, in demo mode only */
    public function __construct(
        #[OA\Property] public ?PersonView $person,
        #[OA\Property(description: 'nobody was ever here: it is to be opened')] public bool $isNew,
        #[OA\Property] public string $shopName,
        #[OA\Property] public string $currency,
        #[OA\Property] public string $zone,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DemoLoginView::class))] public array $demoLogins,
    ) {
    }

    public static function for(?Person $person): self
    {
        return new self(
            $person === null ? null : PersonView::of($person),
            $person === null && ! Person::query()->exists(),
            Setting::text('shop_name'),
            Setting::text('currency'),
            Setting::text('zone'),
            $person === null && Setting::isDemo() ? DemoLogins::all() : [],
        );
    }
}
