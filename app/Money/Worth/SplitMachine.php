<?php

declare(strict_types=1);

namespace App\Money\Worth;

use App\Intake\Job;
use App\Release\SendOut;
use App\Release\Terms;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Release\Destination;

/** A machine is written off: it goes to the donor shelf, its cost spread over what is in it. */
final readonly class SplitMachine
{
    public function __construct(private SendOut $sendOut, private SpreadCost $spread)
    {
    }

    /** @param  list<array{name: string, sold: int}>  $sold */
    public function split(Job $job, ?string $note, array $sold, int $version, Person $by): Job
    {
        return DB::transaction(function () use ($job, $note, $sold, $version, $by): Job {
            $sent = $this->sendOut->send($job, Destination::Donor, new Terms($note), $version, $by);
            $this->spread->over($sent->machine, $sold);

            return $sent;
        });
    }
}
