<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Fleet\Farm\Rack;
use App\Intake\Job;
use App\Machines\Machine;
use App\Machines\Place;
use App\Safety\RedTag;
use App\Shop\Person;
use App\Shop\ShopDay;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\Campaign as Judge;
use OddBench\Fleet\LookFirst;
use OddBench\Knowledge\Knowledge;

/** Reads campaigns: one with its machines, all of them, or those a machine stands on. */
final readonly class CampaignQuery
{
    private const MOST = 50;

    public function __construct(private Knowledge $knowledge, private KeepCampaign $keep, private WhoWords $who, private ShopDay $day)
    {
    }

    public function one(Campaign $campaign): CampaignView
    {
        $campaign->load(['job.machine', 'openedBy', 'assigned', 'taggedBy', 'owed.machine', 'owed.lookedBy']);
        $owed = self::inOrder($campaign->owed);
        /** @var list<int> $ids */
        $ids = $owed->pluck('machine_id')->all();
        $open = Job::openOf($ids);
        $worn = RedTag::worn($ids);
        $stands = Rack::standing($ids);
        $judged = (new Judge)->judge($owed->count(), $owed->whereNotNull('looked_at')->count(), $owed->where('affected', true)->count());
        $check = $campaign->look === null ? null : ($this->knowledge->checks[$campaign->look] ?? null);
        $cautions = array_map(fn (string $hazard): string => $this->knowledge->hazards[$hazard] ?? $hazard, $check->hazards ?? []);
        $affected = $owed->where('affected', true);

        return new CampaignView(
            id: $campaign->id,
            origin: $campaign->origin,
            fault: $campaign->fault,
            name: $this->keep->name($campaign),
            who: $campaign->criteria === null ? null : $this->who->of($campaign->criteria),
            danger: $campaign->dangerous,
            look: $check->name ?? $campaign->look,
            lookFor: $campaign->look_for,
            minutes: $check->minutes ?? 0.0,
            steps: $check->steps ?? [],
            cautions: array_values(array_filter([$check?->caution, ...$cautions])),
            because: $campaign->because,
            mend: $campaign->mend,
            foundInJob: $campaign->job_id,
            foundOn: $campaign->job?->machine->tag,
            by: $campaign->openedBy->name,
            openedAt: $campaign->opened_at->toIso8601String(),
            closedAt: $campaign->closed_at?->toIso8601String(),
            assignedTo: $campaign->assigned_to,
            assignedName: $campaign->assigned?->name,
            dueOn: $campaign->due_on?->toDateString(),
            late: $campaign->closed_at === null && $campaign->due_on !== null && $judged->looked < $judged->fleet
                && $campaign->due_on->toDateString() < $this->day->today(),
            taggedBy: $campaign->taggedBy?->name,
            all: $judged->fleet,
            looked: $judged->looked,
            affected: $judged->affected,
            least: $judged->least,
            most: $judged->most,
            settled: $judged->settled(),
            looksToSettle: $judged->looksToSettle(Judge::LEVEL),
            mended: $affected->whereNotNull('mended_at')->count(),
            lettersOwed: $owed->filter(static fn (LookOwed $o): bool => $o->owesLetter($campaign->dangerous))->count(),
            untagged: $owed->filter(static fn (LookOwed $o): bool => $o->mayHaveIt() && ! isset($worn[$o->machine_id]))->count(),
            said: $judged->because(),
            machines: array_values($owed->map(fn (LookOwed $o): LookView => LookView::of(
                $o,
                $this->knowledge,
                $open[$o->machine_id] ?? null,
                isset($worn[$o->machine_id]),
                $stands[$o->machine_id] ?? null,
            ))->all()),
        );
    }

    public function all(): CampaignsView
    {
        $people = Person::query()->whereNull('left_at')->orderBy('name')->get()
            ->filter(static fn (Person $p): bool => $p->role->worksAtTheBench());

        return new CampaignsView(
            $this->lines(null),
            array_values($people->map(static fn (Person $p): AssigneeView => new AssigneeView($p->id, $p->name))->all()),
        );
    }

    /** @return list<CampaignLine> the open ones this machine stands on */
    public function ofMachine(Machine $machine): array
    {
        return $this->lines($machine);
    }

    /**
     * What is to be looked at first, then what was found affected, then what is well.
     *
     * @param  Collection<int, LookOwed>  $owed
     * @return Collection<int, LookOwed>
     */
    private static function inOrder(Collection $owed): Collection
    {
        $first = [];
        foreach ($owed as $one) {
            $first[$one->id] = LookFirst::of(Place::from($one->machine->place)->runs(), $one->risk, $one->harm);
        }

        return $owed->sort(static fn (LookOwed $a, LookOwed $b): int => [$a->looked_at !== null, $a->affected !== true]
            <=> [$b->looked_at !== null, $b->affected !== true]
            ?: ($a->looked_at === null ? $first[$a->id]->against($first[$b->id]) : 0)
            ?: $a->machine->tag <=> $b->machine->tag)->values();
    }

    /** @return list<CampaignLine> */
    private function lines(?Machine $machine): array
    {
        $rows = DB::table('campaigns as l')->join('looks_owed as o', 'o.campaign_id', '=', 'l.id')
            ->leftJoin('people as a', 'a.id', '=', 'l.assigned_to')
            ->when(
                $machine !== null,
                fn ($q) => $q->whereNull('l.closed_at')
                    ->whereExists(fn ($own) => $own->from('looks_owed as w')->whereColumn('w.campaign_id', 'l.id')->where(
                        'w.machine_id',
                        $machine?->id,
                    )),
            )
            ->groupBy('l.id', 'a.name')
            ->selectRaw(
                'l.id, l.origin, l.title, l.fault, l.look, l.dangerous, l.due_on, l.closed_at, a.name AS assigned,
                count(*) AS machines, count(o.looked_at) AS looked, count(*) FILTER (WHERE o.affected) AS affected,
                count(o.mended_at) AS mended, bool_or(o.affected) FILTER (WHERE o.machine_id = ?) AS here',
                [$machine->id ?? 0],
            )
            ->orderByRaw('l.closed_at IS NOT NULL, l.id DESC')->limit(self::MOST)->get();

        return array_values($rows->map(function (object $row): CampaignLine {
            $judged = (new Judge)->judge((int) $row->machines, (int) $row->looked, (int) $row->affected);

            return new CampaignLine(
                (int) $row->id,
                $row->origin,
                $row->title ?? $this->knowledge->faultName((string) $row->fault),
                $row->look === null ? null : ($this->knowledge->checks[$row->look]->name ?? $row->look),
                (bool) $row->dangerous,
                $judged->fleet,
                $judged->looked,
                $judged->affected,
                $judged->least,
                $judged->most,
                $judged->settled(),
                (int) $row->mended,
                $row->assigned,
                $row->due_on,
                $row->closed_at !== null,
                $row->here === null ? null : (bool) $row->here,
            );
        })->all());
    }
}
