<?php

declare(strict_types=1);

namespace Tests\Core\Stock;

use OddBench\Input\InputError;
use OddBench\Knowledge\Material;
use OddBench\Machines\Fit;
use OddBench\Stock\Holding;
use OddBench\Stock\KitCheck;
use OddBench\Stock\KitNeeds;
use OddBench\Stock\MadeCost;
use OddBench\Stock\Reorder;
use OddBench\Stock\SpareGrade;
use OddBench\Stock\SpoolState;
use OddBench\Stock\Variance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\TradeKnowledge;

/** The small rules of the shelf, worked by hand. */
final class ShelfRulesTest extends TestCase
{
    public function test_moving_average_of_a_worked_example(): void
    {
        // 10 at 1.20, 5 at 3.40 come: 15 worth 29.00, each 1.93; four go with 7.73; eleven are worth 21.27
        $holding = (new Holding(0, 0))->after(10, 1200)->after(5, 1700);
        self::assertSame([15, 2900, 193], [$holding->count, $holding->value, $holding->each()]);
        $holding = $holding->after(-4);
        self::assertSame([11, 2127], [$holding->count, $holding->value]);
        self::assertSame([0, 0], [$holding->after(-11)->count, $holding->after(-11)->value], 'the last ones take what is left');
        $this->expectExceptionObject(InputError::at('quantity', 'There are 11, and 12 would go.'));
        $holding->after(-12);
    }

    public function test_nothing_is_lost_to_rounding_however_it_is_taken(): void
    {
        $random = new Randomizer(new Mt19937(3));
        for ($case = 0; $case < 100; $case++) {
            $holding = new Holding(0, 0);
            $in = $out = 0;
            for ($step = 0; $step < 30; $step++) {
                $change = $holding->count === 0 || $random->getInt(0, 1) === 0
                    ? $random->getInt(1, 9)
                    : -$random->getInt(1, $holding->count);
                $value = $change > 0 ? $random->getInt(0, 5000) : null;
                $after = $holding->after($change, $value);
                $value === null ? $out += $holding->value - $after->value : $in += $value;
                self::assertGreaterThanOrEqual(0, $after->value);
                $holding = $after;
            }
            self::assertSame($in - $out, $holding->value);
            self::assertSame(0, $holding->after(-$holding->count)->value);
        }
    }

    public function test_a_difference_is_worth_its_share(): void
    {
        $holding = new Holding(10, 1200);
        self::assertSame([-2, -240], [Variance::of(8, 10, $holding)->pieces, Variance::of(8, 10, $holding)->value]);
        self::assertSame([3, 360], [Variance::of(13, 10, $holding)->pieces, Variance::of(13, 10, $holding)->value]);
        self::assertSame([0, 0], [Variance::of(10, 10, $holding)->pieces, Variance::of(10, 10, $holding)->value]);
        self::assertSame(0, Variance::of(2, 0, new Holding(0, 0))->value);
    }

    public function test_a_kit_is_made_up_as_often_as_one_after_the_other_would_go(): void
    {
        $random = new Randomizer(new Mt19937(11));
        for ($case = 0; $case < 150; $case++) {
            $kit = ['a' => $random->getInt(1, 3), 'b' => $random->getInt(1, 2)];
            $free = ['a' => $random->getInt(0, 6), 'b' => $random->getInt(0, 6), 'c' => $random->getInt(0, 4)];
            $substitutes = ['a' => ['c'], 'b' => $random->getInt(0, 1) === 1 ? ['c', 'a'] : []];
            $said = (new KitCheck)->times($kit, $free, $substitutes);
            self::assertSame(
                $this->mostTimes($kit, $free, $substitutes),
                $said['times'],
                (string) json_encode([$kit, $free, $substitutes]),
            );
            self::assertNotSame([], $said['shortest']);
        }
        self::assertSame(['times' => 0, 'shortest' => []], (new KitCheck)->times([], ['a' => 4], []));
        self::assertSame(
            ['times' => 3, 'shortest' => ['clip']],
            (new KitCheck)->times(['liner' => 1, 'clip' => 2], ['liner' => 9, 'clip' => 7], []),
        );
    }

    public function test_the_last_of_its_kind_is_ordered_though_nobody_asked_for_it(): void
    {
        $asked = ['history' => array_fill(0, 52, 0), 'lead_time_weeks' => 2, 'service_level' => 0.95, 'pack_size' => 4, 'on_hand' => 0];
        self::assertSame(0, (new Reorder)->compute($asked)['order_packs']);
        $last = (new Reorder)->compute($asked + ['last_of_kind' => 'The last fresh face of Y rail runs.']);
        self::assertSame(1, $last['order_packs']);
        self::assertStringStartsWith('The last fresh face of Y rail runs. 0 are free', (string) $last['because']);
        self::assertSame(0, (new Reorder)->compute(['on_hand' => 1, 'last_of_kind' => 'x'] + $asked)['order_packs'], 'one is there');
        self::assertSame(0, (new Reorder)->compute($asked + ['on_order' => 4, 'last_of_kind' => 'x'])['order_packs'], 'one is on its way');
        self::assertSame(1, (new Reorder)->compute($asked + ['planned' => 3])['order_packs'], 'three are in kits of open jobs');
        self::assertSame(2, (new Reorder)->compute($asked + ['planned' => 3, 'reserved' => 2])['order_packs'], 'five are asked for');
    }

    public function test_open_jobs_still_need_what_they_have_not_had(): void
    {
        $knowledge = TradeKnowledge::read();
        $needs = new KitNeeds($knowledge);
        $guide = null;
        foreach ($knowledge->guides as $one) {
            if ($one->mends !== []
                && array_filter($one->kitOf($one->schools()[0] ?? null), static fn ($p): bool => ! $p->ifNeeded) !== []
                && \OddBench\Knowledge\Traits::of($knowledge->families['tern-220']->traits)->allow($one->needs)) {
                $guide = $one;
                break;
            }
        }
        self::assertNotNull($guide);
        $open = $needs->open('tern-220', [$guide->mends[0]], [], []);
        self::assertNotSame([], $open);
        $class = (string) array_key_first($open);
        self::assertSame(
            $open[$class] > 1 ? $open[$class] - 1 : null,
            $needs->open('tern-220', [$guide->mends[0]], [], [$class => 1])[$class] ?? null,
        );
        self::assertSame([], $needs->open('tern-220', [], [], []), 'a mended fault needs nothing');
        self::assertSame([], $needs->open('tern-220', [$guide->mends[0]], [], array_map(static fn (int $n): int => $n, $open)));
    }

    public function test_made_here(): void
    {
        // 50 g at 22.00 a kilogram and 2 minutes at 0.90; PETG of 1.27 g/cm³: 39.37 cm³ in 1.75 mm are 16.37 m
        $cost = MadeCost::of(50, 22, 2, 0.9, 1.27);
        self::assertEqualsWithDelta([1.10, 1.80, 2.90, 16.37], [$cost->material, $cost->hands, $cost->total(), $cost->lengthM], 0.005);
        self::assertSame([0.0, 9.0], [MadeCost::of(0, 22, 10, 0.9)->material, MadeCost::of(0, 22, 10, 0.9)->hands], 'turned, not printed');
    }

    /**
     * @param  list<string>  $findings
     */
    #[DataProvider('spools')]
    public function test_spools(?float $age, ?float $open, ?float $dried, array $findings): void
    {
        self::assertSame($findings, array_keys(SpoolState::of(new Material('PETG', 1.27, 30, 730), $age, $open, $dried)->findings));
    }

    /** @return iterable<string, array{float|null, float|null, float|null, list<string>}> */
    public static function spools(): iterable
    {
        yield 'sealed and fresh' => [20, null, null, []];
        yield 'sealed and old' => [800, null, null, ['old-spool']];
        yield 'open a month to the day' => [60, 30, null, []];
        yield 'open longer' => [60, 31, null, ['damp-storage']];
        yield 'dried since' => [60, 200, 5, []];
        yield 'dried, and long ago' => [60, 200, 40, ['damp-storage']];
        yield 'dried before it was opened' => [60, 10, 50, []];
        yield 'nobody knows how old' => [null, 300, null, ['damp-storage']];
        yield 'both' => [731, 31, 31, ['old-spool', 'damp-storage']];
    }

    public function test_what_a_part_fits(): void
    {
        $knowledge = TradeKnowledge::read();
        $all = Fit::read([], $knowledge);
        $tern = $knowledge->families['tern-220'];
        self::assertTrue($all->allows($tern, 'liner'));
        $some = Fit::read(['families' => ['heron-cx'], 'positions' => ['nozzle'], 'traits' => []], $knowledge);
        self::assertFalse($some->allows($tern));
        self::assertTrue($some->allows($knowledge->families['heron-cx'], 'nozzle'));
        self::assertFalse($some->allows($knowledge->families['heron-cx'], 'x-belt'));
        $lined = Fit::read(['traits' => ['hotend' => 'lined']], $knowledge);
        foreach ($knowledge->families as $family) {
            self::assertSame(($family->traits['hotend'] ?? 'lined') === 'lined', $lined->allows($family), $family->code);
        }
        self::assertEquals($some, Fit::kept($some->toArray()));
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('Did you mean “lined”?');
        Fit::read(['traits' => ['hotend' => 'lind']], $knowledge);
    }

    public function test_how_far_a_used_one_is_trusted(): void
    {
        self::assertSame(['FAN-1.T', 'FAN-1.U'], [SpareGrade::Tested->numberOf('FAN-1'), SpareGrade::Untested->numberOf('FAN-1')]);
        self::assertSame(SpareGrade::Tested, SpareGrade::taken('tested', 'ran an hour', false));
        self::assertSame(SpareGrade::Untested, SpareGrade::taken('untested', null, true));
        self::assertFalse(SpareGrade::Untested->counts());
        foreach ([
            ['tested', null, false, 'how it was tested'],
            ['tested', 'looks well', true, 'red tag'],
            ['new', null, false, 'tested or untested'],
        ] as [$grade, $how, $tagged, $message]) {
            try {
                SpareGrade::taken($grade, $how, $tagged);
                self::fail("{$grade} was taken");
            } catch (InputError $e) {
                self::assertStringContainsString($message, $e->getMessage());
            }
        }
    }

    /**
     * @param  array<string, int>  $kit
     * @param  array<string, int>  $free
     * @param  array<string, list<string>>  $substitutes
     */
    private function mostTimes(array $kit, array $free, array $substitutes): int
    {
        for ($times = 1; (new KitCheck)->check(
            array_map(static fn (int $n): int => $n * $times, $kit),
            $free,
            $substitutes,
            [],
        )['short'] === []; $times++);

        return $times - 1;
    }
}
