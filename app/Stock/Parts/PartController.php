<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\TakesFile;
use App\Shop\Ability;
use App\Shop\Here;
use App\Stock\Batches\BadBatch;
use App\Stock\Batches\FlagBatch;
use App\Stock\Batches\FlagBatchRequest;
use App\Stock\Kits\PromiseRequest;
use App\Stock\Kits\ReserveKit;
use App\Stock\Made\MadeRequest;
use App\Stock\Made\MakePart;
use App\Stock\Made\RecipeRequest;
use App\Stock\Orders\NoteSupplier;
use App\Stock\Orders\NoteSupply;
use App\Stock\Orders\SupplierRequest;
use App\Stock\Shelf\Movement;
use App\Stock\Spools\Spool;
use App\Stock\Tables\ReceiveFileRequest;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\Response;

/** One part: what it is, what it fits, what stands in for it, where it is bought, how it is made, to whom it is promised. */
final readonly class PartController
{
    public function __construct(private PartQuery $parts)
    {
    }

    public function show(string $number): PartPageView
    {
        return $this->parts->page($number);
    }

    public function update(string $number, ChangePartRequest $request, ChangePart $changePart): PartPageView
    {
        Gate::authorize(Ability::MoveStock);
        $changePart->change(
            Part::numbered($number),
            $request->integer('version'),
            $request->string('name')->trim()->toString(),
            $request->string('class')->toString(),
            $request->words('words') ?? '',
            $request->words('notes'),
            [
                'families' => (array) $request->input('families'),
                'positions' => (array) $request->input('positions'),
                'traits' => (array) $request->input('traits', []),
            ],
            $request->wholeOrNull('shelfLifeWeeks'),
        );

        return $this->parts->page($number);
    }

    public function substitute(string $number, OtherPartRequest $request, AllowSubstitute $allowSubstitute): PartPageView
    {
        Gate::authorize(Ability::MoveStock);
        $allowSubstitute->allow(
            Part::numbered($number),
            Part::numbered($request->string('other')->trim()->toString()),
            $request->words('note'),
        );

        return $this->parts->page($number);
    }

    public function noSubstitute(string $number, string $other, DropSubstitute $dropSubstitute): PartPageView
    {
        Gate::authorize(Ability::MoveStock);
        $dropSubstitute->drop(Part::numbered($number), Part::numbered($other));

        return $this->parts->page($number);
    }

    public function succeed(string $number, SuccessorRequest $request, SucceedPart $succeedPart): PartPageView
    {
        Gate::authorize(Ability::MoveStock);
        $other = $request->words('other');
        $succeedPart->succeed(Part::numbered($number), $other === null ? null : Part::numbered($other));

        return $this->parts->page($number);
    }

    /** The body is the picture itself. */
    #[TakesFile(TakesFile::PICTURE)]
    public function photograph(string $number, Request $request, PhotographPart $photographPart): PartPageView
    {
        Gate::authorize(Ability::MoveStock);
        $photographPart->keep(Part::numbered($number), $request->getContent());

        return $this->parts->page($number);
    }

    public function picture(string $number): Response
    {
        $path = Part::query()->where('number', $number)->firstOrFail()->photo ?? abort(404);

        return response((string) Storage::get($path), 200, ['Content-Type' => 'image/jpeg']);
    }

    /** Where a part is bought, and from whom. */
    public function supply(string $number, SupplierRequest $request, NoteSupplier $noteSupplier, NoteSupply $noteSupply): PartPageView
    {
        Gate::authorize(Ability::KeepBooks);
        DB::transaction(static function () use ($number, $request, $noteSupplier, $noteSupply): void {
            $supplier = $noteSupplier->note(
                $request->string('supplier')->trim()->toString(),
                $request->integer('leadDays'),
                $request->wholeOrNull('minimumMinor'),
                $request->wholeOrNull('freightMinor'),
                $request->words('contact'),
            );
            $noteSupply->note(
                Part::numbered($number),
                $supplier,
                $request->words('number'),
                $request->integer('pack'),
                $request->integer('packCostMinor'),
                $request->boolean('prefer'),
            );
        });

        return $this->parts->page($number);
    }

    public function promise(string $number, PromiseRequest $request, ReserveKit $reserve): PartPageView
    {
        Gate::authorize(Ability::MoveStock);
        $reserve->one(Part::numbered($number), $request->string('tag')->trim()->toString(), $request->integer('quantity'), Here::person());

        return $this->parts->page($number);
    }

    public function flag(string $number, int $movement, FlagBatchRequest $request, FlagBatch $flag): PartPageView
    {
        Gate::authorize(Ability::MoveStock);
        $flag->flag(
            Movement::query()->where('part_id', Part::numbered($number)->id)->findOrFail($movement),
            $request->string('because')->trim()->toString(),
            Here::person(),
        );

        return $this->parts->page($number);
    }

    public function lift(string $number, int $movement, FlagBatchRequest $request, FlagBatch $flag): PartPageView
    {
        Gate::authorize(Ability::MoveStock);
        $receipt = Movement::query()->where('part_id', Part::numbered($number)->id)->findOrFail($movement);
        $flag->lift(BadBatch::query()->where('movement_id', $receipt->id)->firstOrFail(), $request->string('because')->trim()->toString());

        return $this->parts->page($number);
    }

    public function recipe(string $number, RecipeRequest $request, MakePart $make): PartPageView
    {
        Gate::authorize(Ability::MoveStock);
        $make->recipe(
            Part::numbered($number),
            $request->string('material')->toString(),
            $request->float('grams'),
            $request->integer('pricePerKgMinor'),
            $request->float('printMinutes'),
            $request->float('handMinutes'),
            $request->words('how'),
        );

        return $this->parts->page($number);
    }

    /** The body is the file itself. */
    #[TakesFile()]
    public function recipeFile(string $number, ReceiveFileRequest $request, MakePart $make): PartPageView
    {
        Gate::authorize(Ability::MoveStock);
        $make->file(Part::numbered($number), (string) $request->query('name', ''), $request->getContent());

        return $this->parts->page($number);
    }

    public function download(string $number): Response
    {
        $recipe = Part::query()->where('number', $number)->firstOrFail()->recipe()->first();
        if ($recipe?->file === null) {
            abort(404);
        }

        return Storage::download($recipe->file, MakePart::plainName((string) $recipe->file_name));
    }

    public function made(string $number, MadeRequest $request, MakePart $make): PartPageView
    {
        Gate::authorize(Ability::MoveStock);
        $spool = $request->words('spool');
        $make->made(
            Part::numbered($number),
            $request->integer('quantity'),
            $spool === null ? null : Spool::coded($spool),
            $request->words('note'),
            Here::person(),
        );

        return $this->parts->page($number);
    }
}
