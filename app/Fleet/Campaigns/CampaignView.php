<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A campaign with its machines and how far it has come. */
#[OA\Schema]
final readonly class CampaignView extends View
{
    /**
     * @param  list<string>  $steps  how to look
     * @param  list<string>  $cautions
     * @param  list<LookView>  $machines  those to look at first
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: ['fault', 'batch', 'bulletin', 'thought'])] public string $origin,
        #[OA\Property] public ?string $fault,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'which machines it is about, in words')] public ?string $who,
        #[OA\Property] public bool $danger,
        #[OA\Property(description: 'name of the check')] public ?string $look,
        #[OA\Property(description: 'what to look for, in words')] public ?string $lookFor,
        #[OA\Property] public float $minutes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $cautions,
        #[OA\Property] public string $because,
        #[OA\Property(description: 'what puts it right')] public ?string $mend,
        #[OA\Property] public ?int $foundInJob,
        #[OA\Property] public ?string $foundOn,
        #[OA\Property] public string $by,
        #[OA\Property] public string $openedAt,
        #[OA\Property] public ?string $closedAt,
        #[OA\Property] public ?int $assignedTo,
        #[OA\Property] public ?string $assignedName,
        #[OA\Property] public ?string $dueOn,
        #[OA\Property(description: 'the day is over and not all are looked at')] public bool $late,
        #[OA\Property(description: 'who had red tags put on what nobody had looked at')] public ?string $taggedBy,
        #[OA\Property] public int $all,
        #[OA\Property] public int $looked,
        #[OA\Property] public int $affected,
        #[OA\Property(description: 'at least so many of all are affected (95 %, exact)')] public int $least,
        #[OA\Property] public int $most,
        #[OA\Property(description: 'enough were looked at: more looks change nothing')] public bool $settled,
        #[OA\Property(description: 'so many more looks settle it, if they find as before')] public int $looksToSettle,
        #[OA\Property] public int $mended,
        #[OA\Property(description: 'affected machines whose owners were not written to')] public int $lettersOwed,
        #[OA\Property(description: 'here, not looked at or found affected and not put right, and without a red tag')] public int $untagged,
        #[OA\Property] public string $said,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LookView::class))] public array $machines,
    ) {
    }
}
