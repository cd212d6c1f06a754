<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Api\TakesFile;
use App\Intake\Job;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use OddBench\Computation\Catalogue;
use OddBench\Computation\Computation;
use OddBench\Input\Contents;
use OddBench\Input\InputError;
use OddBench\Input\JsonObject;
use OddBench\Instruments\SheetResult;
use OddBench\Instruments\TypedInput;
use OddBench\Knowledge\InstrumentSheet;
use OddBench\Knowledge\Knowledge;

final readonly class InstrumentController
{
    /** A body that is a file goes to this key of the instrument. */
    private const FILE_OF = [
        'pluck-frequency' => 'wav_file',
        'gcode' => 'file',
        'thermal-log' => 'csv_file',
        'runaway-test' => 'csv_file',
        'relay-tune' => 'csv_file',
    ];

    public function __construct(private Knowledge $knowledge)
    {
    }

    /** Works something out; nothing is kept. The body is a JSON object, or the file itself with the rest in the query. */
    #[TakesFile(orJson: [])]
    public function compute(string $name, Request $request): InstrumentResult
    {
        return InstrumentResult::of(
            $this->named($name)
                ->compute($request->isJson() ? JsonObject::decode($request->getContent()) : $this->withFile($name, $request)),
        );
    }

    public function index(): SheetsView
    {
        return SheetsView::of($this->knowledge);
    }

    /** As a sheet on screen is filled in: texts by key under `typed`, or the file itself with the texts in the query. */
    #[TakesFile(query: ['typed' => 'texts'], orJson: ['typed' => 'texts'])]
    public function sheet(string $name, Request $request): ReadView
    {
        [$sheet, $input, $result] = $this->read($name, $request);

        return ReadView::of($sheet, SheetResult::of($sheet, $input, $result), $input, $result);
    }

    /** The same, kept in a job with the findings it stands for. */
    #[TakesFile(query: ['typed' => 'texts', 'position' => 'text'], orJson: ['typed' => 'texts'])]
    public function take(int $job, string $name, Request $request, TakeReading $take): ReadView
    {
        Gate::authorize(Ability::Work);
        [$sheet, $input, $result] = $this->read($name, $request);
        $position = $request->query('position');
        $take->take(
            Job::query()->with('machine')->findOrFail($job),
            $sheet,
            $input,
            $result,
            is_string($position) && $position !== '' ? $position : null,
            Here::person(),
        );

        return ReadView::of($sheet, SheetResult::of($sheet, $input, $result), $input, $result);
    }

    public function compare(int $job, string $name, CompareRequest $request, ReadingsQuery $readings): ComparedView
    {
        return $readings->compare(Job::query()->with('machine')->findOrFail($job), $this->sheetOf($name), $request->words('position'));
    }

    private function sheetOf(string $name): InstrumentSheet
    {
        return $this->knowledge->instruments[$name] ?? throw InputError::unknown(
            'name',
            'instrument',
            $name,
            array_keys($this->knowledge->instruments),
        );
    }

    /** @return array{InstrumentSheet, array<string, mixed>, array<string, mixed>} sheet, input, result */
    private function read(string $name, Request $request): array
    {
        $sheet = $this->sheetOf($name);
        $instrument = $this->named($sheet->instrument());
        $json = $request->isJson();
        $given = $json ? (JsonObject::decode($request->getContent())['typed'] ?? []) : $request->query('typed', []);
        $typed = [];
        foreach (is_array($given) ? $given : [] as $key => $text) {
            $typed[(string) $key] = is_scalar($text) ? (string) $text : '';
        }
        $input = TypedInput::of($sheet, $typed, $json ? null : Contents::text($request->getContent()));

        return [$sheet, $input, $instrument->compute($input)];
    }

    private function named(string $name): Computation
    {
        $instruments = [];
        foreach (Catalogue::instruments() as $instrument) {
            $instruments[$instrument->name()] = $instrument;
        }

        return $instruments[$name] ?? throw InputError::unknown('name', 'instrument', $name, array_keys($instruments));
    }

    /** @return array<string, mixed> */
    private function withFile(string $name, Request $request): array
    {
        $key = self::FILE_OF[$name] ?? throw InputError::at(
            'input',
            'This instrument takes a JSON object, with the header Content-Type: application/json.',
        );
        $input = [];
        foreach ($request->query() as $field => $value) {
            $input[(string) $field] = is_string($value) && is_numeric($value) ? (float) $value : $value;
        }

        return $input + [$key => Contents::text($request->getContent())];
    }
}
