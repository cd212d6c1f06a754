<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Fleet\Lives\KeepLives;
use App\Fleet\Risks\KeepRisks;
use App\Intake\EditJob;
use App\Intake\Hands;
use App\Intake\Job;
use App\Intake\LaterSteps;
use App\Machines\Machine;
use App\Machines\Owners\OwnerChoice;
use App\Machines\RegisterMachine;
use App\Safety\RedTag;
use App\Shop\DemoLogins;
use App\Shop\Person;
use App\Shop\Setting;
use App\Stock\Parts\Part;
use App\Stock\Shelf\MoveStock;
use Generator;
use Illuminate\Contracts\Container\Container;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use OddBench\Intake\JobKind;
use OddBench\Knowledge\Knowledge;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The demo shop on its harbour quay: fourteen months played day by day from a fixed seed, always the same; its dates end today. */
final class DemoShop
{
    private const SEED = 1907;

    private const DAYS = 425;

    private const FINISHED = 180;

    private Randomizer $random;

    private Carbon $today;

    /** @var array<string, Person> */
    private array $people = [];

    /** @var array<int, array{start: float, perDay: float}> machine id => its hours */
    private array $hours = [];

    /** @var list<array{string, string}> family, holder: machines not seen yet */
    private array $unseen = [];

    /** @var array<int, true> machine id => somebody is on the way with it */
    private array $underway = [];

    public function __construct(
        private readonly Container $app,
        private readonly Knowledge $knowledge,
        private readonly RegisterMachine $register,
        private readonly MoveStock $stock,
        private readonly Hands $hands,
        private readonly EditJob $edit,
        private readonly DemoFind $find,
        private readonly DemoFix $tray,
        private readonly DemoOrders $orders,
        private readonly DemoShelf $shelf,
        private readonly DemoMoney $money,
        private readonly DemoBids $bids,
        private readonly DemoFarm $farm,
        private readonly DemoPlan $plan,
        private readonly KeepLives $lives,
        private readonly KeepRisks $risks,
        private readonly LaterSteps $later,
    ) {
    }

    public static function costOf(string $number): int
    {
        foreach (DemoCast::PARTS as $class => $variants) {
            foreach ($variants as $i => [, , $cost]) {
                if (self::number($class, $i) === $number) {
                    return $cost;
                }
            }
        }

        return 100;
    }

    /** Plays the story from its beginning to its end, on the days it is always played on. */
    public function play(): void
    {
        config(['queue.default' => 'sync']);
        // a demo that is lost with the power is played again: it need not wait for the disk
        DB::statement('SET synchronous_commit TO off');
        $this->random = new Randomizer(new Mt19937(self::SEED));
        $this->today = Carbon::parse(DemoDates::STORY_ENDS, 'UTC');
        $clock = new DemoClock($this->today->copy()->subMinutes(12));
        Carbon::setTestNow($this->today->copy()->subDays(self::DAYS)->setTime(7, 0));
        Setting::put('demo', true);
        Setting::put('demo_playing', true);
        Setting::put('shop_name', 'The quay repair room');
        $this->money->terms();
        $this->makePeople();
        $this->plan->open($this->people);
        $this->fillShelf();
        $this->castMachines();
        $this->plotHistory($clock);
        $this->plotDeliveries($clock);
        $this->plotOpenJobs($clock);
        $this->plotMoney($clock);
        $this->later->during(function () use ($clock): void {
            $clock->play();
            $this->setTheBench();
            $this->farm->play($this->today, $this->people);
            $this->plan->forTheNight($this->today, $this->people);
            $this->plan->setTheBench($this->today, $this->people);
        });
        Carbon::setTestNow($this->today);
        Artisan::call('odd-bench:next-steps');
        Carbon::setTestNow();
    }

    /** The story ends now, and what a shop works out at night and when something changes is worked out. */
    public function endToday(): void
    {
        config(['queue.default' => 'sync']);
        DB::statement('SET synchronous_commit TO off');
        DemoDates::move(Carbon::now('UTC'));
        $this->lives->workOut();
        $this->risks->all();
        $this->plan->now();
        Setting::put('demo_playing', false);
    }

    public static function words(): string
    {
        return sprintf(
            '%d machines, %d finished jobs, %d open, %d parts.',
            Machine::query()->count(),
            Job::query()->whereNotNull('finished_at')->count(),
            Job::query()->whereNull('finished_at')->count(),
            Part::query()->count(),
        );
    }

    private static function number(string $class, int $variant): string
    {
        return strtoupper(substr(str_replace('-', '', $class), 0, 4)).'-'.substr(
            (string) (1000 + crc32($class) % 9000),
            0,
            3,
        ).($variant + 1);
    }

    private function makePeople(): void
    {
        foreach (DemoLogins::PEOPLE as $login => [$name, $role]) {
            $this->people[$login] = Person::query()->create([
                'login' => $login,
                'name' => $name,
                'role' => $role,
                'password' => DemoLogins::PASSWORD,
            ]);
        }
    }

    private function fillShelf(): void
    {
        foreach (DemoCast::PARTS as $class => $variants) {
            foreach ($variants as $i => [$name, $bin, $cost, $keep]) {
                $part = Part::query()->create(['number' => self::number($class, $i), 'name' => $name, 'class' => $class, 'bin' => $bin]);
                $this->stock->receive($part, $keep, $cost, 'opening stock', $this->people['sam']);
            }
        }
        $this->shelf->sort();
    }

    private function castMachines(): void
    {
        foreach (DemoCast::MACHINES as [$family, $count, $holder]) {
            for ($i = 0; $i < $count; $i++) {
                $this->unseen[] = [$family, $holder];
            }
        }
        $this->unseen = $this->random->shuffleArray($this->unseen);
    }

    private function plotHistory(DemoClock $clock): void
    {
        $first = $this->today->copy()->subDays(self::DAYS - 1)->setTime(8, 10);
        $span = (self::DAYS - 16) * 24 * 60;
        for ($i = 0; $i < self::FINISHED; $i++) {
            $at = $first->copy()->addMinutes((int) ($span * $i / self::FINISHED) + $this->random->getInt(0, 1500));
            // a machine that is still new comes in early; later most are known
            $clock->add((int) $at->timestamp, $this->visit($i * 3 < self::FINISHED * 2 || $i % 5 === 0, null));
        }
    }

    /** @return Generator<int, Beat> */
    private function visit(bool $preferNew, ?DemoPlot $plot, ?string $family = null, ?DemoTruth $truth = null): Generator
    {
        yield new Beat('sam', 1);
        $machine = $this->machine($preferNew, $family);
        if ($machine === null) {
            return;
        }
        $this->underway[$machine->id] = true;
        $now = Carbon::now();
        $hours = round(
            $this->hours[$machine->id]['start'] + $this->hours[$machine->id]['perDay'] * $this->today->copy()
                ->subDays(self::DAYS)
                ->diffInDays($now),
            1,
        );
        $plot ??= new DemoPlot(
            kind: $machine->held_as === 'resale' && Job::query()->where('machine_id', $machine->id)->doesntExist()
                ? JobKind::Refurbish
                : [
                    JobKind::Repair,
                    JobKind::Repair,
                    JobKind::Repair,
                    JobKind::Repair,
                    JobKind::Repair,
                    JobKind::Repair,
                    JobKind::Repair,
                    JobKind::Repair,
                    JobKind::Service,
                    JobKind::Inspection,
                ][$this->random->getInt(0, 9)],
            technician: ['bo', 'imre', 'tove'][$this->random->getInt(0, 2)],
            hours: $hours,
            delay: $this->random->getInt(15, 1300),
        );
        $plot = new DemoPlot(
            $plot->kind,
            $plot->technician,
            max($hours, $machine->hoursRun() ?? 0.0),
            $plot->delay,
            $plot->promisedFor,
            $plot->stopAt,
            $plot->waitsFor,
            $plot->waitsNote,
        );
        /** @var DemoJob $job */
        $job = $this->app->make(DemoJob::class, ['random' => $this->random]);
        foreach ($job->play(
            $plot,
            $machine,
            $truth ?? DemoTruth::draw($this->knowledge, $machine->family, $this->random),
            $this->people,
        ) as $beat) {
            yield $beat;
            if ($plot->stopAt !== null) {
                $this->plan->reckon($machine);
            }
        }
        unset($this->underway[$machine->id]);
    }

    private function machine(bool $preferNew, ?string $family): ?Machine
    {
        $known = Machine::query()->whereIn('place', ['service', 'owner', 'sale'])
            ->whereNotIn('id', array_keys($this->underway))
            ->whereNotIn('id', [...$this->money->apart, ...$this->bids->apart])
            ->when($family !== null, fn ($q) => $q->where('family', $family))
            ->orderBy('id')
            ->get();
        foreach ($preferNew || $known->isEmpty() ? $this->unseen : [] as $i => [$unseen, $holder]) {
            if ($family === null || $unseen === $family) {
                array_splice($this->unseen, $i, 1);

                return $this->registered($unseen, $holder);
            }
        }

        return $known->isEmpty() ? null : $known[$this->random->getInt(0, $known->count() - 1)];
    }

    private function registered(string $family, string $holder): Machine
    {
        $heldAs = match ($holder) {
            'farm' => 'farm', 'resale' => 'resale', default => 'owner'
        };
        $serial = sprintf('%s%05d', strtoupper(substr($family, 0, 1)), $this->random->getInt(1000, 99999));
        $machine = $this->register->register(
            $family,
            $serial,
            $heldAs,
            $heldAs === 'owner' ? OwnerChoice::named($holder, DemoCast::OWNERS[$holder] ?? null) : null,
            $heldAs === 'resale' ? $this->random->getInt(20, 140) * 100 : null,
        );
        $this->hours[$machine->id] = ['start' => $this->random->getInt(40, 2600), 'perDay' => $this->random->getInt(5, 70) / 10];

        return $machine;
    }

    /** Every third week what ran low is ordered; what was ordered last is still on its way. */
    private function plotDeliveries(DemoClock $clock): void
    {
        $this->orders->sell();
        $this->shelf->sellElsewhere();
        foreach ($this->shelf->story($this->people) as [$day, $happens]) {
            $clock->add((int) $this->weekday($day)->setTime(11, 10)->timestamp, $happens);
        }
        $keep = [];
        foreach (DemoCast::PARTS as $class => $variants) {
            foreach ($variants as $i => $variant) {
                $keep[self::number($class, $i)] = $variant[3];
            }
        }
        for ($day = self::DAYS - 20; $day > 30; $day -= 21) {
            $clock->add(
                (int) $this->today->copy()->subDays($day)->setTime(10, 30)->timestamp,
                $this->orders->round($keep, $this->random, $this->people['sam'], true),
            );
        }
        foreach ([12, 4] as $day) {
            $clock->add(
                (int) $this->today->copy()->subDays($day)->setTime(10, 30)->timestamp,
                $this->orders->round($keep, $this->random, $this->people['sam'], false),
            );
        }
    }

    private function plotMoney(DemoClock $clock): void
    {
        foreach ([$this->money, $this->bids] as $room) {
            foreach ($room->stories($this->people) as $day => $story) {
                $clock->add((int) $this->weekday($day)->setTime(9, 35)->timestamp, $story);
            }
        }
    }

    /** Fourteen jobs on the bench, in every state. */
    private function plotOpenJobs(DemoClock $clock): void
    {
        $in = fn (int $days): string => $this->today->copy()->addDays($days)->toDateString();
        $repair = fn (
            string $who,
            ?string $stopAt,
            ?string $promised = null,
            ?string $for = null,
            ?string $note = null,
        ): DemoPlot => new DemoPlot(JobKind::Repair, $who, 0, 40, $promised, $stopAt, $for, $note);
        $plots = [
            [1, 'tern-220', ['tube-cooked'], $repair('bo', 'find', $in(0))],
            [1, 'heron-cx', ['feeder-tube-jam'], $repair('imre', 'find', $in(1))],
            [2, 'gannet-delta', ['wrong-settings'], $repair('tove', 'find')],
            [0, 'wren-mini', ['z-offset-lost'], $repair('bo', 'booked', $in(2))],
            [3, 'tern-220-d', ['knob-screws-free'], $repair('bo', 'fix', $in(2))],
            [
                3,
                'tern-220',
                ['hotend-blob'],
                $repair('imre', 'fix-waiting', $in(4), 'itself', 'Blob soak at 240 °C, somebody stays beside it'),
            ],
            [5, 'heron-cx', ['hotend-bent'], $repair('tove', 'fix-waiting', $in(5), 'part', 'Heron one-piece nozzle module, due Thursday')],
            [4, 'bittern-ht', ['canister-clip-tight'], $repair('tove', 'fix-waiting', null, 'person', 'Owner to say yes to the estimate')],
            [9, 'tern-220', ['supply-weak'], $repair('bo', 'fix-waiting', null, 'claim', 'Seller’s answer, chase tomorrow')],
            [4, 'wren-mini', ['break-fan-failed'], $repair('imre', 'proof', $in(1), 'itself')],
            [3, 'tern-220-d', ['wheels-worn'], $repair('bo', 'proof', $in(2))],
            [6, 'tern-220', ['surface-worn'], $repair('tove', 'to-go', $in(0))],
            [3, 'shearwater-300', ['connector-burning'], $repair('bo', 'fix')],
            [5, 'tern-220', ['bed-track-short'], $repair('imre', 'find')],
        ];
        foreach ($plots as $i => [$days, $family, $faults, $plot]) {
            $at = $days === 0 ? $this->today->copy()->subMinutes(95 - 10 * $i) : $this->weekday($days)->setTime(8, 20 + 2 * $i);
            $clock->add((int) $at->timestamp, $this->visit(false, $plot, $family, $this->withDanger($family, $faults)));
        }
    }

    /** @param  list<string>  $faults */
    private function withDanger(string $family, array $faults): DemoTruth
    {
        $truth = DemoTruth::of($this->knowledge, $family, $faults, $this->random);
        if (! $this->knowledge->faults[$faults[0]]->danger) {
            return $truth;
        }

        // the sign of danger is told, so that the red tag goes on at Make safe
        do {
            $truth = DemoTruth::of($this->knowledge, $family, $faults, $this->random);
        } while (! $truth->shows['connector-brown'] && ! $truth->shows['shock-felt']);

        return $truth;
    }

    private function weekday(int $daysAgo): Carbon
    {
        $day = $this->today->copy()->subDays($daysAgo);
        while ($day->isWeekend()) {
            $day = $day->subDay();
        }

        return $day;
    }

    /** Now: two machines run by themselves, everybody went home but Bo, who has one machine open. */
    private function setTheBench(): void
    {
        $this->find->play($this->today, $this->people);
        $this->tray->setTheTray($this->today, $this->people);
        $this->shelf->today($this->today, $this->people);
        $this->money->setTheBench($this->today, $this->people);
        foreach (Job::query()->whereNull('finished_at')->orderBy('id')->get() as $job) {
            $this->hands->off($job);
            if ($job->waits_for === 'itself') {
                Carbon::setTestNow($this->today->copy()->subMinutes(35));
                $minutes = 110 + 90 * ($job->id % 2);
                $by = $this->people['imre'];
                $this->edit->wait($job, 'itself', $job->waits_note, $minutes, $job->version, $by, $job->waits_hot);
            }
        }
        Carbon::setTestNow($this->today->copy()->subMinutes(9));
        $job = Job::query()->whereNull('finished_at')
            ->where('station', 'diagnosis')
            ->whereNotIn('machine_id', RedTag::query()->select('machine_id')->whereNull('off_at'))
            ->orderBy('promised_for')->orderBy('id')
            ->firstOrFail();
        $this->hands->on($job, $this->people['bo']);
        Carbon::setTestNow();
    }
}
