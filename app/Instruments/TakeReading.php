<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Intake\Findings;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Safety\AllowCheck;
use App\Safety\PutOnRedTag;
use App\Shop\Person;
use OddBench\Input\Contents;
use OddBench\Input\InputError;
use OddBench\Instruments\Said as Figures;
use OddBench\Knowledge\Check;
use OddBench\Knowledge\InstrumentSheet;
use OddBench\Knowledge\Knowledge;

/** Keeps what an instrument read in a job, with the findings it stands for, so that the ranking moves at once. */
final readonly class TakeReading
{
    public function __construct(
        private Knowledge $knowledge,
        private JobRecord $record,
        private Findings $findings,
        private AllowCheck $allow,
        private PutOnRedTag $redTag,
    ) {
    }

    /**
     * @param  array<string, mixed>  $input  as the instrument was asked
     * @param  array<string, mixed>  $result
     * @param  string|null  $position  of the machine it was taken at
     *
     * @throws InputError for a position this machine has not got
     */
    public function take(Job $job, InstrumentSheet $sheet, array $input, array $result, ?string $position, Person $by): Job
    {
        if ($position !== null && ! isset($this->knowledge->families[$job->machine->family]->positions[$position])) {
            throw InputError::unknown(
                'position',
                'position of this machine',
                $position,
                array_keys($this->knowledge->families[$job->machine->family]->positions ?? []),
            );
        }
        $value = $sheet->keeps === null ? null : $result[$sheet->keeps->key] ?? null;
        $value = is_int($value) || is_float($value) ? (float) $value : null;
        $meant = $sheet->findings($result);

        return $this->record->write($job, $by, null, function (Job $job) use (
            $sheet,
            $input,
            $result,
            $position,
            $value,
            $meant,
            $by,
        ): Said {
            $check = $this->checkOf($sheet, array_keys($meant));
            if ($check !== null) {
                $this->allow->underRedTag($job, $check->code)
                    ?->update(['done_at' => now(), 'done_by' => $by->id, 'result' => $result['because'] ?? $sheet->name]);
            }
            $unit = $sheet->keeps->unit ?? '';
            Reading::query()->create([
                'job_id' => $job->id,
                'machine_id' => $job->machine_id,
                'instrument' => $sheet->code,
                'position' => $position,
                'hours' => $job->hours,
                'input' => array_filter($input, static fn (mixed $v): bool => ! $v instanceof Contents),
                'result' => array_diff_key($result, ['curve' => 0, 'spectrum' => 0, 'gcode' => 0]),
                'value' => $value,
                'unit' => $unit,
                'verdict' => $result['verdict'] ?? null,
                'because' => $result['because'] ?? null,
                'person_id' => $by->id,
                'at' => now(),
            ]);
            $said = $value === null ? null : trim(Figures::figure($value)." {$unit}");
            foreach ($meant as $code => $present) {
                $this->findings->measured($job, $code, $present, "instrument:{$sheet->code}", $said, $by);
            }
            $dangers = array_filter(array_keys($meant, true, true), fn (string $code): bool => $this->knowledge->findings[$code]->redTag);
            if ($dangers !== []) {
                $this->redTag->on(
                    $job,
                    implode(', ', array_map(fn (string $code): string => $this->knowledge->findings[$code]->name, $dangers)),
                    $by,
                );
            }
            $where = $position === null ? '' : ', '.$this->knowledge->families[$job->machine->family]->positions[$position]->name;

            return new Said(
                'reading',
                "{$sheet->name}{$where}: ".($result['because'] ?? $said ?? 'read').($dangers === [] ? '' : ' Red tag on.'),
            );
        });
    }

    /**
     * The check this instrument judges: what it needs to be done is asked of it.
     *
     * @param  list<string>  $findings
     */
    private function checkOf(InstrumentSheet $sheet, array $findings): ?Check
    {
        foreach ($this->knowledge->checks as $check) {
            if ($check->instrument === $sheet->code && ($findings === [] || array_intersect($check->yields, $findings) !== [])) {
                return $check;
            }
        }

        return null;
    }
}
