<?php

declare(strict_types=1);

namespace App\Passport;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What stands on a machine’s label. */
#[OA\Schema]
final readonly class LabelView extends View
{
    public function __construct(
        #[OA\Property] public MachineSummary $machine,
        #[OA\Property(description: 'address of the page its owner may see; null for whoever does not see owners')]
        public ?string $ownersPage,
    ) {
    }
}
