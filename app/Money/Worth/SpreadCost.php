<?php

declare(strict_types=1);

namespace App\Money\Worth;

use App\Api\Refused;
use App\Machines\Machine;
use App\Money\Terms\PriceList;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\CostSplit;
use OddBench\Money\Piece as Part;

/** A machine that is split: what was paid for it is spread over what is in it, by what each is worth, or over what is left after a sale. */
final readonly class SpreadCost
{
    public function __construct(private DonorParts $donor, private Knowledge $knowledge)
    {
    }

    /**
     * @param  list<array{name: string, sold: int}>  $sold  what went for money before, as the printer without its feeder
     *
     * @throws Refused when it was spread before
     */
    public function over(Machine $machine, array $sold = []): void
    {
        DB::transaction(function () use ($machine, $sold): void {
            $machine = Machine::query()->lockForUpdate()->findOrFail($machine->id);
            if (Piece::query()->where('machine_id', $machine->id)->exists()) {
                throw Refused::because('machine', "What {$machine->tag} cost is spread over its parts already.");
            }
            $rows = $pieces = [];
            foreach ($sold as $one) {
                $rows[] = ['name' => $one['name'], 'position' => null, 'sold_minor' => $one['sold'], 'worth_minor' => $one['sold']];
                $pieces[] = new Part($one['name'], $one['sold'], $one['sold']);
            }
            $positions = $this->knowledge->family($machine->family)->positions;
            foreach ($this->donor->of($machine)->pieces as $worth) {
                if ($worth->worth > 0) {
                    $name = $positions[$worth->part->position]->name;
                    $rows[] = ['name' => $name, 'position' => $worth->part->position, 'sold_minor' => null, 'worth_minor' => $worth->worth];
                    $pieces[] = new Part($name, $worth->worth);
                }
            }
            if ($pieces === []) {
                return;
            }
            $costs = (new CostSplit)->judge((int) $machine->price_paid_minor, $pieces, PriceList::read()->residual);
            foreach ($rows as $i => $row) {
                Piece::query()->create([
                    ...$row,
                    'machine_id' => $machine->id,
                    'cost_minor' => $costs[$i],
                    'gone_at' => $row['sold_minor'] === null ? null : now(),
                ]);
            }
        });
    }
}
