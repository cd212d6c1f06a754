<?php

declare(strict_types=1);

namespace App\Proof\Run;

use App\Intake\Findings;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Safety\PutOnRedTag;
use App\Safety\RedTag;

/** A printer whose heater does not go off wears a red tag at once, and its job knows why; nobody has to press for that. */
final readonly class TagStuckHeater
{
    public function __construct(private JobRecord $record, private Findings $findings, private PutOnRedTag $redTag)
    {
    }

    /** Once for a run, however often the runner says it. */
    public function of(ProofRun $run, string $because, string $finding): void
    {
        $reason = (string) preg_replace('/: pull the plug\.$/', '', $because);
        $tagged = RedTag::query()->where('machine_id', $run->machine_id)->where('put_on_at', '>=', $run->began_at)
            ->get()->contains(static fn (RedTag $tag): bool => str_contains($tag->reason, $reason));
        if ($tagged || ! $run->job->refresh()->isOpen()) {
            return;
        }
        $this->record->write($run->job, $run->person, null, function ($job) use ($run, $reason, $finding): Said {
            $this->findings->measured($job, $finding, true, 'proof:run', null, $run->person);

            return $this->redTag->on($job, "{$reason} (proof run)", $run->person);
        }, byHand: false);
    }
}
