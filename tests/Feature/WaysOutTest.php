<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Machines\Machine;
use App\Stock\Parts\Part;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** Which parts a plan waits for, and what would save a promise that waits for one. */
final class WaysOutTest extends PlanTestCase
{
    public function test_a_part_that_lies_there_is_given_to_one_job_and_the_next_waits_for_the_order(): void
    {
        $first = $this->needsPart('2026-12-08');
        $second = $this->needsPart('2026-12-09');
        $part = $this->partOf($first, 1);
        $this->plan();
        self::assertSame('2026-12-07', $this->mendOf($first)->toDateString());
        $unplanned = array_column($this->today()['unplanned'], 'because', 'job');
        self::assertSame([$second->id], array_keys($unplanned), 'the piece is promised to the first');
        self::assertStringContainsString('which nobody has ordered', $unplanned[$second->id]);
        // it is ordered and comes on Thursday
        $this->order($part, 3, '2026-12-10T11:00:00+01:00');
        $this->plan();
        self::assertSame([], $this->today()['unplanned']);
        self::assertSame('2026-12-10T11:00', $this->mendOf($second)->format('Y-m-d\TH:i'));
        // promised to the second, the first waits
        DB::table('reservations')->insert(
            ['job_id' => $second->id, 'part_id' => $part->id, 'quantity' => 1, 'person_id' => $this->bo->id, 'at' => now()],
        );
        $this->plan();
        self::assertSame('2026-12-07', $this->mendOf($second)->toDateString());
        self::assertSame('2026-12-10', $this->mendOf($first)->toDateString());
    }

    public function test_a_substitute_and_a_donor_are_named_where_the_part_comes_too_late(): void
    {
        $job = $this->needsPart('2026-12-08');
        $part = $this->partOf($job, 0);
        $this->order($part, 1, '2026-12-10T11:00:00+01:00');
        $this->plan();
        $ways = fn (): array => $this->today()['warnings'][0]['ways'];
        self::assertContains('Its part at once: ask the supplier, or buy it elsewhere.', $ways());
        $other = Part::query()->create(['number' => 'OTHER-1', 'name' => 'Another that fits', 'class' => 'liner', 'bin' => 'C5']);
        DB::table('part_substitutes')->insert(['part_id' => $part->id, 'substitute_id' => $other->id, 'note' => 'fits']);
        $this->plan();
        self::assertNotContains('A substitute lies on the shelf: Another that fits.', $ways(), 'there is none of it');
        $other->update(['on_hand' => 2]);
        $this->plan();
        self::assertContains('A substitute lies on the shelf: Another that fits.', $ways());
        $donor = $this->machine();
        $donor->update(['place' => 'donor']);
        $this->plan();
        self::assertContains("{$donor->tag} on the donor shelf has one.", $ways());
        Machine::query()->whereKey($donor->id)->update(['family' => 'wren-mini']);
        $this->plan();
        self::assertNotContains("{$donor->tag} on the donor shelf has one.", $ways(), 'of another family');
    }

    public function test_a_promise_whose_day_has_passed_asks_for_a_new_one(): void
    {
        $late = $this->promised('2026-12-04');
        $this->plan();
        $warning = $this->today()['warnings'][0];
        self::assertSame([$late->id, 'Its day has passed: tell its owner, and say a new one.'], [$warning['job'], $warning['words']]);
        self::assertNotContains('Nothing in the shop would save it: say a new day now.', $warning['ways']);
    }

    public function test_a_second_pair_of_hands_is_named_where_hands_are_short(): void
    {
        $this->travelTo(Carbon::parse('2026-12-07T16:20:00+01:00'));
        $jobs = array_map(fn (): Job => $this->promised('2026-12-07'), range(1, 2));
        $this->away($this->bo, '2026-12-07', '16:20', null)->assertOk();
        $this->plan();
        $warnings = array_column($this->today()['warnings'], 'ways', 'job');
        self::assertEqualsCanonicalizing(array_map(static fn (Job $j): int => $j->id, $jobs), array_keys($warnings));
        self::assertStringNotContainsString('Its part at once', (string) json_encode($warnings), 'it waits for none');
    }

    /** When it is mended, in the shop's zone. */
    private function mendOf(Job $job): Carbon
    {
        foreach ($this->steps() as $step) {
            if ($step['job'] === $job->id && $step['station'] === 'repair') {
                return Carbon::parse($step['start'])->setTimezone('Europe/Berlin');
            }
        }
        self::fail('It is not mended in the plan.');
    }

    private function needsPart(string $promised): Job
    {
        return $this->toMend('break-fan-failed', $promised);
    }

    private function partOf(Job $job, int $onHand): Part
    {
        $class = $this->app->make(Knowledge::class)->faults['break-fan-failed']->mend()->parts[0];
        self::assertNotSame('', $class, $job->machine->tag);

        return $this->part($onHand, $class, 'FAN-1');
    }
}
