<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Diagnosis\Findings\FoundInJob;
use App\Intake\Job;
use App\Intake\JobState;
use App\Machines\Machine;
use App\Machines\Owners\OwnerChoice;
use App\Machines\RegisterMachine;
use App\Money\Charges\ChargeQuery;
use App\Money\Charges\WriteBill;
use App\Money\Claims\Claim;
use App\Money\Claims\Claimed;
use App\Money\Claims\CloseClaim;
use App\Money\Claims\GoOnWithClaim;
use App\Money\Claims\OpenClaim;
use App\Money\Estimates\AnswerEstimate;
use App\Money\Estimates\SendEstimate;
use App\Money\Estimates\SentEstimate;
use App\Money\Messages\NoteMessage;
use App\Money\Pickup\Remind;
use App\Money\Pickup\TellReady;
use App\Release\SendOut;
use App\Release\Terms;
use App\Shop\Person;
use App\Shop\Setting;
use Generator;
use Illuminate\Contracts\Container\Container;
use Illuminate\Support\Carbon;
use OddBench\Intake\JobKind;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\OwnerSaid;
use OddBench\Release\Destination;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What the quay’s work costs and brings: estimates in all states, bills, claims, machines nobody fetched. It disturbs no other story. */
final class DemoMoney
{
    private const SEED = 1911;

    /** @var list<int> machines of these stories; no other story takes them up */
    public array $apart = [];

    private Randomizer $random;

    public function __construct(
        private readonly Container $app,
        private readonly Knowledge $knowledge,
        private readonly RegisterMachine $register,
        private readonly WriteBill $bill,
        private readonly ChargeQuery $charge,
        private readonly SendEstimate $send,
        private readonly AnswerEstimate $answer,
        private readonly NoteMessage $messages,
        private readonly TellReady $ready,
        private readonly Remind $remind,
        private readonly SendOut $sendOut,
        private readonly OpenClaim $claim,
        private readonly GoOnWithClaim $goOn,
        private readonly CloseClaim $close,
    ) {
        $this->random = new Randomizer(new Mt19937(self::SEED));
    }

    public function terms(): void
    {
        Setting::put('charge_minute_minor', 110);
        Setting::put('markup_pct', 35);
        Setting::put('tax_pct', 19);
        Setting::put('minimum_minor', 1500);
    }

    /** A finished job of an owner is billed as it leaves. */
    public function billed(Job $job, Person $by): void
    {
        if ($job->machine->held_as !== 'owner' || $job->finished_at === null) {
            return;
        }
        $draft = $this->charge->draft(JobState::of($job));
        $mistake = $job->id % 61 === 0 ? 'We had left the belt a tooth off: our own mistake.' : null;
        $this->bill->write($job, $draft->minutesOut, null, $draft->freeBecause ?? $mistake, true, $by);
    }

    /**
     * @param  array<string, Person>  $people
     * @return iterable<int, Generator<int, Beat>> days ago => story
     */
    public function stories(array $people): iterable
    {
        yield 74 => $this->agreed($people);
        yield 66 => $this->dearer($people);
        yield 58 => $this->declined($people);
        yield 48 => $this->notFetched($people, 'shearwater-300', 'Greta Vance', ['belt-slack'], 14);
        yield 24 => $this->notFetched($people, 'wren-mini', 'Uncle Fenn', ['z-offset-lost'], null);
    }

    /**
     * What is asked of the owner of a machine on the bench, and what is claimed of others.
     *
     * @param  array<string, Person>  $people
     */
    public function setTheBench(Carbon $today, array $people): void
    {
        $bittern = Job::query()->with('machine')->whereNull('finished_at')
            ->whereHas('machine', static fn ($q) => $q->where('family', 'bittern-ht'))
            ->orderBy('id')->firstOrFail();
        $this->after($bittern, $today->copy()->subDays(3)->setTime(10, 40));
        $this->asked($bittern, $people['sam'], 'email');
        $this->claims($today, $people);
        Carbon::setTestNow($today);
    }

    /**
     * @param  array<string, Person>  $people
     * @return Generator<int, Beat>
     */
    private function agreed(array $people): Generator
    {
        yield new Beat('ledger', 3);
        yield from $this->visit($people, 'tern-220', 'Ines Halloran', ['break-fan-failed'], function (Job $job) use ($people): Job {
            $sent = $this->asked($job, $people['sam'], 'page');
            $this->answer->answer($sent, OwnerSaid::GoAhead, intdiv(3 * $sent->ceiling_minor, 2), 'its owner', 'page', null);

            return $job->refresh();
        }, null);
    }

    /**
     * The owner allowed too little; what is found is dearer, and the owner is asked again.
     *
     * @param  array<string, Person>  $people
     * @return Generator<int, Beat>
     */
    private function dearer(array $people): Generator
    {
        yield new Beat('ledger', 3);
        yield from $this->visit($people, 'gannet-delta', 'R. Sedgemoor', ['delta-joint-worn'], function (Job $job) use ($people): Job {
            $sent = $this->asked($job, $people['sam'], 'phone');
            $this->answer->answer($sent, OwnerSaid::AskAbove, 2500, 'R. Sedgemoor', 'phone', $people['sam']);

            return $job->refresh();
        }, function (Job $job) use ($people): Job {
            $sent = $this->asked($job, $people['sam'], 'phone');
            $this->answer->answer($sent, OwnerSaid::GoAhead, 2 * $sent->ceiling_minor, 'R. Sedgemoor', 'phone', $people['sam']);
            $this->messages->note($job, 'answered', 'phone', 'Needs it before the fair, the colour does not matter.', $people['sam']);

            return $job->refresh();
        });
    }

    /**
     * @param  array<string, Person>  $people
     * @return Generator<int, Beat>
     */
    private function declined(array $people): Generator
    {
        yield new Beat('ledger', 3);
        $machine = $this->machine('tern-220-d', 'Mo Tillery');
        $job = yield from $this->play($people, $machine, ['board-failed'], new DemoPlot(JobKind::Repair, 'imre', 1310.0, 45, null, 'find'));
        yield new Beat('ledger', 10, 120);
        $sent = $this->asked($job->refresh(), $people['sam'], 'letter');
        yield new Beat('ledger', 3, 60 * 52);
        $this->answer->answer($sent, OwnerSaid::DoNotMend, null, 'Mo Tillery', 'counter', $people['sam']);
        $job->refresh();
        $this->sendOut->send($job, Destination::Unmended, new Terms('The owner takes it back as it is'), $job->version, $people['sam']);
        $this->billed($job->refresh()->load('machine'), $people['sam']);
    }

    /**
     * @param  array<string, Person>  $people
     * @param  list<string>  $faults
     * @return Generator<int, Beat>
     */
    private function notFetched(array $people, string $family, string $owner, array $faults, ?int $reminded): Generator
    {
        yield new Beat('ledger', 3);
        $machine = $this->machine($family, $owner);
        $job = yield from $this->play($people, $machine, $faults, new DemoPlot(JobKind::Repair, 'tove', 890.0, 30, null, 'to-go'));
        yield new Beat('ledger', 4, 30);
        $job->refresh()->load('machine');
        $this->bill->write($job, 0.0, null, null, true, $people['sam']);
        $this->ready->tell($job, 'phone', 'It is ready. Comes “one of these days”.', null, null, $people['sam']);
        if ($reminded !== null) {
            yield new Beat('ledger', 4, 60 * 24 * ($reminded + 1));
            $this->remind->remind($job, $reminded, 'letter', 'Your machine has been ready for two weeks. Please fetch it.', $people['sam']);
        }
    }

    /**
     * @param  array<string, Person>  $people
     * @param  list<string>  $faults
     * @param  \Closure(Job): Job  $before  the fault is confirmed
     * @param  (\Closure(Job): Job)|null  $after
     * @return Generator<int, Beat>
     */
    private function visit(array $people, string $family, string $owner, array $faults, \Closure $before, ?\Closure $after): Generator
    {
        yield from $this->play(
            $people,
            $this->machine($family, $owner),
            $faults,
            new DemoPlot(JobKind::Repair, 'bo', 640.0, 50, beforeConfirm: $before, afterConfirm: $after),
        );
    }

    /**
     * @param  array<string, Person>  $people
     * @param  list<string>  $faults
     * @return Generator<int, Beat, mixed, Job>
     */
    private function play(array $people, Machine $machine, array $faults, DemoPlot $plot): Generator
    {
        /** @var DemoJob $job */
        $job = $this->app->make(DemoJob::class, ['random' => $this->random]);
        $truth = DemoTruth::of($this->knowledge, $machine->family, $faults, $this->random);
        foreach ($job->play($plot, $machine, $truth, $people) as $beat) {
            yield new Beat('ledger', $beat->minutes, $beat->waitMinutes);
        }

        return Job::query()->with('machine')->where('machine_id', $machine->id)->orderByDesc('id')->firstOrFail();
    }

    private function machine(string $family, string $owner): Machine
    {
        $serial = strtoupper(substr($family, 0, 1)).'7'.(1000 + 37 * count($this->apart));
        $choice = OwnerChoice::named($owner, DemoCast::OWNERS[$owner] ?? null);
        $machine = $this->register->register($family, $serial, 'owner', $choice, null);
        $this->apart[] = $machine->id;

        return $machine;
    }

    /** @param  'phone'|'letter'|'email'|'page'|'counter'  $way */
    private function asked(Job $job, Person $by, string $way): SentEstimate
    {
        $last = (int) FoundInJob::of(JobState::of($job))->everFound->max('id');
        $this->send->send($job, $way, $last, $by);

        return SentEstimate::query()->where('job_id', $job->id)->whereNull('superseded_at')->firstOrFail();
    }

    /** Nothing happens before what happened last. */
    private function after(Job $job, Carbon $wanted): void
    {
        $last = Carbon::parse((string) \App\Intake\JobEvent::query()->where('machine_id', $job->machine_id)->max('at'));
        Carbon::setTestNow($wanted->greaterThan($last) ? $wanted : $last->addMinutes(2));
    }

    /**
     * Three claims: one met, one gone cold while the machine stands, one for a part we fit ourselves.
     *
     * @param  array<string, Person>  $people
     */
    private function claims(Carbon $today, array $people): void
    {
        $cold = Job::query()->with('machine')->where('waits_for', 'claim')->whereNull('finished_at')->orderBy('id')->firstOrFail();
        $met = Machine::query()->where('held_as', 'farm')->where('family', 'heron-cx')->orderBy('id')->firstOrFail();
        $part = Machine::query()->where('held_as', 'farm')->where('family', 'tern-220')->orderBy('id')->firstOrFail();
        Carbon::setTestNow($today->copy()->subDays(40)->setTime(11, 5));
        $won = $this->claimed($met, null, new Claimed(
            'Saltworks Electric', 'supplier', 'part', 'Two of five fans dead on arrival', 1640, 0, null, null, null, [], [],
        ), false, $people['sam']);
        Carbon::setTestNow($today->copy()->subDays(36)->setTime(9, 15));
        $this->goOn->said($won, 'they', 'Two new ones are in the post.', null, null, $people['sam']);
        Carbon::setTestNow($today->copy()->subDays(31)->setTime(15, 0));
        $this->close->close($won, 'won', 1640, $people['sam']);
        $this->after($cold, $today->copy()->subDays(9)->setTime(16, 20));
        $gone = $this->claimed($cold->machine, $cold, new Claimed(
            'Dunlin Street market', 'seller', 'money', 'The supply sags under load; sold as tested', 3500, 300, null,
            $today->copy()->subDays(2)->toDateString(), null, [], [],
        ), true, $people['sam']);
        $this->goOn->said($gone, 'we', 'Sent the readings, asked for half of the price back.', null, null, $people['sam']);
        Carbon::setTestNow($today->copy()->subDays(4)->setTime(10, 0));
        $this->claimed($part, null, new Claimed(
            'Saltworks Electric', 'supplier', 'part', 'Hub cracked in its first week', 2900, 0, null,
            $today->copy()->addDays(3)->toDateString(), null, [], [],
        ), false, $people['sam']);
    }

    private function claimed(Machine $machine, ?Job $job, Claimed $claimed, bool $waits, Person $by): Claim
    {
        return $this->claim->open($machine, $job, $claimed, $waits, $by);
    }
}
