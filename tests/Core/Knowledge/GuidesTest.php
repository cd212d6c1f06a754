<?php

declare(strict_types=1);

namespace Tests\Core\Knowledge;

use OddBench\Knowledge\BadKnowledge;
use OddBench\Knowledge\Guide;
use OddBench\Knowledge\Heat;
use OddBench\Knowledge\KnowledgeReader;
use OddBench\Knowledge\Power;
use OddBench\Knowledge\Traits;
use OddBench\Proof\Owed;
use OddBench\Proof\ProofPlan;
use OddBench\Repair\FastenerList;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Core\TradeKnowledge;

/** The guides that ship: whole, safe at every step, and owing the proofs they should (common practice). */
final class GuidesTest extends TestCase
{
    public function test_the_work_of_the_trade_is_there(): void
    {
        $guides = TradeKnowledge::read()->guides;

        self::assertSame([], array_diff([
            'level-bed-manual',
            'level-bed-probe',
            'lock-bed-screws',
            'wheels-and-eccentrics',
            'turn-or-replace-rail',
            'linear-bearings',
            'belts-and-tensioner',
            'change-idlers',
            'free-carriage',
            'replace-liner',
            'clear-part-clog',
            'clear-full-clog',
            'cold-pull',
            'change-nozzle-hot',
            'change-one-piece-hotend',
            'change-thermistor-heater',
            'save-from-blob',
            'free-stuck-filament',
            'clear-feeder',
            'drive-gear-and-tension',
            'change-fans',
            'new-bed-wires',
            'insulate-bed-fixings',
            'burned-connector',
            'lifted-socket',
            'dry-filament',
            'runaway-test',
            'canister-clip',
            'clean-and-grease',
            'shipping-inspection',
        ], array_keys($guides)));
    }

    /** @return iterable<string, array{Guide}> */
    public static function guides(): iterable
    {
        foreach (TradeKnowledge::read()->guides as $guide) {
            yield $guide->code => [$guide];
        }
    }

    #[DataProvider('guides')]
    public function test_power_and_heat_are_safe_whichever_way_it_is_done(Guide $guide): void
    {
        foreach ([null, ...$guide->schools()] as $school) {
            $heaterOut = false;
            $heat = null;
            foreach ($guide->stepsOf($school) as $number => $step) {
                $at = "{$guide->code}, step {$number}";
                $heaterOut = $step->heater === 'out' || ($heaterOut && $step->heater !== 'in');
                self::assertFalse($heaterOut && $step->power !== Power::Unplugged, "{$at}: power with a heater out of its block");
                self::assertFalse($step->metalNearLeads && $step->power === Power::On, "{$at}: metal near the leads of a powered head");
                self::assertFalse($step->heat === Heat::Hot && $step->power !== Power::On, "{$at}: heat without power");
                if ($heat !== null && $heat !== Heat::Cold && $step->heat === Heat::Cold) {
                    self::assertNotNull($step->timer, "{$at}: hot metal becomes cold by waiting only");
                }
                if ($step->off !== null) {
                    FastenerList::read($step->off->fasteners);
                }
                $heat = $step->heat;
            }
            self::assertFalse($heaterOut, $guide->code);
        }
    }

    #[DataProvider('guides')]
    public function test_it_owes_what_its_work_touches_on_every_machine_it_is_for(Guide $guide): void
    {
        $knowledge = TradeKnowledge::read();
        $plan = new ProofPlan($knowledge);
        $machines = 0;
        foreach ($knowledge->families as $family) {
            $traits = Traits::of($family->traits);
            if (! $traits->allow($guide->needs)) {
                continue;
            }
            $machines++;
            $owed = array_map(static fn (Owed $o): string => $o->proof->code, $plan->for($traits, $guide->touches, $guide->mends)->owed);
            self::assertSame([], array_diff(['power-on', 'home', 'small-print'], $owed), "{$guide->code} on {$family->code}");
            $expected = array_merge([], ...array_map(static fn (string $s): array => self::OWED[$s] ?? [], $guide->touches));
            // a bed without a mesh owes a stricter one
            $owed = array_map(static fn (string $code): string => $code === 'bed-level-no-mesh' ? 'bed-level' : $code, $owed);
            self::assertSame([], array_diff($expected, $owed), "{$guide->code} on {$family->code}");
            if ($guide->mends !== []) {
                self::assertContains('repeat-complaint', $owed);
            }
        }
        self::assertGreaterThan(0, $machines, $guide->code);
    }

    /** What touching a subsystem owes at the least, written down apart from the knowledge files. */
    private const OWED = [
        'bed' => ['bed-level', 'first-layer'],
        'hotend' => ['hotend-hold', 'runaway-hotend', 'feed', 'leads-tug'],
        'hotend-heater' => ['insulation', 'hotend-hold', 'runaway-hotend'],
        'hotend-sensor' => ['leads-tug', 'hotend-hold', 'runaway-hotend'],
        'bed-heater' => ['insulation', 'bed-hold', 'runaway-bed'],
        'bed-sensor' => ['bed-hold', 'runaway-bed'],
        'wiring' => ['heat-moving', 'full-travel'],
        'motion' => ['full-travel'],
        'frame' => ['squareness'],
        'extruder' => ['feed'],
        'fans' => ['fans-turn'],
        'feeder' => ['feeder-slots', 'feeder-print'],
        'material' => ['repeat-complaint'],
    ];

    #[DataProvider('guides')]
    public function test_what_it_says_is_whole(Guide $guide): void
    {
        self::assertGreaterThanOrEqual($guide->practised, $guide->first);
        self::assertNotSame('', $guide->state);
        self::assertGreaterThanOrEqual(3, count($guide->steps));
        $targets = array_filter($guide->steps, static fn ($s): bool => $s->target !== null);
        self::assertNotSame([], $targets, 'some step has a target');
        $hot = array_filter($guide->steps, static fn ($s): bool => $s->heat === Heat::Hot);
        $cautions = array_filter($guide->steps, static fn ($s): bool => $s->caution !== null || $s->hazards !== []);
        self::assertFalse($hot !== [] && $cautions === [], 'hot work carries a caution');
        foreach ($guide->kit as $part) {
            if ($part->school !== null) {
                self::assertContains($part->school, $guide->schools());
            }
        }
    }

    public function test_the_waits_of_the_trade_are_in_the_clocks(): void
    {
        $timers = [];
        foreach (TradeKnowledge::read()->guides as $guide) {
            foreach ($guide->steps as $step) {
                if ($step->timer !== null) {
                    $timers[$guide->code][] = [$step->timer->minutes, $step->timer->most];
                }
            }
        }
        self::assertContains([15.0, 20.0], $timers['save-from-blob'], 'soak 15 to 20 minutes');
        self::assertContains([15.0, 20.0], $timers['level-bed-manual'], 'bed soak 15 to 20 minutes');
        self::assertContains([360.0, null], $timers['dry-filament'], 'six hours');
    }

    public function test_the_schools_of_the_trade_are_offered(): void
    {
        $guides = TradeKnowledge::read()->guides;
        self::assertSame(['every corner to the mean plane', 'one corner stays, the others follow'], $guides['level-bed-manual']->schools());
        self::assertSame(['by a sister machine', 'by pitch', 'by feel'], $guides['belts-and-tensioner']->schools());
        self::assertEqualsCanonicalizing(['turn it', 'replace it'], $guides['turn-or-replace-rail']->schools());
        self::assertEqualsCanonicalizing(['soak it off', 'replace the block'], $guides['save-from-blob']->schools());
        self::assertEqualsCanonicalizing(['on the machine', 'down on the bench'], $guides['clear-feeder']->schools());
        self::assertSame([], $guides['cold-pull']->schools());
        $turned = $guides['turn-or-replace-rail'];
        self::assertNotContains(
            'rail',
            array_map(static fn ($p): string => $p->class, $turned->kitOf('turn it')),
            'a turned rail needs no new one',
        );
        self::assertContains('rail', array_map(static fn ($p): string => $p->class, $turned->kitOf('replace it')));
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>, string}> */
    public static function mistakes(): iterable
    {
        $change = static fn (callable $on): callable => static function (array $guide) use ($on): array {
            $on($guide);

            return $guide;
        };
        yield 'a step that refers to a part that is not in the kit' => [$change(static function (array &$g): void {
            $g['steps'][1]['part'] = 'belt';
        }), 'test-guide.steps.2: part: “belt” is not in the kit'];
        yield 'a part class nobody knows' => [$change(static function (array &$g): void {
            $g['kit'][] = ['part' => 'flux-capacitor'];
        }), 'kit.part: there is no “flux-capacitor”'];
        yield 'power with the heater out' => [$change(static function (array &$g): void {
            $g['steps'][1] += ['heater' => 'out', 'power' => 'on'];
        }), 'leaves its block only when the machine is unplugged'];
        yield 'power back on before the heater is in' => [$change(static function (array &$g): void {
            $g['steps'][1]['heater'] = 'out';
            $g['steps'][] = ['do' => 'On.', 'power' => 'on'];
            $g['steps'][] = ['do' => 'In.', 'heater' => 'in', 'power' => 'unplugged'];
        }), 'stays unplugged while the heater is out of its block'];
        yield 'a heater that never goes back' => [$change(static function (array &$g): void {
            $g['steps'][1]['heater'] = 'out';
        }), 'the heater is never put back'];
        yield 'metal at a powered head' => [$change(static function (array &$g): void {
            $g['steps'][] = ['do' => 'Spanner on.', 'power' => 'on', 'metal_near_leads' => true];
        }), 'must be off or unplugged where a metal tool'];
        yield 'hot metal cold at once' => [$change(static function (array &$g): void {
            array_push(
                $g['steps'],
                ['do' => 'Heat.', 'power' => 'on', 'heat' => 'hot'],
                ['do' => 'Cold.', 'power' => 'unplugged', 'heat' => 'cold'],
            );
        }), 'hot metal becomes cold only by waiting'];
        yield 'heat without power' => [$change(static function (array &$g): void {
            $g['steps'][] = ['do' => 'Hot.', 'heat' => 'hot'];
        }), 'holds heat only with the power on'];
        yield 'a plug drawn under power' => [$change(static function (array &$g): void {
            $g['steps'][] = ['do' => 'Plug.', 'power' => 'on', 'off' => ['what' => 'Plug', 'sockets' => ['TH']]];
        }), 'nothing is unplugged from a board that has power'];
        yield 'screws that cannot be read' => [$change(static function (array &$g): void {
            $g['steps'][1]['off'] = ['what' => 'Cover', 'fasteners' => '4 N3'];
        }), 'fasteners: cannot be read'];
        yield 'practised slower than the first time' => [$change(static function (array &$g): void {
            $g['minutes']['practised'] = 90;
        }), 'practised: must not be more'];
        yield 'one way only' => [$change(static function (array &$g): void {
            $g['steps'][1]['school'] = 'my way';
        }), 'there is one way only, “my way”'];
        yield 'a fault nobody knows' => [$change(static function (array &$g): void {
            $g['mends'] = ['gremlins'];
        }), 'mends: there is no “gremlins”'];
        yield 'a subsystem nobody knows' => [$change(static function (array &$g): void {
            $g['touches'] = ['wings'];
        }), 'touches: there is no “wings”'];
        yield 'an instrument nobody has' => [$change(static function (array &$g): void {
            $g['steps'][1]['instrument'] = 'oscilloscope';
        }), 'instrument: there is no “oscilloscope”'];
        yield 'a hazard without its caution' => [$change(static function (array &$g): void {
            $g['steps'][1]['hazards'] = ['dragons'];
        }), 'hazards: there is no “dragons”'];
        yield 'a timer that ends before it begins' => [$change(static function (array &$g): void {
            $g['steps'][1]['timer'] = ['name' => 'soak', 'minutes' => 15, 'most' => 10];
        }), 'most: must not be less than minutes'];
        yield 'no steps' => [$change(static function (array &$g): void {
            $g['steps'] = [];
        }), 'steps: must name at least one step'];
        yield 'the first step does not say how the power is' => [$change(static function (array &$g): void {
            unset($g['steps'][0]['power']);
        }), 'steps.1: power: is missing'];
        yield 'power in another word' => [$change(static function (array &$g): void {
            $g['steps'][0]['power'] = 'maybe';
        }), 'power: must be unplugged, off or on'];
        yield 'traits no family has together' => [$change(static function (array &$g): void {
            $g['needs'] = ['motion' => ['delta'], 'guides' => ['wheels']];
        }), 'needs: no family has these traits'];
        yield 'a field nobody knows' => [$change(static function (array &$g): void {
            $g['steps'][1]['colour'] = 'red';
        }), 'colour: is no field of this entry'];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $break */
    #[DataProvider('mistakes')]
    public function test_a_mistake_is_found_with_its_place(callable $break, string $message): void
    {
        $guide = [
            'code' => 'test-guide',
            'name' => 'A guide',
            'mends' => [],
            'state' => 'Unplugged.',
            'tools' => [],
            'kit' => [['part' => 'nozzle']],
            'minutes' => ['first' => 30, 'practised' => 20], 'touches' => ['hotend'],
            'steps' => [
                ['do' => 'Unplug.', 'power' => 'unplugged', 'heat' => 'cold'],
                ['do' => 'Do it.', 'target' => 'done', 'part' => 'nozzle'],
            ],
        ];
        $read = static fn (array $g) => KnowledgeReader::read(['guides/test.yaml' => ['area' => 'Test', 'guides' => [$g]]] + self::files());
        self::assertArrayHasKey('test-guide', $read($guide)->guides, 'the guide itself is sound');

        try {
            $read($break($guide));
            self::fail('The mistake was not found.');
        } catch (BadKnowledge $e) {
            self::assertStringContainsString($message, $e->getMessage());
        }
    }

    /** @return array<string, mixed> */
    private static function files(): array
    {
        static $files = null;
        if ($files === null) {
            $folder = dirname(__DIR__, 3).'/knowledge';
            $files = [];
            foreach ([
                ...(glob("{$folder}/*.yaml") ?: []),
                ...(glob("{$folder}/faults/*.yaml") ?: []),
                ...(glob("{$folder}/families/*.yaml") ?: []),
                ...(glob("{$folder}/guides/*.yaml") ?: []),
            ] as $path) {
                $files[substr($path, strlen($folder) + 1)] = Yaml::parseFile($path);
            }
        }

        return $files;
    }
}
