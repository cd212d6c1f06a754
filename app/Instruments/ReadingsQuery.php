<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Intake\Job;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\InstrumentSheet;

/** What was measured before: on this machine, and on its sisters of the family. */
final readonly class ReadingsQuery
{
    private const EARLIER = 5;

    private function baseline(Job $job, InstrumentSheet $sheet, ?string $position): ?BaselineView
    {
        $row = DB::table('baselines')->where(['machine_id' => $job->machine_id, 'instrument' => $sheet->code, 'position' => $position])
            ->orderByDesc('id')
            ->first();

        return $row === null ? null : new BaselineView(
            (float) $row->value,
            $row->unit,
            Carbon::parse($row->at)->toIso8601String(),
            $sheet->baseline?->hands,
        );
    }

    public function compare(Job $job, InstrumentSheet $sheet, ?string $position): ComparedView
    {
        $same = static fn ($q) => $q->where('instrument', $sheet->code)->where('position', $position)->whereNotNull('value');
        $earlier = Reading::query()->with('person')
            ->where('machine_id', $job->machine_id)
            ->tap($same)
            ->orderByDesc('id')
            ->limit(self::EARLIER)
            ->get();
        // each sister by her latest reading
        $sisters = DB::query()->fromSub(
            DB::table('readings as r')->join('machines as m', 'm.id', '=', 'r.machine_id')
                ->where('m.family', $job->machine->family)
                ->where('r.machine_id', '<>', $job->machine_id)
                ->tap(static fn ($q) => $q->where('r.instrument', $sheet->code)->where('r.position', $position)->whereNotNull('r.value'))
                ->selectRaw('DISTINCT ON (r.machine_id) r.value')->orderBy('r.machine_id')->orderByDesc('r.id'),
            'latest',
        )->selectRaw('count(*) as many, percentile_cont(0.5) within group (order by value) as median, min(value) as least, max(value) as most')->first();
        $many = (int) ($sisters->many ?? 0);

        return new ComparedView(
            $sheet->keeps->unit ?? '',
            array_values($earlier->map(static fn (Reading $r): PastReadingView => new PastReadingView(
                (float) $r->value,
                $r->verdict,
                $r->hours === null ? null : (float) $r->hours,
                $r->person->name,
                $r->at->toIso8601String(),
                $r->job_id,
            ))->all()),
            $many,
            $many === 0 ? null : (float) $sisters?->median,
            $many === 0 ? null : (float) $sisters?->least,
            $many === 0 ? null : (float) $sisters?->most,
            $this->baseline($job, $sheet, $position),
        );
    }
}
