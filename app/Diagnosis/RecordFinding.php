<?php

declare(strict_types=1);

namespace App\Diagnosis;

use App\Api\Refused;
use App\Fleet\KeepLookList;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Safety\PutOnRedTag;
use App\Safety\RedTag;
use App\Safety\SupervisedTest;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Knowledge\Finding;
use OddBench\Knowledge\Knowledge;

/** Writes down what was found and what was not; a sign of danger puts the red tag on. */
final readonly class RecordFinding
{
    public function __construct(private Knowledge $knowledge, private JobRecord $record, private PutOnRedTag $redTag, private KeepLookList $lookLists)
    {
    }

    /**
     * @param  non-empty-array<string, bool>  $findings  code => present
     * @param  list<string>  $checks  the checks that showed it: none, one, or those of a sweep
     *
     * @throws InputError for an unknown code, or one the check does not settle
     * @throws Refused when it is known already, or a red tag forbids the check
     */
    public function record(Job $job, array $findings, array $checks, ?string $value, Person $by): Job
    {
        foreach (array_keys($findings) as $code) {
            $this->knowledge->finding($code, "findings.{$code}");
        }
        $shownBy = $this->shownBy(array_keys($findings), $checks);

        return $this->record->write($job, $by, null, function (Job $job) use ($findings, $checks, $shownBy, $value, $by): Said {
            $tests = array_filter(array_map(fn (string $check): ?SupervisedTest => $this->allowUnderRedTag($job, $check), $checks));
            $words = $dangers = [];
            foreach ($findings as $code => $present) {
                $this->put($job, $code, $present, isset($shownBy[$code]) ? "check:{$shownBy[$code]}" : 'seen', $value, $by);
                $finding = $this->knowledge->findings[$code];
                $words[] = $present ? $finding->name : ($finding->absent ?? "not: {$finding->name}");
                if ($present && $finding->redTag) {
                    $dangers[] = $finding->name;
                }
            }
            $names = array_map(fn (string $check): string => $this->knowledge->checks[$check]->name, $checks);
            $text = ($names === [] ? '' : implode(', ', $names).': ').implode(', ', $words).($value === null ? '' : " ({$value})");
            foreach ($checks as $check) {
                $this->lookLists->lookedInJob($job, $check, $by);
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

    /** Inside a running write: one finding, unless it is known with the same answer. */
    public function put(Job $job, string $code, bool $present, string $source, ?string $value, Person $by): void
    {
        $known = JobFinding::query()->where(['job_id' => $job->id, 'code' => $code])->whereNull('withdrawn_at')->first();
        if ($known !== null && $known->present === $present) {
            return;
        }
        if ($known !== null && ! str_starts_with($source, 'proof:') && $source !== 'told') {
            $name = $this->knowledge->findings[$code]->name;
            throw Refused::because("findings.{$code}", "“{$name}” is down already as ".($known->present ? 'found' : 'not found').'. Withdraw that first, so that the record says which was right.');
        }
        if ($present) {
            $this->refuseContradiction($job, $code);
        }
        $known?->update(['withdrawn_at' => now(), 'withdrawn_by' => $by->id]);
        JobFinding::query()->create(['job_id' => $job->id, 'code' => $code, 'present' => $present, 'source' => $source, 'value' => $value, 'person_id' => $by->id, 'at' => now()]);
        $job->unsetRelation('findings');
    }

    /** Inside a running write: a measurement counts more than what was thought before; the older answer is withdrawn. */
    public function measured(Job $job, string $code, bool $present, string $source, ?string $value, Person $by): void
    {
        JobFinding::query()->where(['job_id' => $job->id, 'code' => $code])->whereNull('withdrawn_at')->where('present', ! $present)
            ->update(['withdrawn_at' => now(), 'withdrawn_by' => $by->id]);
        $this->put($job, $code, $present, $source, $value, $by);
    }

    private function refuseContradiction(Job $job, string $code): void
    {
        $never = array_keys(array_filter($this->knowledge->findings, fn (Finding $f): bool => in_array($code, $f->neverWith, true) || in_array($f->code, $this->knowledge->findings[$code]->neverWith, true)));
        $other = JobFinding::query()->where('job_id', $job->id)->where('present', true)->whereNull('withdrawn_at')->whereIn('code', $never)->first();
        if ($other !== null) {
            throw Refused::because("findings.{$code}", "“{$this->knowledge->findings[$code]->name}” and “{$this->knowledge->findings[$other->code]->name}” cannot both be. Measure again and withdraw the wrong one.");
        }
    }

    /**
     * Inside a running write.
     *
     * @return SupervisedTest|null the signed test this check uses up
     *
     * @throws Refused when the machine wears a red tag and the check needs power
     */
    public function allowUnderRedTag(Job $job, string $code): ?SupervisedTest
    {
        $check = $this->knowledge->checks[$code];
        $tag = $check->state->needsPower() ? RedTag::query()->with('supervisedTest')->where('machine_id', $job->machine_id)->whereNull('off_at')->first() : null;
        if ($tag === null) {
            return null;
        }
        $test = $tag->supervisedTest;
        if ($test === null || $test->test !== $code || $test->done_at !== null) {
            throw Refused::because('check', "The machine wears a red tag and “{$check->name}” needs power. Only the one supervised test a lead signed for may be done.");
        }

        return $test;
    }
}
