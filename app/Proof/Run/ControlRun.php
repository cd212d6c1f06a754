<?php

declare(strict_types=1);

namespace App\Proof\Run;

use App\Api\Refused;
use App\Intake\Findings;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\JobState;
use App\Intake\MoveJob;
use App\Intake\OnlyAt;
use App\Intake\Said;
use App\Machines\Machine;
use App\Machines\PrinterAt;
use App\Proof\OwedQuery;
use App\Proof\Runner\RunFiles;
use App\Proof\StageProofs;
use App\Safety\PutOnRedTag;
use App\Safety\RedTag;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Stage;
use OddBench\Proof\Owed;
use OddBench\Proof\Run\RunStage;

/** Starts a proof run, answers it, stops it, and takes what failed back to Find. */
final readonly class ControlRun
{
    public function __construct(
        private Knowledge $knowledge,
        private JobRecord $record,
        private OwedQuery $owed,
        private Findings $findings,
        private PutOnRedTag $redTag,
        private RunFiles $files,
        private PrinterAt $printers,
    ) {
    }

    /**
     * @param  list<string>  $leaveOut  stages for another time, such as the long print
     * @param  bool  $moved  the bridge at this address was at another machine, and is at this one now
     */
    public function start(Job $job, string $host, int $port, array $leaveOut, Person $by, bool $moved = false): Job
    {
        $address = $this->printers->address($host, $port);

        return $this->record->write($job, $by, null, function (Job $job) use ($host, $port, $address, $leaveOut, $moved, $by): Said {
            // two that want the same printer come one after the other
            DB::select('SELECT pg_advisory_xact_lock(?, hashtext(?))', [0x0DD, $address]);
            if (RedTag::wornBy($job->machine_id) !== null) {
                throw Refused::because('redTag', 'The machine wears a red tag: nothing is run until it is off.');
            }
            if (($this->knowledge->families[$job->machine->family] ?? null)?->isUnknown() !== false) {
                throw Refused::because(
                    'family',
                    'How far this machine can be driven is not known: its family is not known. '
                        .'Nothing moves it; prove it by hand, or give it its family.',
                );
            }
            $this->refuseTaken($job, $host, $port, $address);
            $this->printers->claim($job->machine, $host, $port, $moved, $by);
            $state = JobState::of($job);
            $passed = $this->owed->passed($state);
            $plan = $this->owed->plan($state);
            if ($plan->openStage($passed) === Stage::Cold) {
                throw Refused::because(
                    'stage',
                    'First what is proved cold and unplugged: '.implode(
                        ', ',
                        array_map(
                            static fn (Owed $o): string => $o->proof->name,
                            array_filter($plan->missing($passed), static fn (Owed $o): bool => $o->proof->stage === Stage::Cold),
                        ),
                    ).'.',
                );
            }
            $stages = array_values(array_diff(StageProofs::owed($plan, $passed), $leaveOut));
            $job->machine->update(['printer_host' => $host, 'printer_port' => $port]);
            ProofRun::query()->create([
                'job_id' => $job->id,
                'machine_id' => $job->machine_id,
                'address' => $address,
                'stages' => $stages,
                'state' => 'waiting',
                'results' => (object) [],
                'person_id' => $by->id,
                'began_at' => now(),
            ]);

            return new Said(
                'run',
                'Proof run begun: '.implode(
                    ', ',
                    array_map(static fn (string $s): string => mb_strtolower(RunStage::from($s)->words()), $stages),
                ),
            );
        }, at: OnlyAt::the('runs are started', Station::Proof));
    }

    public function answer(ProofRun $run, string $answer): void
    {
        if ($run->state !== 'asking' || ! in_array($answer, $run->choices ?? [], true)) {
            throw Refused::because('answer', 'This run does not ask that now.');
        }
        $this->files->write($run->id, 'answer', ['answer' => $answer]);
    }

    /**
     * Heard at once: the runner looks for the file some fifty times a second; what stands in the database is for one that is started anew.
     */
    public function stop(ProofRun $run): void
    {
        $this->files->write($run->id, 'stop', []);
        ProofRun::query()->where('id', $run->id)->whereNull('ended_at')->update(['stop_asked' => true]);
    }

    /** Somebody has pulled the plug of a printer that does not answer any more. */
    public function unplugged(ProofRun $run, Person $by): void
    {
        if (! HeatState::mayBeOn($run->heat)) {
            throw Refused::because('heat', 'Its heaters are off already.');
        }
        $this->record->write($run->job, $by, null, function () use ($run, $by): Said {
            $run->update(['unplugged_by' => $by->id]);

            return new Said('unplugged', 'Its plug was pulled: its heaters were not seen to cool.');
        });
        $this->files->write($run->id, 'unplugged', []);
    }

    /** One printer, one run; and nothing is run on the printer of a machine that wears a red tag. */
    private function refuseTaken(Job $job, string $host, int $port, string $address): void
    {
        if (ProofRun::query()->where('machine_id', $job->machine_id)->whereNull('ended_at')->exists()) {
            throw Refused::because('run', 'A run is under way on this machine already. Stop it first.');
        }
        $taken = ProofRun::query()->with('job.machine')
            ->where('address', $address)
            ->where(static fn ($q) => $q->whereNull('ended_at')->orWhereIn('heat', HeatState::MAY_BE_ON))
            ->first();
        if ($taken !== null && $taken->ended_at !== null && $taken->heat === 'cooling') {
            throw Refused::because(
                'port',
                "The heaters of the printer at this address have not cooled yet since its last run ({$taken->job->machine->tag}). "
                    .'That takes a minute or two; then begin again.',
            );
        }
        if ($taken !== null && $taken->ended_at !== null) {
            throw Refused::because(
                'port',
                "The heaters of the printer at this address are not known to be off since its last run ({$taken->job->machine->tag}). Look at it first.",
            );
        }
        if ($taken !== null) {
            throw Refused::because(
                'port',
                "The run of {$taken->job->machine->tag} speaks with the printer at this address now. Is the address right?",
            );
        }
        $there = Machine::query()->where(['printer_host' => $host, 'printer_port' => $port])->get()->keyBy('id');
        $tagged = $there->get(array_key_first(RedTag::worn($there->keys())) ?? 0);
        if ($tagged !== null) {
            throw Refused::because(
                'redTag',
                "The printer at this address is {$tagged->tag}, which wears a red tag: nothing is run on it until that is off.",
            );
        }
    }

    /** A run that failed goes back to Find with what it is evidence of. */
    public function takeBack(Job $job, ProofRun $run, Person $by): Job
    {
        $stage = array_key_last($run->results);
        $result = $stage === null ? null : $run->results[$stage];
        if ($run->job_id !== $job->id || $run->state !== 'failed' || $result === null || $result['passed']) {
            throw Refused::because('run', 'Only a run that failed is taken back to Find.');
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($result, $by): Said {
            if ($job->station !== Station::Proof) {
                throw Refused::because('station', 'The job has left Prove already.');
            }
            $finding = $result['finding'] === null ? null : ($this->knowledge->findings[$result['finding']] ?? null);
            if ($finding !== null) {
                $this->findings->measured($job, $finding->code, true, 'proof:run', null, $by);
            }
            if ($result['danger'] || ($finding->redTag ?? false)) {
                $this->redTag->on($job, $result['words'], $by);
            }
            MoveJob::put($job, Station::Diagnosis, null);

            return new Said(
                'proof-failed',
                "Failed in the run: {$result['words']} Back to Find".($finding === null ? '' : " with: {$finding->name}"),
            );
        });
    }
}
