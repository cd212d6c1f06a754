<?php

declare(strict_types=1);

namespace App\Stock;

use App\Shop\Here;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

final readonly class ShelfController
{
    private const PAGE = 60;

    public function __construct(private Knowledge $knowledge)
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
        $last = $page->last();

        return new ShelfView(
            array_values($page->map(fn (Part $p): PartView => PartView::of($p, $this->knowledge, (int) ($used[$p->id] ?? 0)))->all()),
            $all,
            $value,
            $parts->count() > self::PAGE && $last !== null ? "{$last->bin}|{$last->number}" : null,
        );
    }

    public function show(string $number): PartPageView
    {
        $part = Part::numbered($number);
        $movements = Movement::query()->with(['part', 'person', 'undoneBy', 'job.machine'])->where('part_id', $part->id)->orderByDesc('id')->limit(100)->get();

        return new PartPageView(PartView::of($part, $this->knowledge), array_values($movements->map(MovementView::of(...))->all()));
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
