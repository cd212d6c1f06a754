<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\View;
use App\Shop\Tablets\TabletPerson;
use OpenApi\Attributes as OA;

/** Who is logged in, and what the page must know of the shop. */
#[OA\Schema]
final readonly class SessionView extends View
{
    /**
     * @param  list<DemoLoginView>  $demoLogins shown on the login page, in demo mode only
     * @param  list<TabletPerson>  $signers
     */
    public function __construct(
        #[OA\Property] public ?PersonView $person,
        #[OA\Property(description: 'nobody was ever here: it is to be opened')] public bool $isNew,
        #[OA\Property] public string $shopName,
        #[OA\Property] public string $currency,
        #[OA\Property] public string $zone,
        #[OA\Property(description: 'what comes first at Find unless chosen otherwise', enum: ['measure-first', 'swap-first'])]
        public string $school,
        #[OA\Property(description: 'a tablet that others use too: a signature takes a PIN')] public bool $shared,
        #[OA\Property(description: 'minutes of rest after which it forgets who was there')] public int $idleMinutes,
        #[OA\Property(
            type: 'array',
            items: new OA\Items(ref: TabletPerson::class),
            description: 'who may take a shared tablet over, or sign on it',
        )]
        public array $signers,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DemoLoginView::class))] public array $demoLogins,
    ) {
    }

    public static function for(?Person $person, bool $shared): self
    {
        return new self(
            $person === null ? null : PersonView::of($person),
            $person === null && ! Person::query()->exists(),
            Setting::text('shop_name'),
            Setting::text('currency'),
            Setting::text('zone'),
            Setting::text('school'),
            $shared,
            Setting::whole('idle_minutes'),
            $shared ? TabletPerson::all() : [],
            $person === null && Setting::isDemo() ? DemoLogins::all() : [],
        );
    }
}
