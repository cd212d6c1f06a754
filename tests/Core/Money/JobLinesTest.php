<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Session;
use OddBench\Money\Estimate;
use OddBench\Money\EstimateLine;
use OddBench\Money\JobLines;
use OddBench\Money\JobSoFar;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** On the trade’s own knowledge: what a job may turn out to be, in money. */
final class JobLinesTest extends TestCase
{
    public function test_the_lines_add_up_and_something_else_is_one_of_them(): void
    {
        $lines = $this->lines(['jams-when-warm' => 'present'])->lines;
        self::assertEqualsWithDelta(1.0, array_sum(array_map(static fn (EstimateLine $l): float => $l->probability, $lines)), 1e-9);
        self::assertSame(JobLines::SOMETHING_ELSE, $lines[count($lines) - 1]->code);
        self::assertGreaterThan(3, count($lines));
    }

    public function test_each_finding_moves_it_and_a_confirmed_fault_leaves_no_something_else(): void
    {
        $before = $this->expected(['jams-when-warm' => 'present']);
        $after = $this->expected(['jams-when-warm' => 'present', 'break-fan-dead' => 'present']);
        self::assertNotSame($before, $after);
        $sure = $this->lines(['jams-when-warm' => 'present'], ['break-fan-failed']);
        foreach ($sure->lines as $line) {
            self::assertContains('break-fan-failed', explode(JobLines::AND, $line->code));
        }
        self::assertSame(0.0, $sure->findMinutes);
    }

    public function test_what_was_spent_is_in_every_line(): void
    {
        $plain = $this->lines(['jams-when-warm' => 'present'], ['break-fan-failed']);
        $spent = $this->lines(['jams-when-warm' => 'present'], ['break-fan-failed'], new JobSoFar(14.0, 300.0, 2500, ['heat-break-fan']));
        self::assertSame(14.0, $spent->findMinutes);
        foreach ($spent->lines as $line) {
            self::assertSame(300.0, $line->minutes);
            self::assertGreaterThanOrEqual(2500, $line->parts);
        }
        // the fan was used already and is not bought a second time
        self::assertSame(2500, $this->line($spent, 'break-fan-failed')->parts);
        self::assertGreaterThan(0, $this->line($plain, 'break-fan-failed')->parts);
    }

    public function test_an_owner_is_told_as_certain_only_what_is_confirmed_and_the_rest_as_possible(): void
    {
        $guess = $this->lines(['break-fan-dead' => 'present']);
        self::assertSame([], $guess->certain(), 'in 95 of 100 is likely, not certain');
        self::assertSame('break-fan-failed', $guess->possible(3)[0]);
        self::assertLessThanOrEqual(4, count($guess->possible(3)));
        $sure = $this->lines(['jams-when-warm' => 'present'], ['break-fan-failed']);
        self::assertSame(['break-fan-failed'], $sure->certain());
        self::assertNotContains('break-fan-failed', $sure->possible(9));
        self::assertNotContains(JobLines::SOMETHING_ELSE, $sure->possible(9));
    }

    public function test_what_may_be_is_told_with_something_else_last(): void
    {
        $possible = $this->lines(['jams-when-warm' => 'present'])->possible(2);
        self::assertCount(3, $possible);
        self::assertSame(JobLines::SOMETHING_ELSE, $possible[2]);
    }

    public function test_a_part_costs_with_its_markup(): void
    {
        $at = fn (float $markup): int => $this->line(
            $this->lines(['jams-when-warm' => 'present'], ['break-fan-failed'], new JobSoFar, $markup),
            'break-fan-failed',
        )->parts;
        self::assertSame(800, $at(0));
        self::assertSame(1080, $at(35));
    }

    public function test_the_way_in_and_the_proofs_of_two_faults_are_paid_once(): void
    {
        $knowledge = TradeKnowledge::read();
        $cost = $this->session(['jams-when-warm' => 'present'])->mending();
        $faults = [$knowledge->faults['break-fan-failed'], $knowledge->faults['tube-cooked']];
        $apart = $cost->together([$faults[0]])->minutes + $cost->together([$faults[1]])->minutes;
        $together = $cost->together($faults);
        self::assertLessThan($apart, $together->minutes);
        self::assertGreaterThan($faults[0]->mend()->minutes + $faults[1]->mend()->minutes, $together->minutes);
        self::assertSame($together->classes, array_values(array_unique($together->classes)));
        self::assertSame(0.0, $cost->together([])->minutes);
    }

    public function test_searching_gets_shorter_with_what_is_looked_at(): void
    {
        $open = $this->session(['jams-when-warm' => 'present'])->searchAhead();
        $looked = $this->session(['jams-when-warm' => 'present', 'break-fan-dead' => 'present'])->searchAhead();
        self::assertGreaterThan(0.0, $open);
        self::assertLessThan($open, $looked);
    }

    private function line(JobLines $lines, string $code): EstimateLine
    {
        foreach ($lines->lines as $line) {
            if ($line->code === $code) {
                return $line;
            }
        }
        self::fail("no line {$code}");
    }

    /** @param  array<string, string>  $findings */
    private function expected(array $findings): int
    {
        $lines = $this->lines($findings);

        return (new Estimate)->judge(90, $lines->findMinutes, $lines->lines)->expected;
    }

    /**
     * @param  array<string, string>  $findings
     * @param  list<string>  $confirmed
     */
    private function lines(array $findings, array $confirmed = [], JobSoFar $soFar = new JobSoFar, float $markup = 0.0): JobLines
    {
        return JobLines::of($this->session($findings), TradeKnowledge::read(), $confirmed, $soFar, $markup);
    }

    /** @param  array<string, string>  $findings */
    private function session(array $findings): Session
    {
        $knowledge = TradeKnowledge::read();
        $traits = $knowledge->families['tern-220']->traits;

        return Session::open(CaseFile::read([
            'traits' => $traits,
            'findings' => $findings,
            'rates' => ['bench_minute' => 90, 'parts' => ['heat-break-fan' => 800]],
        ], $knowledge), $knowledge);
    }
}
