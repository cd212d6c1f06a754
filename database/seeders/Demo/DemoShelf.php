<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Intake\BookIn;
use App\Intake\Booking;
use App\Intake\Job;
use App\Machines\Machine;
use App\Money\Buying\Offer;
use App\Release\SendOut;
use App\Release\Terms;
use App\Shop\Person;
use App\Stock\Batches\FlagBatch;
use App\Stock\Donors\Salvage;
use App\Stock\Kits\ReserveKit;
use App\Stock\Made\MakePart;
use App\Stock\Orders\NoteSupplier;
use App\Stock\Orders\NoteSupply;
use App\Stock\Orders\PlannedUse;
use App\Stock\Orders\Supply;
use App\Stock\Parts\AllowSubstitute;
use App\Stock\Parts\ChangePart;
use App\Stock\Parts\Part;
use App\Stock\Parts\PartChoice;
use App\Stock\Shelf\Movement;
use App\Stock\Spools\AddSpool;
use App\Stock\Spools\Spool;
use App\Stock\Stocktake\BinCount;
use App\Stock\Stocktake\CountPart;
use App\Stock\Stocktake\FinishBin;
use App\Stock\Stocktake\OpenBin;
use App\Stock\Stocktake\StartStocktake;
use App\Stock\Stocktake\Stocktake;
use Generator;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Intake\Began;
use OddBench\Intake\JobKind;
use OddBench\Knowledge\Knowledge;
use OddBench\Release\Destination;

/** What the shelf knows besides its stock: what fits, what does as well, donors, spools, things made here, a bad batch, a stocktake. */
final class DemoShelf
{
    /** name of a part => what people call it */
    private const CALLED = [
        'Liner 4/2 mm, 60 mm' => 'tube end, white tube, inner tube',
        'Heater cartridge 24 V 40 W' => 'heat pen, cartridge',
        'Thermistor, glass bead' => 'temp sensor, bead',
        'Fan 30 × 10, 24 V' => 'cold end fan, small fan',
        'Blower 5015, 24 V' => 'snail fan, part cooler',
        'Eccentric nut' => 'off-centre nut, cam nut',
        'Silicone sock, square block' => 'boot, block cover',
        'Idler, smooth 5 mm bore' => 'belt roller, pulley without teeth',
        'Bed spring, stiff' => 'corner spring', 'Push-in coupler, Heron' => 'quick fitting', 'Bed plug, both halves' => 'bed connector',
    ];

    /** part => part that does as well => with what care */
    private const INSTEAD = [
        ['Liner 4/2 mm, 60 mm', 'Liner 4/2 mm by the metre', 'cut square to 60 mm'],
        ['Nozzle 0.4 brass', 'Nozzle 0.4 hardened', 'prints 5 °C hotter'],
        ['Idler, smooth 5 mm bore', 'Idler, toothed 5 mm bore', 'where the teeth of the belt run on it'],
        ['Wheels, set of four', 'Wheel, single, hard', 'four of them, all alike'],
        ['Bed spring, stiff', 'Silicone bed mount', 'all four corners'],
    ];

    /** material, colour, lot, days since it was made, opened, dried (nothing: never), grams left */
    private const SPOOLS = [
        ['PLA', 'grey', 'L-2291', 110, 34, null, 612.0],
        ['PETG', 'black', 'L-1804', 260, 96, null, 340.0],
        ['PETG', 'white', 'L-2310', 70, 20, 9, 805.0],
        ['PA', 'natural', 'L-0917', 420, 12, 4, 455.0],
        ['PLA', 'orange', 'L-0188', 940, 800, null, 150.0],
        ['TPU', 'black', null, 60, null, null, 500.0],
    ];

    /** family, days ago, why it is written off */
    private const DONORS = [
        ['tern-220', 62, 'Frame bent in a fall; not worth a new one'],
        ['heron-cx', 41, 'Board and screen gone, nobody pays for both'],
    ];

    public function __construct(
        private readonly Knowledge $knowledge,
        private readonly ChangePart $change,
        private readonly AllowSubstitute $allow,
        private readonly NoteSupplier $supplier,
        private readonly NoteSupply $supply,
        private readonly AddSpool $spools,
        private readonly MakePart $make,
        private readonly FlagBatch $flag,
        private readonly StartStocktake $start,
        private readonly OpenBin $open,
        private readonly CountPart $count,
        private readonly FinishBin $finish,
        private readonly Salvage $salvage,
        private readonly BookIn $bookIn,
        private readonly SendOut $send,
        private readonly ReserveKit $reserve,
    ) {
    }

    /** What is known of the parts from the first day on. */
    public function sort(): void
    {
        foreach (Part::query()->orderBy('id')->get() as $part) {
            $families = array_keys(array_filter(
                $this->knowledge->families,
                static fn ($f): bool => str_contains($part->name, explode(' ', $f->name)[0]),
            ));
            $this->change->change(
                $part,
                $part->version,
                $part->name,
                $part->class,
                self::CALLED[$part->name] ?? '',
                null,
                ['families' => $families],
                null,
            );
        }
        foreach (self::INSTEAD as [$name, $other, $care]) {
            $this->allow->allow($this->named($name), $this->named($other), $care);
        }
    }

    /** A second place to buy some of them, dearer and nearer. */
    public function sellElsewhere(): void
    {
        $near = $this->supplier->note('Dockside Tools', 2, 2500, 0, 'walk-in, gate 3');
        foreach (Supply::query()->with('part')->whereHas(
            'part',
            static fn ($q) => $q->whereIn('class', ['heat-break-fan', 'thermistor', 'heater-cartridge', 'liner', 'nozzle']),
        )->orderBy('id')->get() as $supply) {
            $this->supply->note($supply->part, $near, null, 1, (int) round(1.35 * $supply->pack_cost_minor / $supply->pack));
        }
    }

    /**
     * @param  array<string, Person>  $people
     * @return list<array{int, Generator<int, Beat>}> days ago => what happens
     */
    public function story(array $people): array
    {
        return [
            [120, $this->begin($people['sam'])],
            ...array_map(fn (array $d): array => [$d[1], $this->donate($d[0], $d[2], $people)], self::DONORS),
            [35, $this->take($people['bo'])],
            [6, $this->badOnes($people['tove'])],
        ];
    }

    /**
     * How the shelf stands today.
     *
     * @param  array<string, Person>  $people
     */
    public function today(Carbon $today, array $people): void
    {
        Carbon::setTestNow($today->copy()->subMinutes(50));
        $take = $this->start->start('C', $people['sam']);
        $this->count($take, 'C1', true, $people['sam']);
        $this->count($take, 'C2', false, $people['sam']);
        foreach (array_slice(app(PlannedUse::class)->all(), 0, 3, true) as $id => $planned) {
            $part = Part::query()->findOrFail($id);
            if ($part->on_hand > 1) {
                $this->reserve->one($part, $planned['tags'][0], 1, $people['sam']);
            }
        }
    }

    /** @return Generator<int, Beat> */
    private function begin(Person $by): Generator
    {
        yield new Beat('sam', 20);
        $clamp = $this->named('Belt clamp');
        $this->make->recipe($clamp, 'PETG', 6.4, 2200, 24, 1.5, 'Print lying down, four walls. Ream the hole to 3 mm.');
        $this->make->made($clamp, 6, null, 'first ones', $by);
        $cap = $this->named('End cap');
        $this->make->recipe($cap, 'PETG', 3.1, 2200, 14, 0.5, 'Eight at a time.');
        foreach (self::SPOOLS as [$material, $colour, $lot, $made]) {
            $this->spools->add(
                $material,
                $colour,
                $lot,
                $material === 'TPU' ? 500 : 1000,
                228,
                2200,
                Carbon::now()->addDays(120)->subDays($made),
            );
        }
        // opened and dried on days the story does not tell
        foreach (self::SPOOLS as $i => [, , , , $opened, $dried, $left]) {
            $spool = Spool::query()->findOrFail($i + 1);
            $at = static fn (?int $ago): ?Carbon => $ago === null ? null : Carbon::now()->addDays(120)->subDays($ago);
            $spool->update(['opened_at' => $at($opened), 'dried_at' => $at($dried), 'left_g' => $left]);
            foreach (array_filter(['opened' => $at($opened), 'dried' => $at($dried)]) as $kind => $when) {
                DB::table('spool_events')->insert([
                    'spool_id' => $spool->id,
                    'kind' => $kind,
                    'grams' => $kind === 'opened' ? $spool->net_g : $left,
                    'hours' => $kind === 'dried' ? 6 : null,
                    'celsius' => $kind === 'dried' ? 65 : null,
                    'person_id' => $by->id,
                    'at' => $when,
                ]);
            }
        }
    }

    /**
     * @param  array<string, Person>  $people
     * @return Generator<int, Beat>
     */
    private function donate(string $family, string $because, array $people): Generator
    {
        yield new Beat('sam', 6);
        $machine = Machine::query()->where('family', $family)
            ->where('held_as', '<>', 'owner')
            ->whereIn('place', ['service', 'sale'])
            ->whereNotIn('id', Offer::query()->select('machine_id')->whereNotNull('machine_id'))
            ->whereNotIn('id', Job::query()->select('machine_id')->whereNull('finished_at'))
            ->orderByDesc('hours')->orderBy('id')
            ->first();
        if ($machine === null) {
            return;
        }
        $job = $this->bookIn->book($machine, new Booking(JobKind::Repair, $because, Began::Suddenly, $machine->hoursRun()), $people['sam']);
        yield new Beat('tove', 3, 45);
        $this->send->send($job, Destination::Donor, new Terms(note: $because), $job->version, $people['tove']);
    }

    /** @return Generator<int, Beat> */
    private function take(Person $by): Generator
    {
        yield new Beat('bo', 25);
        foreach (Machine::query()->where('place', 'donor')->orderBy('id')->get() as $machine) {
            foreach (array_values(array_slice($this->knowledge->family($machine->family)->positions, 1, 2)) as $i => $position) {
                $part = PartChoice::fitting(
                    Part::query()->where(['class' => $position->partClass, 'grade' => 'new'])->orderBy('id')->get(),
                    $this->knowledge->family($machine->family),
                    $position->code,
                )->first();
                if ($part !== null) {
                    $tested = $i === 0;
                    $this->salvage->fromDonor(
                        $machine,
                        $position->code,
                        $part->number,
                        $tested ? 'tested' : 'untested',
                        $tested ? 'ran an hour on the bench' : null,
                        (int) round(DemoShop::costOf($part->number) * 0.3),
                        $by,
                    );
                }
            }
        }
    }

    /** @return Generator<int, Beat> */
    private function badOnes(Person $by): Generator
    {
        yield new Beat('tove', 4);
        $receipt = Movement::query()->where('kind', 'received')->whereNotNull('order_line_id')
            ->whereExists(static fn ($q) => $q->from('movements AS later')->whereColumn(
                'later.part_id',
                'movements.part_id',
            )->whereColumn('later.id', '>', 'movements.id')->where('later.kind', 'used'))
            ->orderByDesc('quantity')
            ->orderBy('id')
            ->first();
        if ($receipt !== null) {
            $this->flag->flag($receipt, 'Two of them failed within a day', $by);
        }
    }

    private function count(Stocktake $take, string $name, bool $whole, Person $by): void
    {
        $bin = $this->open->open($take, $name, $by);
        $parts = Part::query()->where('bin', $name)->orderBy('number')->get();
        foreach ($whole ? $parts : $parts->take(1) as $i => $part) {
            // one is missing of the first
            $this->count->count($bin, $part, max(0, $part->on_hand - ($i === 0 && $whole ? 1 : 0)), false, $by);
        }
        if ($whole) {
            $this->finish->finish(BinCount::query()->with('stocktake')->findOrFail($bin->id));
        }
    }

    private function named(string $name): Part
    {
        return Part::query()->where('name', $name)->firstOrFail();
    }
}
