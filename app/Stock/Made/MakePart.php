<?php

declare(strict_types=1);

namespace App\Stock\Made;

use App\Api\KeptFile;
use App\Api\Refused;
use App\Shop\Person;
use App\Stock\Parts\Part;
use App\Stock\Parts\PartQuery;
use App\Stock\Shelf\Movement;
use App\Stock\Shelf\MoveStock;
use App\Stock\Spools\Spool;
use App\Stock\Spools\UseSpool;
use Illuminate\Support\Facades\DB;
use OddBench\Input\Contents;
use OddBench\Input\InputError;
use OddBench\Instruments\FilamentAmount;
use OddBench\Instruments\Gcode;
use OddBench\Knowledge\Knowledge;

/** Parts the shop makes itself: how, from what file, and putting what was made into its bin. */
final readonly class MakePart
{
    private const MOST_BYTES = 32 * 1024 * 1024;

    private const KINDS = ['stl', '3mf', 'obj', 'step', 'stp', 'gcode', 'scad', 'dxf', 'svg', 'pdf'];

    public function __construct(
        private Knowledge $knowledge,
        private MoveStock $stock,
        private PartQuery $parts,
        private UseSpool $spools,
    ) {
    }

    public function recipe(
        Part $part,
        string $material,
        float $grams,
        int $pricePerKgMinor,
        float $printMinutes,
        float $handMinutes,
        ?string $how,
    ): void {
        if ($part->grade !== 'new') {
            throw Refused::because('part', 'A used part is not made.');
        }
        $code = $grams > 0.0 ? $this->knowledge->material($material)->code : $material;
        Recipe::query()->updateOrCreate(
            ['part_id' => $part->id],
            [
                'material' => $code,
                'grams' => $grams,
                'price_per_kg_minor' => $pricePerKgMinor,
                'print_minutes' => $printMinutes,
                'hand_minutes' => $handMinutes,
                'how' => $how,
            ],
        );
    }

    /**
     * Keeps the file it is made from; a G-code file says itself how much it takes and how long.
     *
     * @throws InputError when it is of a kind nothing is made from
     */
    public function file(Part $part, string $name, string $bytes): void
    {
        $recipe = $part->recipe()->first() ?? throw Refused::because('recipe', 'Say first what it is made of.');
        $kind = strtolower(pathinfo($name, PATHINFO_EXTENSION));
        if (! in_array($kind, self::KINDS, true)) {
            throw InputError::at('file', "A file “.{$kind}” is not taken; ".implode(', ', self::KINDS).' are.');
        }
        if ($bytes === '' || strlen($bytes) > self::MOST_BYTES) {
            throw InputError::at('file', $bytes === '' ? 'The file is empty.' : 'The file is larger than 32 MB.');
        }
        $path = 'recipes/'.sha1($bytes).".{$kind}";
        KeptFile::put($path, $bytes, 'file', 'file');
        $recipe->update([
            'file' => $path,
            'file_name' => self::plainName($name),
            ...($kind === 'gcode' ? $this->read($recipe, $bytes) : []),
        ]);
    }

    /** A name without the way to it, whatever system it comes from. */
    public static function plainName(string $name): string
    {
        return basename(str_replace('\\', '/', $name));
    }

    public function made(Part $part, int $quantity, ?Spool $spool, ?string $note, Person $by): Movement
    {
        return DB::transaction(function () use ($part, $quantity, $spool, $note, $by): Movement {
            $recipe = $part->recipe()->first() ?? throw Refused::because(
                'recipe',
                'Say first how it is made and of what, so that its cost is known.',
            );
            if ($spool !== null && $spool->material !== $recipe->material) {
                throw InputError::at('spool', "{$spool->code} is {$spool->material}, and this is made of {$recipe->material}.");
            }
            if ($spool !== null) {
                $this->spools->take($spool, $quantity * (float) $recipe->grams, "{$quantity} × {$part->name}", $by);
            }
            $cost = $this->parts->recipe($recipe);

            return $this->stock->made(
                $part,
                $quantity,
                $quantity * ($cost->materialMinor + $cost->handsMinor),
                $note ?? ($spool === null ? null : "spool {$spool->code}"),
                $by,
            );
        });
    }

    /** @return array<string, float> */
    private function read(Recipe $recipe, string $bytes): array
    {
        $need = (new Gcode)->need(Contents::text($bytes));
        $density = $this->knowledge->materials[strtoupper($recipe->material)]->densityGCm3 ?? 1.24;

        return $need->filamentMm <= 0.0 ? [] : [
            'grams' => round(FilamentAmount::ofLength($need->filamentMm / 1000, $density, 1.75)->massG, 2),
            'print_minutes' => round($need->seconds / 60, 1),
        ];
    }
}
