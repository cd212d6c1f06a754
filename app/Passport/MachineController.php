<?php

declare(strict_types=1);

namespace App\Passport;

use App\Intake\Job;
use App\Machines\HoursQuery;
use App\Machines\Machine;
use App\Machines\Warranty;
use App\Safety\RedTag;
use App\Shop\Ability;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\Gate;
use OddBench\Knowledge\Knowledge;

final readonly class MachineController
{
    private const PAGE = 50;

    private const LABELS = 300;

    public function __construct(private Knowledge $knowledge, private HoursQuery $hours)
    {
    }

    /** @return Builder<Machine> */
    private function chosen(ListMachinesRequest $request): Builder
    {
        $query = Machine::query();
        $text = $request->string('text')->trim()->toString();
        if ($text !== '') {
            $like = '%'.addcslashes(mb_strtolower($text), '%_\\').'%';
            $query->where(fn ($q) => $q
                ->whereRaw('lower(tag) LIKE ?', [$like])
                ->orWhereRaw("replace(lower(tag), '-', '') LIKE ?", [str_replace([' ', '-'], '', $like)])
                ->orWhereRaw('lower(serial) LIKE ?', [$like])
                ->orWhereIn('family', $this->familiesLike($text))
                ->orWhereHas('owner', fn ($o) => $o->whereRaw('lower(name) LIKE ?', [$like])));
        }
        foreach (['family', 'place'] as $column) {
            if ($request->filled($column)) {
                $query->where($column, $request->string($column)->toString());
            }
        }

        return $query;
    }

    public function index(ListMachinesRequest $request): MachinePage
    {
        $query = $this->chosen($request);
        $all = (clone $query)->count();
        if ($request->filled('after')) {
            $query->where('tag', '>', $request->string('after')->toString());
        }
        $machines = $query->with('owner')->orderBy('tag')->limit(self::PAGE + 1)->get();
        $page = $machines->take(self::PAGE);
        $open = Job::openOf($page->pluck('id'));
        $tags = RedTag::worn($page->pluck('id'));
        $hours = $this->hours->of($page);

        return new MachinePage(
            array_values($page->map(fn (Machine $m): MachineSummary => MachineSummary::of(
                $m,
                $this->knowledge,
                isset($tags[$m->id]),
                $open[$m->id] ?? null,
                $hours[$m->id] ?? null,
            ))->all()),
            $all,
            $machines->count() > self::PAGE ? $page->last()?->tag : null,
        );
    }

    /** What stands on the labels of the machines that are chosen. */
    public function labels(ListMachinesRequest $request): LabelsView
    {
        $query = $this->chosen($request);
        $all = (clone $query)->count();

        return new LabelsView(
            array_values($query->with('owner')->orderBy('tag')->limit(self::LABELS)->get()->map(fn (Machine $m): LabelView => new LabelView(
                MachineSummary::of($m, $this->knowledge, false, null, null),
                PassportQuery::ownersPage($m),
            ))->all()),
            $all,
        );
    }

    public function show(string $tag, ShowMachineRequest $request, PassportQuery $passport): PassportView
    {
        return $passport->of(Machine::known($tag), $request->wholeOrNull('olderThan'));
    }

    public function warranty(string $tag, WarrantyRequest $request, Warranty $warranty, PassportQuery $passport): PassportView
    {
        Gate::authorize(Ability::Edit);
        $machine = Machine::known($tag);
        /** @var 'maker'|'seller'|null $by */
        $by = $request->words('by');
        $warranty->note($machine, $by, $request->words('until'), $request->words('note'));

        return $passport->of($machine->refresh());
    }

    /** @return list<string> */
    private function familiesLike(string $text): array
    {
        return array_keys(array_filter(
            $this->knowledge->families,
            static fn ($family): bool => mb_stripos($family->name, $text) !== false,
        ));
    }
}
