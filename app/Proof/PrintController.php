<?php

declare(strict_types=1);

namespace App\Proof;

use App\Intake\Job;
use OddBench\Instruments\FlexSlab;
use OddBench\Knowledge\Knowledge;
use OddBench\Proof\Run\TestPrint;
use Symfony\Component\HttpFoundation\Response;

/** The G-code of proof prints, for a printer that is not connected. */
final readonly class PrintController
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function ring(int $job): Response
    {
        $found = Job::query()->with('machine')->findOrFail($job);
        $plan = StageProofs::plan([], $this->knowledge->families[$found->machine->family] ?? null, null);

        return $this->file("{$found->machine->tag}-ring", implode("\n", TestPrint::ring($plan, true))."\n");
    }

    public function slab(int $job): Response
    {
        $found = Job::query()->with('machine')->findOrFail($job);
        $plan = StageProofs::plan([], $this->knowledge->families[$found->machine->family] ?? null, null);
        $slab = (new FlexSlab)->compute(['bed_x_mm' => $plan->sizeMm[0], 'bed_y_mm' => $plan->sizeMm[1], 'axis' => 'y', 'nozzle_c' => $plan->hotendC, 'bed_c' => $plan->bedC]);

        return $this->file("{$found->machine->tag}-loom-slab", is_string($slab['gcode'] ?? null) ? $slab['gcode'] : '');
    }

    private function file(string $name, string $gcode): Response
    {
        return response($gcode, 200, ['Content-Type' => 'text/x-gcode; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"{$name}.gcode\""]);
    }
}
