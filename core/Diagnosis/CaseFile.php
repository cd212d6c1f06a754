<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;
use OddBench\Units\Quantity;

/** One machine’s case: its traits, what was found and not found, and the ways and rates of the shop. */
final readonly class CaseFile
{
    /**
     * @param  array<string, bool>  $findings  finding code => present
     * @param  bool  $redTag  the machine wears a red tag already
     * @param  list<string>  $hidden  checks that cannot be done or gave no answer
     * @param  list<string>  $ruledOut  faults that were mended, or shown not to be there
     * @param  list<string>  $onShelf  part classes there is stock of
     * @param  float  $benchMinute  what a minute of hands costs, in any unit of money
     * @param  array<string, float>  $partCosts  part class => cost in the same unit
     * @param  array<string, float>  $waiting  part class => days until one is there, where none is on the shelf
     * @param  float|null  $waitingDay  what a day costs that a machine waits, in the same unit
     * @param  bool  $weighsUntold  that its owner did not tell a thing is weak evidence against it
     */
    private function __construct(
        public Traits $traits,
        public array $findings,
        public Rates $rates,
        public bool $swapFirst,
        public bool $redTag,
        public array $hidden,
        public array $ruledOut,
        public array $onShelf,
        public float $benchMinute,
        public array $partCosts,
        public array $waiting,
        public ?float $waitingDay,
        public bool $weighsUntold,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $input  as `compute diagnose` takes it
     *
     * @throws InputError for anything unknown, contradictory or out of range
     */
    public static function read(array $input, Knowledge $knowledge): self
    {
        $fields = Fields::of($input);
        $rates = Fields::of($fields->map('rates'), 'rates');
        $case = new self(
            traits: Traits::of($fields->map('traits')),
            findings: self::findings($fields->map('findings'), $knowledge),
            rates: self::history($fields->map('history'), $knowledge),
            swapFirst: $fields->choice('school', ['measure-first', 'swap-first'], 'measure-first') === 'swap-first',
            redTag: $fields->flag('red_tag'),
            hidden: self::known($fields->texts('hidden'), 'hidden', 'check', $knowledge->checks),
            ruledOut: self::known($fields->texts('ruled_out'), 'ruled_out', 'fault', $knowledge->faults),
            onShelf: self::known($fields->texts('on_shelf'), 'on_shelf', 'part class', $knowledge->partClasses),
            benchMinute: $rates->numberOrNull('bench_minute', ...Quantity::BenchMinute->bounds()) ?? 1.0,
            partCosts: self::perClass($rates->map('parts'), 'rates.parts', Quantity::PartCost, $knowledge),
            waiting: self::perClass($rates->map('waiting'), 'rates.waiting', Quantity::WaitingDays, $knowledge),
            waitingDay: $rates->numberOrNull('waiting_day', ...Quantity::WaitingDay->bounds()),
            weighsUntold: $fields->choice('untold', ['unknown', 'weigh'], 'unknown') === 'weigh',
        );
        $rates->done();
        $fields->done();

        return $case;
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, bool>
     */
    private static function findings(array $given, Knowledge $knowledge): array
    {
        $findings = [];
        foreach ($given as $code => $answer) {
            $knowledge->finding($code, "findings.{$code}");
            if ($answer !== 'present' && $answer !== 'absent') {
                throw InputError::at("findings.{$code}", "findings.{$code} must be “present” or “absent”.");
            }
            $findings[$code] = $answer === 'present';
        }
        foreach (array_keys($findings, true, true) as $code) {
            foreach ($knowledge->findings[$code]->neverWith as $other) {
                if ($findings[$other] ?? false) {
                    throw InputError::at(
                        "findings.{$code}",
                        "findings.{$code} and findings.{$other} cannot both be present: measure again and withdraw one.",
                    );
                }
            }
        }

        return $findings;
    }

    /** @param  array<string, mixed>  $given */
    private static function history(array $given, Knowledge $knowledge): Rates
    {
        $fields = Fields::of($given, 'history');
        $jobs = $fields->wholeOrNull('jobs', ...Quantity::Jobs->bounds()) ?? 0;
        $faults = self::counts($fields->map('faults'), 'history.faults', $jobs, $knowledge);
        $shop = Fields::of($fields->map('shop'), 'history.shop');
        $shopJobs = $shop->wholeOrNull('jobs', ...Quantity::Jobs->bounds()) ?? 0;
        $shopFaults = self::counts($shop->map('faults'), 'history.shop.faults', $shopJobs, $knowledge);
        $exposed = self::counts($shop->map('exposed'), 'history.shop.exposed', $shopJobs, $knowledge);
        foreach ($exposed as $code => $of) {
            if ($of < ($shopFaults[$code] ?? 0)) {
                throw InputError::at(
                    "history.shop.exposed.{$code}",
                    "history.shop.exposed.{$code} is below history.shop.faults.{$code}: more machines had it than could have it.",
                );
            }
        }
        $shop->done();
        $fields->done();

        return Rates::corrected($knowledge->bench->catalogueJobs, $jobs, $faults, $shopJobs, $shopFaults, $exposed);
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, int>
     */
    private static function counts(array $given, string $path, int $jobs, Knowledge $knowledge): array
    {
        $fields = Fields::of($given, $path);
        $counts = [];
        foreach (array_keys($given) as $code) {
            $knowledge->fault($code, "{$path}.{$code}");
            $counts[$code] = $fields->whole($code, 0, $jobs, 'jobs');
        }

        return $counts;
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, float>
     */
    private static function perClass(array $given, string $field, Quantity $of, Knowledge $knowledge): array
    {
        $fields = Fields::of($given, $field);
        $figures = [];
        foreach (self::known(array_keys($given), $field, 'part class', $knowledge->partClasses) as $class) {
            $figures[$class] = $fields->number($class, ...$of->bounds());
        }

        return $figures;
    }

    /**
     * @param  list<string>  $codes
     * @param  array<string, mixed>  $known
     * @return list<string>
     */
    private static function known(array $codes, string $field, string $what, array $known): array
    {
        foreach ($codes as $code) {
            if (! isset($known[$code])) {
                throw InputError::unknown($field, $what, $code, array_keys($known));
            }
        }

        return $codes;
    }
}
