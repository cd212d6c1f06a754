<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

/** What is written down when a campaign begins. */
final readonly class NewCampaign
{
    /**
     * @param  'fault'|'batch'|'bulletin'|'thought'  $origin
     * @param  string|null  $fault  code
     * @param  string|null  $look  code of a check
     * @param  string|null  $lookFor  in words
     * @param  string|null  $mend  what puts it right
     * @param  string|null  $dueOn  YYYY-MM-DD
     */
    public function __construct(
        public string $origin,
        public string $title,
        public Who $who,
        public ?string $because = null,
        public ?string $fault = null,
        public ?string $look = null,
        public ?string $lookFor = null,
        public bool $dangerous = false,
        public ?string $mend = null,
        public ?int $assignedTo = null,
        public ?string $dueOn = null,
    ) {
    }
}
