<?php

declare(strict_types=1);

namespace App\Release;

use App\Intake\Job;
use App\Intake\JobState;
use App\Machines\Machine;
use App\Shop\Setting;
use OddBench\Release\Destination;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The sheet of a job for the shop, and the page behind the code on the label for whoever owns the machine. */
final readonly class SheetController
{
    public function __construct(private PrintSheet $print, private WriteSheet $write, private MoreForOwner $more)
    {
    }

    /** Before it is signed out: a draft of what it would leave with. */
    public function ofJob(int $job): Response
    {
        $state = JobState::of(Job::query()->findOrFail($job));
        $release = Release::query()->where('job_id', $job)->first();
        if ($release !== null) {
            return $this->print->pdf(self::kept($release) ?? throw new NotFoundHttpException('This job left without a sheet.'));
        }
        $to = Destination::forMachineHeldAs($state->job->machine->held_as)[0];
        $sheet = $this->write->of(
            $state,
            $to,
            true,
            null,
            $to === Destination::Sale ? $this->write->condition($state, null) : null,
            null,
            null,
        );

        return $this->print->pdf($sheet ?? throw new NotFoundHttpException('This job leaves without a sheet.'));
    }

    public function page(string $key): Response
    {
        $machine = $this->machine($key);
        $openJob = Job::query()->with('machine')->where('machine_id', $machine->id)->whereNull('finished_at')->first();

        return response(
            view(
                'owners-page',
                [
                    'machine' => $machine,
                    'openJob' => $openJob,
                    'more' => $openJob === null ? [] : $this->more->of($openJob),
                    'sheet' => $this->newest($machine),
                    'shop' => Setting::text('shop_name'),
                    'zone' => Setting::text('zone'),
                ],
            )->render(),
            200,
            self::unseen(),
        );
    }

    public function pdf(string $key): Response
    {
        return $this->print->pdf($this->newest($this->machine($key)) ?? throw new NotFoundHttpException('This machine has no sheet yet.'));
    }

    private function machine(string $key): Machine
    {
        return Machine::query()->where('page_key', strtolower($key))->first() ?? throw new NotFoundHttpException('There is no such page.');
    }

    private function newest(Machine $machine): ?Sheet
    {
        $release = Release::query()->whereHas('job', static fn ($q) => $q->where('machine_id', $machine->id))
            ->whereNotNull('sheet')
            ->orderByDesc('id')
            ->first();

        return $release === null ? null : self::kept($release);
    }

    private static function kept(Release $release): ?Sheet
    {
        return $release->sheet === null ? null : Sheet::from($release->sheet);
    }

    /** @return array<string, string> it is found by its code alone */
    private static function unseen(): array
    {
        return ['X-Robots-Tag' => 'noindex, nofollow', 'Cache-Control' => 'private, no-store'];
    }
}
