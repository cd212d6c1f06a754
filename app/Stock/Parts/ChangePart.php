<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\Refused;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\Fit;

/** What is known of a part changes. */
final readonly class ChangePart
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    /**
     * @param  array<array-key, mixed>  $fits
     *
     * @throws Refused when somebody changed it meanwhile
     */
    public function change(
        Part $part,
        int $version,
        string $name,
        string $class,
        string $words,
        ?string $notes,
        array $fits,
        ?int $shelfLifeWeeks,
    ): void {
        DB::transaction(function () use ($part, $version, $name, $class, $words, $notes, $fits, $shelfLifeWeeks): void {
            $part = Part::query()->lockForUpdate()->findOrFail($part->id);
            if ($part->version !== $version) {
                throw Refused::because('version', 'Somebody changed this part meanwhile. Look at it again, then make your change.');
            }
            $part->update([
                'name' => $name,
                'class' => $this->knowledge->partClass($class),
                'words' => $words,
                'notes' => $notes,
                'fits' => Fit::read($fits, $this->knowledge)->toArray(),
                'shelf_life_weeks' => $shelfLifeWeeks,
                'version' => $version + 1,
            ]);
            PartChoice::sorted();
        });
    }
}
