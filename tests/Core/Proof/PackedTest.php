<?php

declare(strict_types=1);

namespace Tests\Core\Proof;

use OddBench\Proof\Run\Packed;
use OddBench\Proof\Run\Sample;
use PHPUnit\Framework\TestCase;

/** What is packed is unpacked again, and what is thinned keeps its peaks. */
final class PackedTest extends TestCase
{
    public function test_there_and_back(): void
    {
        $samples = [
            new Sample(60.0, -15.0, 0.0, 21.94, 0.0, 0.0, null),
            new Sample(61.1, 210.06, 210.0, 60.0, 60.0, 0.5, 1.0),
            new Sample(119.9, 420.0, 300.0, 110.5, 110.0, null, 0.005),
        ];
        $bytes = Packed::pack($samples);
        self::assertSame(36, strlen($bytes), 'twelve bytes each');
        foreach (Packed::unpack($bytes, 1) as $i => $back) {
            self::assertEqualsWithDelta($samples[$i]->t, $back->t, 0.051);
            foreach (['hotend', 'hotendTarget', 'bed', 'bedTarget'] as $what) {
                self::assertEqualsWithDelta($samples[$i]->{$what}, $back->{$what}, 0.051, $what);
            }
            foreach (['hotendPower', 'bedPower'] as $what) {
                self::assertSame($samples[$i]->{$what} === null, $back->{$what} === null, $what);
                self::assertEqualsWithDelta($samples[$i]->{$what} ?? 0.0, $back->{$what} ?? 0.0, 0.0026, $what);
            }
        }
    }

    public function test_what_cannot_be_is_held_at_the_edge_and_scraps_are_left_out(): void
    {
        $wild = Packed::unpack(Packed::pack([new Sample(0.0, -500.0, 0.0, 9000.0, 0.0)]), 0);
        self::assertSame([-100.0, 6453.5], [$wild[0]->hotend, round($wild[0]->bed, 1)]);
        self::assertSame([], Packed::unpack('too short', 0));
        self::assertSame([], Packed::unpack('', 0));
    }

    public function test_thinning_keeps_the_order_and_a_single_spike_of_either_heater(): void
    {
        $samples = [];
        for ($i = 0; $i < 10_000; $i++) {
            $samples[] = new Sample((float) $i, $i === 4321 ? 260.0 : 200.0, 200.0, $i === 7777 ? 12.5 : 60.0, 60.0);
        }
        $thin = Packed::thinned(self::minutes($samples), 720);

        self::assertLessThanOrEqual(724, count($thin));
        self::assertGreaterThan(180, count($thin));
        self::assertSame(260.0, max(array_map(static fn (Sample $s): float => $s->hotend, $thin)));
        self::assertSame(12.5, min(array_map(static fn (Sample $s): float => $s->bed, $thin)));
        $times = array_map(static fn (Sample $s): float => $s->t, $thin);
        $sorted = $times;
        sort($sorted);
        self::assertSame($sorted, $times);
        self::assertSame(array_unique($times), $times, 'none twice');
    }

    public function test_few_enough_are_all_kept(): void
    {
        $samples = [];
        for ($i = 0; $i < 150; $i++) {
            $samples[] = new Sample((float) $i, 20.0 + $i, 200.0, 20.0 + $i / 2, 60.0, 0.5, 0.5);
        }

        self::assertEquals($samples, Packed::thinned(self::minutes($samples), 720));
        self::assertSame([], Packed::thinned([], 720));
        self::assertSame([], Packed::thinned([3 => 'scrap'], 720));
    }

    /**
     * @param  list<Sample>  $samples
     * @return array<int, string>
     */
    private static function minutes(array $samples): array
    {
        $minutes = [];
        foreach ($samples as $sample) {
            $minutes[(int) ($sample->t / 60)][] = $sample;
        }

        return array_map(Packed::pack(...), $minutes);
    }
}
