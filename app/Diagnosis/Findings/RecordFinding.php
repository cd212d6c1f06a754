<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Api\Refused;
use App\Intake\Findings;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Safety\AllowCheck;
use App\Safety\PutOnRedTag;
use App\Safety\SupervisedTest;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/** Writes down what was found and what was not; a sign of danger puts the red tag on. */
final readonly class RecordFinding
{
    /** @param  iterable<HearsChecks>  $rooms */
    public function __construct(
        private Knowledge $knowledge,
        private JobRecord $record,
        private Findings $findings,
        private AllowCheck $allow,
        private PutOnRedTag $redTag,
        private iterable $rooms,
    ) {
    }

    /**
     * @param  non-empty-array<string, bool>  $findings  code => present
     * @param  list<string>  $checks  the checks that showed it: none, one, or those of a sweep
     *
     * @throws InputError for an unknown code, or one the check does not settle
     * @throws Refused when it is known already, or a red tag forbids the check
     */
    public function record(Job|int $job, array $findings, array $checks, ?string $value, Person $by): Job
    {
        foreach (array_keys($findings) as $code) {
            $this->knowledge->finding($code, "findings.{$code}");
        }
        $shownBy = $this->shownBy(array_keys($findings), $checks);

        return $this->record->write($job, $by, null, function (Job $job) use ($findings, $checks, $shownBy, $value, $by): Said {
            $tests = array_filter(array_map(fn (string $check): ?SupervisedTest => $this->allow->underRedTag($job, $check), $checks));
            $words = $dangers = [];
            foreach ($findings as $code => $present) {
                $this->findings->put($job, $code, $present, isset($shownBy[$code]) ? "check:{$shownBy[$code]}" : 'seen', $value, $by);
                $finding = $this->knowledge->findings[$code];
                $words[] = $present ? $finding->name : ($finding->absent ?? "not: {$finding->name}");
                if ($present && $finding->redTag) {
                    $dangers[] = $finding->name;
                }
            }
            $names = array_map(fn (string $check): string => $this->knowledge->checks[$check]->name, $checks);
            $text = ($names === [] ? '' : implode(', ', $names).': ').implode(', ', $words).($value === null ? '' : " ({$value})");
            if ($checks !== []) {
                $this->tell($job, $checks, $by);
            }
            foreach ($tests as $test) {
                $test->update(['done_at' => now(), 'done_by' => $by->id, 'result' => $text]);
            }
            if ($dangers !== []) {
                $this->redTag->on($job, implode(', ', $dangers), $by);
                $text .= '. Red tag on.';
            }

            return new Said('finding', $text);
        });
    }

    /** @param  non-empty-list<string>  $checks */
    private function tell(Job $job, array $checks, Person $by): void
    {
        /** @var list<string> $present */
        $present = array_values(FoundInJob::carry($job)->where('present', true)->whereNull('withdrawn_at')->pluck('code')->all());
        foreach ($this->rooms as $room) {
            $room->checked($job, $checks, $present, $by);
        }
    }

    /**
     * Which of the checks shows which finding.
     *
     * @param  list<string>  $findings
     * @param  list<string>  $checks
     * @return array<string, string> finding code => check code
     *
     * @throws InputError for a finding none of them shows, or a check nobody knows
     */
    private function shownBy(array $findings, array $checks): array
    {
        $shownBy = [];
        foreach ($checks as $check) {
            foreach (array_intersect($findings, $this->knowledge->check($check)->yields) as $finding) {
                $shownBy[$finding] ??= $check;
            }
        }
        if ($checks !== [] && array_diff($findings, array_keys($shownBy)) !== []) {
            $names = implode('”, “', array_map(fn (string $check): string => $this->knowledge->checks[$check]->name, $checks));
            throw InputError::at('check', "“{$names}” does not settle this finding.");
        }

        return $shownBy;
    }
}
