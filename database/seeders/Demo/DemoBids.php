<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Machines\Machine;
use App\Money\Buying\DecideOffer;
use App\Money\Buying\KeepOffer;
use App\Money\Buying\NoteStage;
use App\Money\Buying\SellMachine;
use App\Money\Buying\Sheet;
use App\Money\Worth\SplitMachine;
use App\Shop\Person;
use Generator;
use Illuminate\Contracts\Container\Container;
use OddBench\Intake\JobKind;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\BidStage;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Broken machines the quay bought to sell, from bid to sale: most went well, one was stopped in time, one should have been. */
final class DemoBids
{
    private const SEED = 1923;

    /**
     * Days ago; family; seller; what they say; asked, paid, sold at, in parts, without its feeder (minor units); how each test went
     * and what it really cost.
     */
    private const STORIES = [
        [96, 'heron-cx', 'Nell Abbot', 'Feeder hub snapped when it fell off the shelf, the printer itself is fine.',
            15000, 11500, 27500, 8000, 19000,
            [['passed', 1400], ['passed', 2900], ['passed', 5200]]],
        [88, 'tern-220', 'Quay flea market', 'Worked last year. No spool holder.',
            5000, 4000, 13500, 3500, null,
            [['passed', 1800], ['passed', 3100]]],
        [80, 'shearwater-300', 'A school workshop', 'Bed does not get warm any more, somebody has been inside.',
            9000, 6000, 21000, 7400, null,
            [['passed', 2100], ['stopped', 6900]]],
        [71, 'heron-cx', 'Osk Venn', 'Turns on. Grinds when it moves. A bargain.',
            17500, 17500, 21000, 8000, 18500,
            [['passed', 6400], ['passed', 7800], ['passed', 9600]]],
        [60, 'wren-mini', 'Nell Abbot', 'Nozzle is a lump, otherwise new.',
            4000, 2500, 10500, 2600, null,
            [['passed', 900], ['passed', 2600]]],
        [52, 'gannet-delta', 'A model club', 'Prints crooked since the move.',
            9000, 7500, 18500, 5200, null,
            [['passed', 2400], ['passed', 3300]]],
    ];

    /** @var list<int> machines of these stories; no other story takes them up */
    public array $apart = [];

    private Randomizer $random;

    public function __construct(
        private readonly Container $app,
        private readonly Knowledge $knowledge,
        private readonly KeepOffer $keep,
        private readonly DecideOffer $decide,
        private readonly NoteStage $note,
        private readonly SplitMachine $split,
        private readonly SellMachine $sell,
    ) {
        $this->random = new Randomizer(new Mt19937(self::SEED));
    }

    /**
     * @param  array<string, Person>  $people
     * @return iterable<int, Generator<int, Beat>> days ago => story
     */
    public function stories(array $people): iterable
    {
        foreach (self::STORIES as $story) {
            yield $story[0] => $this->bought($story, $people);
        }
        yield 33 => $this->letGo($people);
        yield 3 => $this->onOffer($people);
    }

    /**
     * @param  array{int, string, string, string, int, int, int, int, int|null, list<array{'passed'|'stopped', int}>}  $story
     * @param  array<string, Person>  $people
     * @return Generator<int, Beat>
     */
    private function bought(array $story, array $people): Generator
    {
        [, $family, $seller, $says, $asked, $paid, $sells, $parts, $single, $tests] = $story;
        yield new Beat('bidder', 9);
        $offer = $this->keep->add($this->sheet($family, $seller, $says, $asked, $sells, $single, $parts), true, $people['ada']);
        yield new Beat('bidder', 5, 60 * 20);
        $job = $this->decide->buy($offer, $paid, sprintf('R%05d', 3000 + 17 * $offer->id), true, 1, $people['ada']);
        $this->apart[] = $job->machine_id;
        foreach ($tests as $i => [$outcome, $real]) {
            yield new Beat('bidder', 12, 60 * 26);
            $this->note->note($offer, $i + 1, $outcome, $real, $people['imre']);
            if ($outcome === 'stopped') {
                $job->refresh();
                $this->split->split(
                    $job,
                    'Stopped: the bed and its wiring would cost more than it adds.',
                    [],
                    $job->version,
                    $people['ada'],
                );

                return;
            }
        }
        $machine = Machine::query()->findOrFail($job->machine_id);
        /** @var DemoJob $play */
        $play = $this->app->make(DemoJob::class, ['random' => $this->random]);
        $plot = new DemoPlot(JobKind::Refurbish, 'imre', 0.0, 60, sellsAt: $sells);
        $beats = $play->play($plot, $machine, DemoTruth::of($this->knowledge, $family, [], $this->random), $people, $job);
        foreach ($beats as $beat) {
            yield new Beat('bidder', $beat->minutes, $beat->waitMinutes);
        }
        yield new Beat('bidder', 6, 60 * 24 * 9);
        $this->sell->sell($machine->refresh(), $sells, true, $people['sam']);
    }

    /**
     * @param  array<string, Person>  $people
     * @return Generator<int, Beat>
     */
    private function letGo(array $people): Generator
    {
        yield new Beat('bidder', 6);
        $offer = $this->keep->add(
            $this->sheet('bittern-ht', 'A closed print shop', 'Chamber heater trips the breaker.', 60000, 82000, null, 16000),
            true,
            $people['ada'],
        );
        yield new Beat('bidder', 2, 60 * 30);
        $this->decide->letGo($offer, 'A chamber heater on the mains that trips: not for what is asked.', 1);
    }

    /**
     * @param  array<string, Person>  $people
     * @return Generator<int, Beat>
     */
    private function onOffer(array $people): Generator
    {
        yield new Beat('bidder', 8);
        $this->keep->add(new Sheet(
            'heron-cx',
            'Osk Venn',
            'Turns on. Screen hangs loose, the four-way piece on the head is snapped off. Never printed since it was moved.',
            [],
            null,
            20000,
            0,
            0,
            0,
            30000,
            21000,
            9000,
            4000,
            [
                new BidStage('Moves by hand and homes', 1200, 0.9, 9000, 'split'),
                new BidStage('Single-material print from its own storage', 3000, 0.85, 9000, 'split'),
                new BidStage('The same through every slot', 4500, 0.8, 21000, 'single-material'),
            ],
        ), true, $people['ada']);
    }

    private function sheet(string $family, string $seller, string $says, int $asked, int $sells, ?int $single, int $parts): Sheet
    {
        $stages = [
            new BidStage('Moves by hand, homes and heats', 1200, 0.95, $parts, 'split'),
            new BidStage('Prints from its own storage', 1900, 0.92, $parts, 'split'),
        ];
        if ($single !== null) {
            $stages[] = new BidStage('The same through every slot', 2600, 0.85, $single, 'single-material');
        }

        return new Sheet($family, $seller, $says, [], null, $asked, 500, 0, 1000, $sells, $single, $parts, 2000, $stages);
    }
}
