<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Plan\Calendar\Week;
use App\Plan\Promises\PromiseWords;
use App\Plan\Today\PlanWords;
use DateTimeZone;
use OddBench\Input\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A plan, a promise and hours in words. */
final class PlanWordsTest extends TestCase
{
    /** @return iterable<string, array{list<array<string, mixed>>, string}> */
    public static function promised(): iterable
    {
        $job = static fn (string $name, int $late, ?int $spare): array => ['name' => $name, 'late' => $late, 'spare' => $spare];
        yield 'none' => [[], 'Nothing is promised for today or tomorrow.'];
        yield 'one, kept' => [[$job('A', 0, 41)], 'One promised for today or tomorrow, kept. A is the tightest: 41 min to spare.'];
        yield 'one, not kept' => [[$job('A', 1, -60)], 'One promised for today or tomorrow, not kept.'];
        yield 'all kept' => [
            [$job('A', 0, 300), $job('B', 0, 130)],
            '2 promised for today and tomorrow, all kept. B is the tightest: 2 h to spare.',
        ];
        yield 'none kept' => [[$job('A', 2, -60), $job('B', 0, null)], '2 promised for today and tomorrow, none of them kept.'];
        yield 'some kept' => [
            [$job('A', 2, -60), $job('B', 0, 3000), $job('C', 0, 4000)],
            '3 promised for today and tomorrow, 2 of them kept. B is the tightest: 2 days to spare.',
        ];
    }

    /** @param  list<array<string, mixed>>  $jobs */
    #[DataProvider('promised')]
    public function test_what_holds(array $jobs, string $words): void
    {
        self::assertSame($words, PlanWords::holds($jobs));
    }

    public function test_spans_of_time(): void
    {
        self::assertSame(['0 min', '119 min', '2 h', '47 h', '2 days'], array_map(PlanWords::span(...), [0, 119, 120, 2879, 2880]));
    }

    public function test_how_good_it_is(): void
    {
        $zone = new DateTimeZone('Europe/Berlin');
        $body = ['jobs' => [['ready' => '2026-12-07T14:30:00+00:00'], ['ready' => null], ['ready' => '2026-12-07T09:00:00+00:00']]];
        $said = static fn (array $more): string => PlanWords::quality($body + $more, $zone);

        self::assertSame('Nothing to plan.', PlanWords::quality(['jobs' => [['ready' => null]]], $zone));
        self::assertSame(
            'Nothing late; all done Mon 7 Dec, 15:30. No order of these steps is better.',
            $said(['late' => 0, 'proved' => true, 'gap' => 0.4]),
        );
        self::assertSame(
            'One late; all done Mon 7 Dec, 15:30. No order can be better by more than 1 in 100.',
            $said(['late' => 1, 'proved' => false, 'gap' => 0.0049]),
        );
        self::assertStringEndsWith('3 late; all done Mon 7 Dec, 15:30. No order can be better by more than 8 in 100.', $said([
            'late' => 3, 'proved' => false, 'gap' => 0.071,
        ]));
    }

    public function test_promises(): void
    {
        self::assertSame('No day of this year holds in 9 of 10: promise none yet.', PromiseWords::of(null, '2026-12-07', 0.0, 0));
        self::assertSame('Mon 7 Dec holds in 9 of 10.', PromiseWords::of('2026-12-07', '2026-12-07', 0.4, 4));
        self::assertSame('Fri 11 Dec holds in 9 of 10, Mon 7 Dec in half.', PromiseWords::of('2026-12-11', '2026-12-07', 0.9, 0));
        self::assertSame(
            'Fri 11 Dec holds in 9 of 10, Mon 7 Dec in half. Its likeliest part takes about 3 days. Learned from 5 earlier ones.',
            PromiseWords::of('2026-12-11', '2026-12-07', 2.6, 5),
        );
    }

    public function test_hours_are_read_as_people_type_them(): void
    {
        $row = static fn (int $day, string $opens, string $closes): array => ['weekday' => $day, 'opens' => $opens, 'closes' => $closes];
        self::assertSame(
            [
                ['weekday' => 1, 'opens' => 480, 'closes' => 720],
                ['weekday' => 1, 'opens' => 720, 'closes' => 1440],
                ['weekday' => 7, 'opens' => 0, 'closes' => 1],
            ],
            Week::read([$row(1, '8:00', '12:00'), $row(1, '12:00', '24:00'), $row(7, ' 00:00', '0:01 ')]),
        );
        self::assertSame(['00:00', '08:05', '24:00'], array_map(Week::words(...), [0, 485, 1440]));
        foreach (['24:01', '25:00', '8', '8:60', '8.30', '', '-1:00'] as $wrong) {
            try {
                Week::minute($wrong, 'from');
                self::fail("“{$wrong}” was read");
            } catch (InputError $e) {
                self::assertSame('from', $e->field);
                self::assertStringContainsString('such as 08:30', $e->getMessage());
            }
        }
        try {
            Week::read([$row(2, '8:00', '12:00'), $row(2, '11:59', '13:00')]);
            self::fail('two over each other');
        } catch (InputError $e) {
            self::assertSame('week.1.opens', $e->field);
        }
        try {
            Week::read([$row(2, '12:00', '12:00')]);
            self::fail('nothing between');
        } catch (InputError $e) {
            self::assertSame('week.0.closes', $e->field);
        }
    }
}
