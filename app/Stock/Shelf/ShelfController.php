<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Api\Refused;
use App\Machines\Machine;
use App\Shop\Ability;
use App\Shop\Here;
use App\Stock\Donors\DonorsQuery;
use App\Stock\Donors\DonorsView;
use App\Stock\Donors\Salvage;
use App\Stock\Donors\SalvageRequest;
use App\Stock\Parts\AddPart;
use App\Stock\Parts\NewPartRequest;
use App\Stock\Parts\Part;
use App\Stock\Parts\PartPageView;
use App\Stock\Parts\PartQuery;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use OddBench\Machines\Tag;

/** The shelf, and what moves on it. */
final readonly class ShelfController
{
    public function __construct(private ShelfQuery $shelf, private PartQuery $parts)
    {
    }

    public function index(ListPartsRequest $request): ShelfView
    {
        return $this->shelf->page(
            $request->words('text') ?? '',
            $request->words('class'),
            $request->words('family'),
            $request->words('after'),
        );
    }

    public function store(NewPartRequest $request, AddPart $addPart): PartPageView
    {
        Gate::authorize(Ability::MoveStock);
        $part = $addPart->add(
            $request->string('number')->toString(),
            $request->string('name')->trim()->toString(),
            $request->string('class')->toString(),
            $request->string('bin')->toString(),
            $request->words('words') ?? '',
        );

        return $this->parts->page($part->number);
    }

    public function move(string $number, MoveStockRequest $request, MoveStock $stock): PartPageView
    {
        Gate::authorize(Ability::MoveStock);
        $part = Part::numbered($number);
        $quantity = $request->integer('quantity');
        $cost = $request->integer('unitCostMinor');
        if ($request->string('kind')->toString() === 'received' && ! $request->boolean('costIsRight') && $part->holding()->odd($cost)) {
            throw Refused::because(
                'cost',
                sprintf(
                    'One costs %.2f on the shelf and %.2f here: the price of a pack, or in cents? Look again, or say that it is right.',
                    $part->holding()->each() / 100,
                    $cost / 100,
                ),
            );
        }
        $note = $request->words('note');
        $bin = $request->words('bin') === null ? null : mb_strtoupper((string) $request->words('bin'));
        DB::transaction(fn (): ?Movement => match ($request->string('kind')->toString()) {
            'received' => $stock->receive($part, $quantity, $cost, $note, Here::person(), null, $bin, $request->words('batch')),
            'scrapped' => $stock->scrap($part, $quantity, $note, Here::person(), $bin),
            'moved' => $stock->toBin(
                $part,
                $quantity,
                $bin ?? $part->bin,
                mb_strtoupper((string) $request->words('toBin')),
                Here::person(),
            ),
            default => $stock->count($part, $quantity, $note, Here::person(), $bin),
        });

        return $this->parts->page($number);
    }

    public function donors(DonorsQuery $donors): DonorsView
    {
        return $donors->all();
    }

    public function salvage(string $tag, SalvageRequest $request, Salvage $salvage, DonorsQuery $donors): DonorsView
    {
        Gate::authorize(Ability::MoveStock);
        $salvage->fromDonor(
            Machine::query()->where('tag', Tag::read($tag)->text())->firstOrFail(),
            $request->string('position')->toString(),
            $request->words('part'),
            $request->string('grade')->toString(),
            $request->words('note'),
            $request->wholeOrNull('valueMinor'),
            Here::person(),
        );

        return $donors->all();
    }
}
