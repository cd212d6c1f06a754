<?php

declare(strict_types=1);

namespace App\Release;

use App\Intake\Job;

/** What another room has to say to an owner on the page behind the code, while the machine is with the shop. */
interface OnOwnersPage
{
    public const TAG = 'on-owners-page';

    /** @return array{string, array<string, mixed>}|null a view and what it shows; nothing when there is nothing to say */
    public function of(Job $job): ?array;
}
