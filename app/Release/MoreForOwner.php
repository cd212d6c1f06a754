<?php

declare(strict_types=1);

namespace App\Release;

use App\Intake\Job;

/** What the rooms have to say to an owner while the machine is with the shop. */
final readonly class MoreForOwner
{
    /** @param  iterable<OnOwnersPage>  $rooms */
    public function __construct(private iterable $rooms)
    {
    }

    /** @return list<array{string, array<string, mixed>}> views, each with what it shows */
    public function of(Job $job): array
    {
        $more = [];
        foreach ($this->rooms as $room) {
            $said = $room->of($job);
            if ($said !== null) {
                $more[] = $said;
            }
        }

        return $more;
    }
}
