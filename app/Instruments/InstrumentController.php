<?php

declare(strict_types=1);

namespace App\Instruments;

use Illuminate\Http\Request;
use OddBench\Computation\Catalogue;
use OddBench\Computation\Computation;
use OddBench\Input\Contents;
use OddBench\Input\InputError;
use OddBench\Input\JsonObject;

final readonly class InstrumentController
{
    /** A body that is a file goes to this key of the instrument. */
    private const FILE_OF = ['pluck-frequency' => 'wav_file', 'gcode' => 'file', 'thermal-log' => 'csv_file', 'runaway-test' => 'csv_file', 'relay-tune' => 'csv_file'];

    /** Works something out; nothing is kept. The body is a JSON object, or the file itself with the rest in the query. */
    public function compute(string $name, Request $request): InstrumentResult
    {
        $instruments = [];
        foreach (Catalogue::instruments() as $instrument) {
            $instruments[$instrument->name()] = $instrument;
        }
        /** @var Computation $instrument */
        $instrument = $instruments[$name] ?? throw InputError::unknown('name', 'instrument', $name, array_keys($instruments));

        return InstrumentResult::of($instrument->compute($request->isJson() ? JsonObject::decode($request->getContent()) : $this->withFile($name, $request)));
    }

    /** @return array<string, mixed> */
    private function withFile(string $name, Request $request): array
    {
        $key = self::FILE_OF[$name] ?? throw InputError::at('input', 'This instrument takes a JSON object, with the header Content-Type: application/json.');
        $input = [];
        foreach ($request->query() as $field => $value) {
            $input[(string) $field] = is_string($value) && is_numeric($value) ? (float) $value : $value;
        }

        return $input + [$key => Contents::text($request->getContent())];
    }
}
