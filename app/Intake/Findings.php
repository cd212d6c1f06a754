<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Refused;
use App\Shop\Person;

/** Where a room leaves what it found out about the machine of a job, inside a running write. */
interface Findings
{
    /**
     * One finding, unless it is known with the same answer.
     *
     * @throws Refused when it is known with the other answer, or contradicts one that is
     */
    public function put(Job $job, string $code, bool $present, string $source, ?string $value, Person $by): void;

    /** A measurement counts more than what was thought before: the older answer is withdrawn. */
    public function measured(Job $job, string $code, bool $present, string $source, ?string $value, Person $by): void;

    /** @return list<string> codes that are down, found and not found */
    public function known(Job $job): array;
}
