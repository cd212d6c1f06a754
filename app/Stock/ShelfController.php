<?php

declare(strict_types=1);

namespace App\Stock;

use App\Shop\Here;
use App\Shop\Setting;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

final readonly class ShelfController
{
    private const PAGE = 60;

    public function __construct(private Knowledge $knowledge, private ReorderQuery $reorder)
    {
    }

    public function index(ListPartsRequest $request): ShelfView
    {
        $query = Part::query();
        $text = mb_strtolower($request->string('text')->trim()->toString());
        if ($text !== '') {
            $like = '%'.addcslashes($text, '%_\\').'%';
            $query->where(fn ($q) => $q->whereRaw('lower(name) LIKE ?', [$like])->orWhereRaw('lower(number) LIKE ?', [$like])->orWhereRaw('lower(bin) = ?', [$text]));
        }
        if ($request->filled('class')) {
            $query->where('class', $request->string('class')->toString());
        }
        $all = (clone $query)->count();
        $value = (int) (clone $query)->sum('value_minor');
        if ($request->filled('after')) {
            [$bin, $number] = [...explode('|', $request->string('after')->toString(), 2), ''];
            $query->whereRaw('(bin, number) > (?, ?)', [$bin, $number]);
        }
        $parts = $query->orderBy('bin')->orderBy('number')->limit(self::PAGE + 1)->get();
        $page = $parts->take(self::PAGE);
        $used = Movement::query()->whereIn('part_id', $page->pluck('id'))->whereIn('kind', ['used', 'returned'])->where('at', '>', now()->subDays(90))
            ->groupBy('part_id')->selectRaw('part_id, -sum(quantity) as used')->toBase()->pluck('used', 'part_id');
        $judged = $this->reorder->of(array_values($page->map(static fn (Part $p): int => $p->id)->all()), Setting::benchMinuteMinor());
        $last = $page->last();

        return new ShelfView(
            array_values($page->map(fn (Part $p): PartView => PartView::of($p, $this->knowledge, (int) ($used[$p->id] ?? 0), $judged->get($p->id)))->all()),
            $all,
            $value,
            $parts->count() > self::PAGE && $last !== null ? "{$last->bin}|{$last->number}" : null,
        );
    }

    public function show(string $number): PartPageView
    {
        $part = Part::numbered($number);
        $movements = Movement::query()->with(['part', 'person', 'undoneBy', 'job.machine'])->where('part_id', $part->id)->orderByDesc('id')->limit(100)->get();

        $judged = $this->reorder->of([$part->id], Setting::benchMinuteMinor())->get($part->id);

        return new PartPageView(PartView::of($part, $this->knowledge, 0, $judged), array_values($movements->map(MovementView::of(...))->all()), $judged === null ? null : SupplyView::of($judged));
    }

    public function store(NewPartRequest $request): PartPageView
    {
        Gate::authorize('move', Part::class);
        $class = $request->string('class')->toString();
        if (! isset($this->knowledge->partClasses[$class])) {
            throw InputError::unknown('class', 'part class', $class, array_keys($this->knowledge->partClasses));
        }
        $part = Part::query()->create([...$request->safe()->only(['number', 'name', 'class']), 'bin' => mb_strtoupper($request->string('bin')->toString())]);

        return $this->show($part->number);
    }

    /** Where a part is bought, and from whom. */
    public function supply(string $number, SupplierRequest $request, KeepOrders $keep): PartPageView
    {
        Gate::authorize('move', Part::class);
        DB::transaction(function () use ($number, $request, $keep): void {
            $supplier = $keep->supplier($request->string('supplier')->trim()->toString(), $request->integer('leadDays'), $request->wholeOrNull('minimumMinor') ?? 0, $request->wholeOrNull('freightMinor') ?? 0, $request->words('contact'));
            $keep->supply(Part::numbered($number), $supplier, $request->words('number'), $request->integer('pack'), $request->integer('packCostMinor'));
        });

        return $this->show($number);
    }

    public function move(string $number, MoveStockRequest $request, MoveStock $stock): PartPageView
    {
        Gate::authorize('move', Part::class);
        $part = Part::numbered($number);
        $quantity = $request->integer('quantity');
        $note = $request->words('note');
        DB::transaction(fn (): ?Movement => match ($request->string('kind')->toString()) {
            'received' => $stock->receive($part, $quantity, $request->integer('unitCostMinor'), $note, Here::person()),
            'scrapped' => $stock->scrap($part, $quantity, $note, Here::person()),
            default => $stock->count($part, $quantity, $note, Here::person()),
        });

        return $this->show($number);
    }
}
