<?php

declare(strict_types=1);

namespace App\Release;

use App\Intake\Job;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Shop\Ability;
use App\Shop\Tablets\Signer;
use OddBench\Release\Destination;

final readonly class ReleaseController
{
    public function __construct(private ShowJob $show, private Signer $signer)
    {
    }

    public function send(int $job, SendOutRequest $request, SendOut $send): JobView
    {
        $send->send(
            Job::query()->findOrFail($job),
            Destination::from($request->string('to')->toString()),
            $request->terms(),
            $request->integer('version'),
            $this->signer->signs(Ability::SendOut, $request),
        );

        return $this->show->of($job);
    }
}
