<?php

declare(strict_types=1);

namespace App\Money;

use App\Api\Refused;
use App\Intake\Job;
use App\Money\Charges\BillRequest;
use App\Money\Charges\WriteBill;
use App\Money\Estimates\AnswerEstimate;
use App\Money\Estimates\AnswerRequest;
use App\Money\Estimates\SendEstimate;
use App\Money\Estimates\SendEstimateRequest;
use App\Money\Estimates\SentEstimate;
use App\Money\Estimates\WithdrawEstimate;
use App\Money\Estimates\WithdrawRequest;
use App\Money\Messages\MessageRequest;
use App\Money\Messages\NoteMessage;
use App\Money\Pickup\ReadyRequest;
use App\Money\Pickup\Remind;
use App\Money\Pickup\RemindRequest;
use App\Money\Pickup\TellReady;
use App\Money\Worth\SplitMachine;
use App\Money\Worth\SplitRequest;
use App\Shop\Ability;
use App\Shop\Here;
use App\Shop\Tablets\Signer;
use Illuminate\Support\Facades\Gate;
use OddBench\Money\OwnerSaid;

final readonly class JobMoneyController
{
    public function __construct(private JobMoney $money, private Signer $signer)
    {
    }

    public function show(int $job, JobMoneyRequest $request): JobMoneyView
    {
        Gate::authorize(Ability::SeeMoney);

        return $this->money->of($job, $request->sumOrNull('sellsAt'), $request->sumOrNull('asIs'));
    }

    public function sendEstimate(int $job, SendEstimateRequest $request, SendEstimate $send): JobMoneyView
    {
        Gate::authorize(Ability::SeeMoney);
        $send->send($job, self::way($request), $request->integer('upToFinding'), Here::person());

        return $this->money->of($job);
    }

    public function answer(int $job, int $estimate, AnswerRequest $request, AnswerEstimate $answer): JobMoneyView
    {
        Gate::authorize(Ability::SeeMoney);
        $answer->answer(
            SentEstimate::query()->where('job_id', $job)->find($estimate)
                ?? throw Refused::notFound('estimate', 'This job has no such estimate.'),
            OwnerSaid::from($request->string('answer')->toString()),
            $request->sumOrNull('upTo'),
            $request->string('saidBy')->trim()->toString(),
            self::way($request),
            Here::person(),
        );

        return $this->money->of($job);
    }

    public function withdraw(int $job, WithdrawRequest $request, WithdrawEstimate $withdraw): JobMoneyView
    {
        Gate::authorize(Ability::SeeMoney);
        $withdraw->withdraw($this->job($job), $request->string('because')->trim()->toString(), Here::person());

        return $this->money->of($job);
    }

    public function note(int $job, MessageRequest $request, NoteMessage $note): JobMoneyView
    {
        Gate::authorize(Ability::SeeMoney);
        /** @var 'told'|'answered' $kind */
        $kind = $request->string('kind')->toString();
        $note->note($this->job($job), $kind, self::way($request), $request->string('text')->trim()->toString(), Here::person());

        return $this->money->of($job);
    }

    public function bill(int $job, BillRequest $request, WriteBill $write): JobMoneyView
    {
        Gate::authorize(Ability::SeeMoney);
        $write->write(
            $this->job($job),
            $request->float('minutesOut'),
            $request->sumOrNull('freight'),
            $request->words('freeBecause'),
            $request->boolean('overAgreed'),
            Here::person(),
        );

        return $this->money->of($job);
    }

    public function split(int $job, SplitRequest $request, SplitMachine $split): JobMoneyView
    {
        Gate::authorize(Ability::SeeMoney);
        $split->split(
            $this->job($job),
            $request->words('note'),
            $request->sold(),
            $request->integer('version'),
            $this->signer->signs(Ability::SendOut, $request),
        );

        return $this->money->of($job);
    }

    public function ready(int $job, ReadyRequest $request, TellReady $tell): JobMoneyView
    {
        Gate::authorize(Ability::SeeMoney);
        $tell->tell(
            $this->job($job),
            self::way($request),
            $request->string('text')->trim()->toString(),
            $request->wholeOrNull('freeDays'),
            $request->sumOrNull('perDay'),
            Here::person(),
        );

        return $this->money->of($job);
    }

    public function remind(int $job, RemindRequest $request, Remind $remind): JobMoneyView
    {
        Gate::authorize(Ability::SeeMoney);
        $remind->remind(
            $this->job($job),
            $request->integer('afterDays'),
            self::way($request),
            $request->string('text')->trim()->toString(),
            Here::person(),
        );

        return $this->money->of($job);
    }

    private function job(int $id): Job
    {
        return Job::query()->with('machine')->findOrFail($id);
    }

    /** @return 'phone'|'letter'|'email'|'page'|'counter' */
    private static function way(SendEstimateRequest|AnswerRequest|MessageRequest|ReadyRequest|RemindRequest $request): string
    {
        /** @var 'phone'|'letter'|'email'|'page'|'counter' $way */
        $way = $request->string('way')->toString();

        return $way;
    }
}
