<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use App\Api\TakesFile;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;
use OddBench\Stock\StockRow;
use Symfony\Component\HttpFoundation\Response;

/** Tables that come in and go out. */
final readonly class StockFileController
{
    public function __construct(private StockFilesQuery $query, private ImportFile $import)
    {
    }

    public function index(): StockFilesView
    {
        return $this->query->all();
    }

    public function show(int $file, ListFatesRequest $request): StockFileView
    {
        return $this->query->one(
            StockFile::query()->with('person')->findOrFail($file),
            $request->integer('after'),
            $request->words('fate'),
        );
    }

    /** The body is the table itself; nothing counts yet. */
    #[TakesFile()]
    public function store(string $kind, ReceiveFileRequest $request): StockFileView
    {
        Gate::authorize(Ability::MoveStock);
        $kind = match ($kind) {
            'parts', 'stock', 'movements' => $kind, default => abort(404)
        };
        $name = $request->query('name');

        return $this->query->one(
            $this->import->keep($kind, is_string($name) && $name !== '' ? $name : "{$kind}.csv", $request->getContent(), Here::person()),
            0,
            null,
        );
    }

    public function apply(int $file, ApplyFileRequest $request): StockFileView
    {
        Gate::authorize(Ability::KeepBooks);

        return $this->query->one(
            $this->import->apply(StockFile::query()->findOrFail($file), $request->boolean('onlySound'), Here::person()),
            0,
            null,
        );
    }

    public function out(string $kind, ExportTable $export): Response
    {
        Gate::authorize(Ability::SeeOwners);

        return $export->of(isset(StockRow::COLUMNS[$kind]) ? $kind : abort(404));
    }
}
