<?php

declare(strict_types=1);

namespace Tests\Core\Proof;

use OddBench\Input\InputError;
use OddBench\Knowledge\Stage;
use OddBench\Knowledge\Traits;
use OddBench\Proof\Plan;
use OddBench\Proof\ProofPlan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** What was touched decides what must be proved (common practice). */
final class ProofPlanTest extends TestCase
{
    /** @return iterable<string, array{list<string>, list<string>, list<string>}> touched, mended, owed at least */
    public static function practice(): iterable
    {
        yield 'bed off means level again' => [['bed'], [], ['bed-level', 'first-layer']];
        yield 'hot end open means heat, hold and runaway' => [['hotend'], [], ['hotend-hold', 'runaway-hotend']];
        yield 'loom means heat while it moves' => [['wiring'], [], ['heat-moving', 'full-travel']];
        yield 'feeder means load and unload every slot' => [['feeder'], [], ['feeder-slots', 'feeder-print']];
        yield 'bed sensor means runaway on the bed too' => [[], ['bed-sensor-failed'], ['runaway-bed', 'bed-hold']];
        yield 'every flash means the runaway test again' => [[], ['firmware-wrong'], ['runaway-hotend', 'runaway-bed']];
        yield 'mains side means the earth path' => [['supply'], [], ['earth-path', 'supply-under-load']];
        yield 'a fault that came and went means a long print' => [[], ['intermittent-wire'], ['long-print']];
        yield 'a belt means its tension' => [[], ['belt-slack'], ['belt-tension']];
        yield 'a liner in its position opens the hot end' => [['liner'], [], ['hotend-hold', 'feed']];
    }

    /**
     * @param  list<string>  $touched
     * @param  list<string>  $mended
     * @param  list<string>  $owed
     */
    #[DataProvider('practice')]
    public function test_what_is_owed(array $touched, array $mended, array $owed): void
    {
        $codes = $this->codes($this->plan($touched, $mended));

        self::assertSame([], array_diff($owed, $codes), implode(' ', $codes));
        self::assertSame([], array_diff(['power-on', 'home', 'small-print'], $codes), 'every repair shows power, homing and a print');
    }

    public function test_stages_come_in_their_order_and_open_one_after_the_other(): void
    {
        $plan = $this->plan(['hotend', 'wiring', 'feeder'], ['intermittent-wire']);
        $places = array_map(static fn ($owed): int => (int) array_search($owed->proof->stage, Stage::cases(), true), $plan->owed);
        $sorted = $places;
        sort($sorted);
        self::assertSame($sorted, $places);

        $passed = [];
        foreach ($plan->stages() as $stage) {
            self::assertSame($stage, $plan->openStage($passed));
            foreach ($plan->inStage($stage) as $owed) {
                $passed[$owed->proof->code] = true;
            }
        }
        self::assertNull($plan->openStage($passed));
        $passed[$plan->owed[0]->proof->code] = false;
        self::assertSame($plan->owed[0]->proof->stage, $plan->openStage($passed), 'a failed one closes what comes after');
    }

    public function test_nothing_touched_owes_nothing(): void
    {
        self::assertSame([], $this->plan([], [])->owed);
    }

    public function test_a_proof_this_machine_cannot_do_is_not_owed(): void
    {
        $plan = (new ProofPlan(TradeKnowledge::read()))->for(Traits::of([
            'feeder' => 'none',
            'levelling' => 'manual',
        ]), ['feeder', 'probe'], []);

        self::assertSame([], array_intersect(['feeder-slots', 'feeder-print', 'probe-repeat'], $this->codes($plan)));
    }

    public function test_every_fault_owes_something_that_shows_it_is_gone(): void
    {
        foreach (TradeKnowledge::read()->faults as $fault) {
            self::assertGreaterThanOrEqual(3, count($this->plan([], [$fault->code])->owed), $fault->code);
        }
    }

    public function test_limits_pass_and_fail_at_their_edges(): void
    {
        $feed = $this->plan(['hotend'], [])->find('feed');
        self::assertNotNull($feed);

        self::assertTrue($feed->passes(97) && $feed->passes(103));
        self::assertFalse($feed->passes(96.9) || $feed->passes(103.1));
        self::assertSame('97 to 103 mm', $feed->limits());
    }

    public function test_each_proof_says_why(): void
    {
        $result = (new ProofPlan(TradeKnowledge::read()))->compute(['traits' => [], 'touched' => ['bed'], 'mended' => ['belt-slack']]);
        $why = array_column(array_merge(...array_column($result['stages'], 'proofs')), 'because', 'code');

        self::assertSame('touched: bed and its level', $why['bed-level']);
        self::assertSame('mended: Belt slack', $why['belt-tension']);
    }

    public function test_unknown_codes_are_refused_with_the_nearest(): void
    {
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('hotend');
        $this->plan(['hot-end'], []);
    }

    /**
     * @param  list<string>  $touched
     * @param  list<string>  $mended
     */
    private function plan(array $touched, array $mended): Plan
    {
        return (new ProofPlan(TradeKnowledge::read()))->for(Traits::of([]), $touched, $mended);
    }

    /** @return list<string> */
    private function codes(Plan $plan): array
    {
        return array_map(static fn ($owed): string => $owed->proof->code, $plan->owed);
    }

    public function test_each_proof_says_what_makes_it_owed(): void
    {
        $input = [
            'traits' => TradeKnowledge::read()->families['tern-220']->traits,
            'touched' => [],
            'mended' => ['bed-wire-broken'],
            'fitted' => ['bed-wires', 'x-belt'],
            'unplugged' => ['TH', 'mystery'],
        ];
        $because = [];
        foreach ((new ProofPlan(TradeKnowledge::read()))->compute($input)['stages'] as $stage) {
            foreach ($stage['proofs'] as $proof) {
                $because[$proof['code']] = $proof['because'];
            }
        }
        self::assertSame('mended: Bed wire broken', $because['heat-moving']);
        self::assertSame('new: X belt', $because['belt-tension']);
        self::assertSame('unplugged: TH, mystery', $because['runaway-hotend']);
        self::assertSame('new: X belt', $because['full-travel'], 'what was fitted says more than a loom that was touched');
        self::assertSame('mended: Bed wire broken', $because['repeat-complaint']);
    }

    public function test_new_bed_wires_are_heated_while_the_bed_travels_even_when_no_fault_was_named(): void
    {
        $owed = (new ProofPlan(TradeKnowledge::read()))->for(Traits::of(TradeKnowledge::read()->families['tern-220']->traits), [], [], ['bed-wires'])->owed;
        $codes = array_map(static fn ($o): string => $o->proof->code, $owed);

        self::assertSame([], array_diff(['heat-moving', 'bed-hold', 'runaway-bed', 'insulation'], $codes));
        self::assertNotContains('repeat-complaint', $codes, 'nothing was complained of');
    }

    public function test_a_socket_nobody_knows_counts_as_the_loom(): void
    {
        $owed = (new ProofPlan(TradeKnowledge::read()))->for(Traits::of([]), [], [], [], ['XYZ']);
        self::assertSame('unplugged: XYZ', $owed->find('heat-moving')?->because);
    }

    public function test_an_unknown_position_is_refused_by_its_field(): void
    {
        try {
            (new ProofPlan(TradeKnowledge::read()))->compute(['traits' => [], 'touched' => [], 'mended' => [], 'fitted' => ['wing-left']]);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame('fitted.0', $e->field);
        }
    }
}
