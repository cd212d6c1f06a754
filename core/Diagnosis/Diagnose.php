<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Computation\Computation;
use OddBench\Knowledge\Knowledge;

/** What can be wrong with a machine, how sure that is and why, and what to look at next. */
final readonly class Diagnose implements Computation
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function name(): string
    {
        return 'diagnose';
    }

    public function compute(array $input): array
    {
        $diagnosis = $this->judge(CaseFile::read($input, $this->knowledge));

        return [
            'faults' => array_map(static fn (Suspect $s): array => [
                'code' => $s->code,
                'probability' => $s->probability,
                'start' => $s->start,
                'explains' => $s->explains,
                'for' => self::pairs($s->for, 'finding', 'factor'),
                'against' => self::pairs($s->against, 'finding', 'factor'),
                'behind' => self::pairs($s->behind, 'code', 'probability'),
                'brings' => self::pairs($s->brings, 'code', 'probability'),
            ], $diagnosis->suspects),
            'explained' => $diagnosis->explained,
            'unexplained' => $diagnosis->unexplained,
            'none' => $diagnosis->none,
            'safety' => ['red_tag' => $diagnosis->danger->redTag, 'because' => $diagnosis->danger->because],
            'next' => array_map(static fn (Step $s): array => [
                'code' => $s->code,
                'kind' => $s->kind,
                'minutes' => $s->minutes,
                'state' => $s->state,
                'supervised' => $s->supervised,
                'saves_per_minute' => $s->savesPerMinute,
                'pays' => $s->pays,
                'because' => $s->because->value,
                'fault' => $s->fault,
                'looks' => array_map(static fn (Step $look): string => $look->code, $s->looks),
                'answers' => array_map(static fn (Outcome $o): array => [
                    'answer' => $o->answer,
                    'probability' => $o->probability,
                    'leads_to' => self::pairs($diagnosis->leadsTo($o->beliefs), 'code', 'probability'),
                ], $s->answers),
            ], $diagnosis->next),
        ];
    }

    /**
     * The faults by their probability only, without what speaks for and against each: much quicker than judge().
     *
     * @return list<Suspect>
     */
    public function suspectsOf(CaseFile $case): array
    {
        return Session::open($case, $this->knowledge)->suspects();
    }

    /** Probability that it is none of the faults in question. */
    public function noneOf(CaseFile $case): float
    {
        return Session::open($case, $this->knowledge)->none();
    }

    /** The ranking, what speaks for and against each fault, and what to do next. */
    public function judge(CaseFile $case): Diagnosis
    {
        return Session::open($case, $this->knowledge)->diagnosis();
    }

    /**
     * @param  array<string, float>  $values
     * @return list<array<string, string|float>>
     */
    private static function pairs(array $values, string $key, string $value): array
    {
        $pairs = [];
        foreach ($values as $code => $number) {
            $pairs[] = [$key => $code, $value => $number];
        }

        return $pairs;
    }
}
