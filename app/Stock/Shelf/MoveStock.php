<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Api\Refused;
use App\Intake\Job;
use App\Machines\Machine;
use App\Shop\Person;
use App\Stock\Kits\Promises;
use App\Stock\Orders\OrderLine;
use App\Stock\Parts\Part;
use App\Stock\Parts\PartChoice;
use App\Stock\Stocktake\Stocktake;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** Moves stock: under the part’s lock, never below zero, its cost going along at the average. */
final readonly class MoveStock
{
    public function __construct(private Promises $promises, private Bins $bins)
    {
    }

    /** @param  string|null  $batch  what is printed on the bag */
    public function receive(
        Part $part,
        int $quantity,
        int $unitCostMinor,
        ?string $note,
        Person $by,
        ?OrderLine $line = null,
        ?string $bin = null,
        ?string $batch = null,
    ): Movement {
        $this->atLeastOne($quantity);

        return $this->move(
            $part,
            fn (Part $part): Movement => $this->make(
                $part,
                'received',
                $quantity,
                $quantity * $unitCostMinor,
                $by,
                ['note' => $note, 'order_line_id' => $line?->id, 'batch' => $batch, 'bin' => $bin ?? $part->bin],
            ),
        );
    }

    /** One or more that the shop has made itself. */
    public function made(Part $part, int $quantity, int $valueMinor, ?string $note, Person $by): Movement
    {
        $this->atLeastOne($quantity);

        return $this->move(
            $part,
            fn (Part $part): Movement => $this->make($part, 'made', $quantity, $valueMinor, $by, ['note' => $note, 'bin' => $part->bin]),
        );
    }

    /** Out of a machine onto the shelf, with where it comes from. */
    public function salvaged(
        Part $part,
        int $valueMinor,
        Machine $from,
        string $position,
        ?float $hours,
        ?string $note,
        ?Job $job,
        Person $by,
    ): Movement {
        return $this->move(
            $part,
            fn (Part $part): Movement => $this->make(
                $part,
                'salvaged',
                1,
                $valueMinor,
                $by,
                [
                    'note' => $note,
                    'machine_id' => $from->id,
                    'position' => $position,
                    'hours' => $hours,
                    'job_id' => $job?->id,
                    'bin' => $part->bin,
                ],
            ),
        );
    }

    /** A kept spare goes back into the machine it came out of. */
    public function notSalvaged(Movement $kept, Person $by): Movement
    {
        return $this->move(
            $kept->part,
            fn (Part $part): Movement => $this->leave(
                $part,
                'salvaged',
                1,
                $by,
                [
                    'machine_id' => $kept->machine_id,
                    'position' => $kept->position,
                    'job_id' => $kept->job_id,
                    'undoes_id' => $kept->id,
                    'bin' => $kept->bin,
                ],
            ),
        );
    }

    public function take(Part $part, int $quantity, Job $job, ?string $position, Person $by, ?string $bin = null): Movement
    {
        $this->atLeastOne($quantity);

        return $this->move($part, function (Part $part) use ($quantity, $job, $position, $by, $bin): Movement {
            $this->refusePromised($part, $quantity, $job);
            $movement = $this->leave(
                $part,
                'used',
                $quantity,
                $by,
                ['job_id' => $job->id, 'position' => $position, 'bin' => $this->bins->holding($part, $quantity, $bin)],
            );
            $this->promises->taken($part, $job, $quantity);
            PartChoice::used($job->machine->family, $part, 1);

            return $movement;
        });
    }

    public function scrap(Part $part, int $quantity, ?string $note, Person $by, ?string $bin = null): Movement
    {
        $this->atLeastOne($quantity);

        return $this->move(
            $part,
            fn (Part $part): Movement => $this->leave(
                $part,
                'scrapped',
                $quantity,
                $by,
                ['note' => $note, 'bin' => $this->bins->holding($part, $quantity, $bin)],
            ),
        );
    }

    /** What was counted in a bin is what is in it; the difference is a movement. */
    public function count(Part $part, int $counted, ?string $note, Person $by, ?string $bin = null): ?Movement
    {
        if ($counted < 0) {
            throw InputError::at('quantity', 'A count cannot be below zero.');
        }

        return $this->move(
            $part,
            fn (Part $part): ?Movement => $this->differs(
                $part,
                $counted - $this->bins->in($part, $bin ?? $part->bin),
                $by,
                ['note' => $note, 'bin' => $bin ?? $part->bin],
            ),
        );
    }

    /** The difference a stocktake found; what moved since it was counted stays moved. */
    public function correct(Part $part, int $difference, string $bin, Stocktake $found, Person $by): ?Movement
    {
        return $this->move(
            $part,
            fn (Part $part): ?Movement => $this->differs($part, $difference, $by, ['bin' => $bin, 'stocktake_id' => $found->id]),
        );
    }

    /** From one bin into another; when nothing is left in the first one, it is the home of the part no more. */
    public function toBin(Part $part, int $quantity, string $from, string $to, Person $by): Movement
    {
        $this->atLeastOne($quantity);
        if ($from === $to) {
            throw InputError::at('toBin', 'It lies in that bin already.');
        }

        return $this->move($part, function (Part $part) use ($quantity, $from, $to, $by): Movement {
            $from = $this->bins->holding($part, $quantity, $from);
            $value = $part->holding()->share($quantity);
            $this->make($part, 'moved', -$quantity, -$value, $by, ['bin' => $from, 'note' => "to {$to}"]);
            $movement = $this->make($part, 'moved', $quantity, $value, $by, ['bin' => $to, 'note' => "from {$from}"]);
            if ($part->bin === $from && $this->bins->in($part, $from) === 0) {
                $part->update(['bin' => $to]);
            }

            return $movement;
        });
    }

    /** A used part goes back into its bin, with the cost it left with. */
    public function putBack(Movement $used, Person $by): Movement
    {
        return $this->move($used->part, function (Part $part) use ($used, $by): Movement {
            if ($used->kind !== 'used' || Movement::query()->where('undoes_id', $used->id)->exists()) {
                throw Refused::because('movement', 'This part was put back already.');
            }

            PartChoice::used($used->job->machine->family ?? '', $part, -1);

            return $this->make(
                $part,
                'returned',
                -$used->quantity,
                -$used->value_minor,
                $by,
                ['job_id' => $used->job_id, 'position' => $used->position, 'undoes_id' => $used->id, 'bin' => $used->bin],
            );
        });
    }

    /** @param  array<string, mixed>  $more */
    private function differs(Part $part, int $difference, Person $by, array $more): ?Movement
    {
        return match (true) {
            $difference === 0 => null,
            $difference < 0 => $this->leave($part, 'counted', -$difference, $by, $more),
            default => $this->make($part, 'counted', $difference, $difference * $part->holding()->each(), $by, $more),
        };
    }

    /** @param  array<string, mixed>  $more */
    private function leave(Part $part, string $kind, int $quantity, Person $by, array $more): Movement
    {
        return $this->make($part, $kind, -$quantity, -$part->holding()->share($quantity), $by, $more);
    }

    /** @param  array<string, mixed>  $more  the bin among it */
    private function make(Part $part, string $kind, int $quantity, int $value, Person $by, array $more): Movement
    {
        $bin = is_string($more['bin'] ?? null) ? $more['bin'] : $part->bin;
        $this->bins->change($part, $bin, $quantity);
        $part->update(['on_hand' => $part->on_hand + $quantity, 'value_minor' => $part->value_minor + $value]);
        $movement = Movement::query()->create([
            'part_id' => $part->id,
            'kind' => $kind,
            'quantity' => $quantity,
            'value_minor' => $value,
            'person_id' => $by->id,
            'at' => now(),
            ...$more,
        ]);
        $movement->setRelation('part', $part);

        return $movement;
    }

    /**
     * @template T
     *
     * @param  callable(Part): T  $change
     * @return T
     */
    private function move(Part $part, callable $change): mixed
    {
        return DB::transaction(fn (): mixed => $change(Part::query()->lockForUpdate()->findOrFail($part->id)));
    }

    /** What is promised to another job is not taken for this one. */
    private function refusePromised(Part $part, int $quantity, Job $job): void
    {
        $others = $this->promises->toOthers($part, $job);
        if ($others > 0 && $quantity <= $part->on_hand && $quantity > $part->on_hand - $others) {
            throw Refused::because(
                'quantity',
                "{$part->on_hand} of {$part->name} on the shelf (bin {$part->bin}), but {$others} promised to other jobs: "
                    .implode(', ', $this->promises->jobs($part, $job))
                    .'. Release one there first.',
            );
        }
    }

    private function atLeastOne(int $quantity): void
    {
        if ($quantity < 1) {
            throw InputError::at('quantity', 'Give a quantity of at least 1.');
        }
    }
}
