<?php

declare(strict_types=1);

namespace App\Proof;

use App\Intake\Job;
use OddBench\Instruments\FlexSlab;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Knowledge;
use OddBench\Proof\Prints\ProofPrint;
use Symfony\Component\HttpFoundation\Response;

/** The G-code of proof prints, for a printer that is not connected. */
final readonly class PrintController
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function print(int $job, string $print): Response
    {
        $found = Job::query()->with('machine')->findOrFail($job);
        $plan = StageProofs::plan([], $this->driven($found), null);

        return $this->file(
            "{$found->machine->tag}-{$print}",
            implode("\n", ProofPrint::from($print)->lines($plan->bed, $plan->hotendC, $plan->bedC, $plan->slots, true))."\n",
        );
    }

    public function slab(int $job): Response
    {
        $found = Job::query()->with('machine')->findOrFail($job);
        $plan = StageProofs::plan([], $this->driven($found), null);
        $bed = ['x' => $plan->bed->xMm, 'y' => $plan->bed->yMm];
        $slab = (new FlexSlab)->gcode($bed, $plan->bed->middle, 'y', $plan->hotendC, $plan->bedC);

        return $this->file("{$found->machine->tag}-loom-slab", $slab);
    }

    private function file(string $name, string $gcode): Response
    {
        return response(
            $gcode,
            200,
            ['Content-Type' => 'text/x-gcode; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"{$name}.gcode\""],
        );
    }

    /** A print is laid into what is known of a family, and of one that is not there is none. */
    private function driven(Job $job): Family
    {
        $family = $this->knowledge->families[$job->machine->family] ?? null;

        return $family === null || $family->isUnknown() ? abort(404) : $family;
    }
}
