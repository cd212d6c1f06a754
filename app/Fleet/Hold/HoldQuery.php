<?php

declare(strict_types=1);

namespace App\Fleet\Hold;

use App\Machines\Machine;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use OddBench\Fleet\ComebackRates;
use OddBench\Fleet\Comebacks;
use OddBench\Fleet\HoldsNot;
use OddBench\Knowledge\Knowledge;
use stdClass;

/** Which machines come in too often, and which repairs come back, by fault and by person. */
final readonly class HoldQuery
{
    private const MOST = 20;

    /**
     * Hours of the visits of every machine that runs, since its counter was read first: repairs only, for a service is no failure.
     */
    private const VISITS = <<<'SQL'
        SELECT m.id, m.tag, m.family, m.held_as, k.hours, c.hours AS since, j.times, j.visits
        FROM machines m JOIN machine_risks k ON k.machine_id = m.id
        JOIN LATERAL (SELECT hours FROM counters WHERE machine_id = m.id AND withdrawn_at IS NULL ORDER BY at, id LIMIT 1) c ON true
        JOIN LATERAL (
            -- a visit at which it was first read is why it is known
            SELECT count(*) AS times,
                string_agg((hours - c.hours)::text, ' ' ORDER BY hours) FILTER (WHERE ?::bigint IS NULL OR m.id = ?) AS visits
            FROM jobs WHERE machine_id = m.id AND kind = 'repair' AND hours > c.hours) j ON true
        WHERE k.hours > c.hours AND (?::text IS NULL OR m.family = ?)
        SQL;

    /** Repairs of two years: who mended what, and whether the same fault came back within its warranty. */
    private const REPAIRS = <<<'SQL'
        SELECT n.job_id, n.fault, n.person_id, p.name,
            EXISTS (SELECT 1 FROM diagnoses b WHERE b.comeback_of = n.job_id AND b.fault = n.fault AND b.superseded_at IS NULL) AS back
        FROM (SELECT DISTINCT ON (job_id, fault) job_id, fault, person_id, at FROM mends
            WHERE fault IS NOT NULL ORDER BY job_id, fault, id DESC) n
        JOIN people p ON p.id = n.person_id
        WHERE n.at > ?
        SQL;

    public function __construct(private Knowledge $knowledge)
    {
    }

    public function read(): HoldView
    {
        [$machines, $judged] = $this->machines();
        $repairs = DB::select(self::REPAIRS, [now()->subYears(2)]);
        $byFault = [];
        foreach ($repairs as $repair) {
            $byFault[(string) $repair->fault]['mended'] = ($byFault[(string) $repair->fault]['mended'] ?? 0) + 1;
            $byFault[(string) $repair->fault]['back'] = ($byFault[(string) $repair->fault]['back'] ?? 0) + (int) $repair->back;
        }
        $rates = ComebackRates::of($byFault);

        return new HoldView($machines, $judged, $this->faults($byFault, $rates), $this->people($repairs, $rates), count($repairs));
    }

    /** @return array{list<HoldLineView>, int} */
    private function machines(): array
    {
        [$all, $holds] = $this->judged(null, null);
        $worth = array_filter($holds, static fn (HoldsNot $one): bool => $one->worthAWord());
        $jobs = DB::table('jobs')->whereIn('machine_id', array_map(static fn (int $i): int => (int) $all[$i]->id, array_keys($worth)))
            ->groupBy('machine_id')->selectRaw('machine_id, max(id) AS job')->pluck('job', 'machine_id');
        $lines = [];
        foreach ($worth as $i => $one) {
            $job = $jobs[(int) $all[$i]->id] ?? 0;
            $lines[] = $this->line($all[$i], $one, is_numeric($job) ? (int) $job : 0);
        }
        usort($lines, static fn (HoldLineView $a, HoldLineView $b): int => [$b->sure, $a->tag] <=> [$a->sure, $b->tag]);

        return [array_slice($lines, 0, self::MOST), count($all)];
    }

    /** One machine against its sisters; nothing while its counter was read once only. */
    public function ofMachine(Machine $machine): ?HoldsNot
    {
        return array_values($this->judged($machine->family, $machine->id)[1])[0] ?? null;
    }

    /**
     * @param  string|null  $family  only machines of this model
     * @param  int|null  $one  only this one is judged
     * @return array{list<stdClass>, array<int, HoldsNot>} machines, and by their place in the list what is judged of them
     */
    private function judged(?string $family, ?int $one): array
    {
        $families = $all = [];
        foreach (DB::select(self::VISITS, [$one, $one, $family, $family]) as $row) {
            $families[$row->family]['visits'] = ($families[$row->family]['visits'] ?? 0) + (int) $row->times;
            $families[$row->family]['hours'] = ($families[$row->family]['hours'] ?? 0.0) + (float) $row->hours - (float) $row->since;
            $all[] = $row;
        }
        $holds = [];
        foreach ($all as $i => $row) {
            if ($one === null || $one === (int) $row->id) {
                $visits = $row->visits === null ? [] : array_map(floatval(...), explode(' ', $row->visits));
                $hours = (float) $row->hours - (float) $row->since;
                $of = $families[$row->family];
                $holds[$i] = HoldsNot::of($visits, $hours, $of['visits'] - count($visits), $of['hours'] - $hours);
            }
        }

        return [$all, $holds];
    }

    private function line(stdClass $row, HoldsNot $holds, int $job): HoldLineView
    {
        return new HoldLineView(
            $row->tag,
            $this->knowledge->familyName($row->family),
            $row->held_as,
            $holds->visits,
            round($holds->hours),
            $holds->pace?->between,
            $holds->sisters?->sistersBetween,
            $holds->sure(),
            $holds->because(),
            $job,
        );
    }

    /**
     * @param  array<string, array{mended: int, back: int}>  $byFault
     * @return list<ComebackView>
     */
    private function faults(array $byFault, ComebackRates $rates): array
    {
        $views = [];
        foreach ($byFault as $fault => $of) {
            if ($of['back'] > 0) {
                $found = Comebacks::of(array_fill(0, $of['mended'], $rates->overall), $of['back']);
                $views[] = new ComebackView(
                    $this->knowledge->faultName($fault),
                    $of['mended'],
                    $of['back'],
                    $found->expected,
                    $found->because(),
                );
            }
        }
        usort($views, static fn (ComebackView $a, ComebackView $b): int => [$b->cameBack, $a->name] <=> [$a->cameBack, $b->name]);

        return array_slice($views, 0, self::MOST);
    }

    /**
     * Leads see everybody, everybody sees themselves.
     *
     * @param  array<array-key, stdClass>  $repairs
     * @return list<ComebackView>
     */
    private function people(array $repairs, ComebackRates $rates): array
    {
        $people = [];
        $own = Gate::allows(Ability::Countersign) ? null : Here::person()->id;
        foreach ($repairs as $repair) {
            if ($own === null || $own === (int) $repair->person_id) {
                $people[(string) $repair->name]['chances'][] = $rates->chance((string) $repair->fault);
                $people[(string) $repair->name]['back'] = ($people[(string) $repair->name]['back'] ?? 0) + (int) $repair->back;
            }
        }
        ksort($people);
        $views = [];
        foreach ($people as $name => $of) {
            $found = Comebacks::of($of['chances'], $of['back']);
            $views[] = new ComebackView($name, $found->jobs, $found->cameBack, $found->expected, $found->because());
        }

        return $views;
    }
}
