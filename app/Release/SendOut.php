<?php

declare(strict_types=1);

namespace App\Release;

use App\Api\Refused;
use App\Diagnosis\RecountFaults;
use App\Instruments\KeepBaselines;
use App\Intake\Hands;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\JobState;
use App\Intake\Said;
use App\Machines\Machine;
use App\Proof\Run\KeepRises;
use App\Shop\Person;
use App\Shop\Role;
use App\Shop\ShopDay;
use App\Stock\Kits\Promises;
use OddBench\Intake\Station;
use OddBench\Release\Condition;
use OddBench\Release\Destination;
use OddBench\Release\RepairWarranty;

/** Signs a machine out and ends its job. */
final readonly class SendOut
{
    public function __construct(
        private JobRecord $record,
        private GateQuery $gate,
        private Hands $hands,
        private KeepBaselines $baselines,
        private KeepRises $rises,
        private Promises $promises,
        private WriteSheet $sheet,
        private ShopDay $day,
    ) {
    }

    /** @throws Refused with every reason against */
    public function send(Job $job, Destination $to, Terms $terms, int $version, Person $by): Job
    {
        return $this->record->write($job, $by, $version, function (Job $job) use ($to, $terms, $by): Said {
            $state = JobState::of($job);
            $reasons = $this->gate->of($state)->reasonsAgainst(
                $to,
                $terms->danger !== null && mb_strlen($terms->danger) >= 10,
                $by->role === Role::Lead,
            );
            if (! in_array($to, Destination::forMachineHeldAs($job->machine->held_as), true)) {
                $reasons = ["“{$to->words()}” does not fit: this machine is ".match ($job->machine->held_as) {
                    'owner' => 'an owner’s', 'farm' => 'our farm’s', default => 'bought for resale'
                }.'.'];
            }
            if ($reasons !== []) {
                throw Refused::because('to', ...$reasons);
            }
            $condition = $this->sign($state, $to, $terms, $by);
            $this->hands->off($job);
            $this->promises->release($job);
            $job->station = Station::Release;
            $job->finished_at = now();
            $job->waitFor(null);
            // whoever buys it sees its page from now on, and whoever had its label before does not
            $job->machine->update(['place' => $to->value, ...($to === Destination::Sale ? ['page_key' => Machine::freshKey()] : []),
                // what it was reached by stays with the shop
                ...($to === Destination::Service ? [] : ['printer_host' => null, 'printer_port' => null])]);
            if ($to->runsAgain()) {
                $this->baselines->of($job);
                $this->rises->of($job);
            }
            RecountFaults::dispatch();

            return new Said(
                'sent-out',
                'Signed out: '.mb_strtolower($to->words()).($condition === null ? '' : ", graded “{$condition->grade->words()}”")
                    .($terms->danger === null ? '' : ". Danger in writing: {$terms->danger}")
                        .($terms->note === null ? '' : ". {$terms->note}"),
            );
        }, byHand: false);
    }

    /** Writes the release with its sheet and the warranty of the repair. */
    private function sign(JobState $state, Destination $to, Terms $terms, Person $by): ?Condition
    {
        $job = $state->job;
        $condition = $to === Destination::Sale ? $this->sheet->condition($state, $terms->shortcomings) : null;
        $condition = $terms->grade === null ? $condition : $condition?->loweredTo($terms->grade, $terms->gradeBecause);
        $warranty = $to->runsAgain() ? RepairWarranty::from(
            $this->day->today(),
            $terms->warrantyDays,
            $terms->warrantyHours,
            $job->hoursRun(),
        ) : null;
        Release::query()->create([
            'job_id' => $job->id,
            'destination' => $to->value,
            'note' => $terms->note,
            'danger' => $terms->danger,
            'price_minor' => $terms->priceMinor,
            'sheet' => $this->sheet->of($state, $to, false, $warranty, $condition, $terms->note, $terms->danger)?->toArray(),
            'grade' => $condition?->grade->value,
            'warranty_until' => $warranty?->until,
            'warranty_hours' => $warranty?->untilHours,
            'person_id' => $by->id,
            'at' => now(),
        ]);

        return $condition;
    }
}
