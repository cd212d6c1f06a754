<?php

declare(strict_types=1);

namespace Tests\Core\Proof;

use OddBench\Proof\Prints\Bed;
use OddBench\Proof\Run\Limits;
use OddBench\Proof\Run\Plan;
use OddBench\Proof\Run\Run;
use OddBench\Rig\Fault;
use OddBench\Rig\Numbers;
use OddBench\Rig\Printer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;
use Tests\Sample;

/** Many machines of each family: the sound ones pass, the weak ones are found, also where nobody measured this machine before. */
final class SeedsTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function families(): iterable
    {
        foreach (array_keys(TradeKnowledge::read()->families) as $code) {
            yield $code => [$code];
        }
    }

    #[DataProvider('families')]
    public function test_fifty_sound_machines_raise_no_alarm(string $code): void
    {
        foreach (Sample::of(range(1, 50)) as $seed) {
            $run = $this->proved(
                $code,
                ['identify', 'smoke', 'homing', 'travel', 'hotend-hold', 'bed-hold', 'heat-moving', 'free-air'],
                [],
                $seed,
            );
            self::assertSame('passed', $run->state, "seed {$seed}: {$run->said}");
        }
    }

    #[DataProvider('families')]
    public function test_a_weak_heater_is_found_in_every_seed(string $code): void
    {
        foreach (Sample::of(range(1, 20)) as $seed) {
            $run = $this->proved($code, ['identify', 'hotend-hold'], [Fault::HeaterWeak], $seed);
            self::assertSame('failed', $run->state, "seed {$seed}");
            self::assertContains($run->results['hotend-hold']['finding'], ['hotend-slow', 'error-heating'], $run->said);
        }
    }

    #[DataProvider('families')]
    public function test_resistance_in_the_bed_plug_is_found_without_a_measurement_of_before(string $code): void
    {
        foreach (Sample::of(range(1, 5)) as $seed) {
            $run = $this->proved($code, ['identify', 'bed-hold'], [Fault::BedContact], $seed);
            self::assertSame('bed-slow', $run->results['bed-hold']['finding'], "seed {$seed}: {$run->said}");
            self::assertStringContainsString('usual in its family', $run->said);
        }
    }

    /**
     * @param  list<string>  $stages
     * @param  list<Fault>  $faults
     */
    private function proved(string $code, array $stages, array $faults, int $seed): Run
    {
        $family = TradeKnowledge::read()->families[$code];
        $size = [$family->build->x, $family->build->y, $family->build->z];
        $run = new Run(new Plan(
            $stages,
            Bed::of($family->build),
            holdS: 30.0,
            probed: in_array($family->traits['levelling'] ?? '', ['probe', 'nozzle-probe'], true),
            limits: new Limits($family->heat->hotendMostC, $family->heat->bedMostC),
            familyHotendRiseS: $family->heat->hotendRiseS,
            familyBedRiseS: $family->heat->bedRiseS,
        ));
        (new Bystander($run, new Printer(Numbers::of($family->name, $family->traits, sizeMm: $size), $faults, $seed), 1.0))->watch();

        return $run;
    }
}
