<?php

declare(strict_types=1);

namespace App\Stock;

use App\Api\Refused;
use App\Intake\Job;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** Moves stock: under the part’s lock, never below zero, its cost going along at the average. */
final readonly class MoveStock
{
    public function __construct(private Promises $promises)
    {
    }

    public function receive(Part $part, int $quantity, int $unitCostMinor, ?string $note, Person $by, ?OrderLine $line = null): Movement
    {
        $this->atLeastOne($quantity);

        return $this->move($part, fn (Part $part): Movement => $this->make($part, 'received', $quantity, $quantity * $unitCostMinor, $by, ['note' => $note, 'order_line_id' => $line?->id]));
    }

    public function take(Part $part, int $quantity, Job $job, ?string $position, Person $by): Movement
    {
        $this->atLeastOne($quantity);

        return $this->move($part, function (Part $part) use ($quantity, $job, $position, $by): Movement {
            $this->refusePromised($part, $quantity, $job);
            $this->promises->taken($part, $job, $quantity);

            return $this->leave($part, 'used', $quantity, $by, ['job_id' => $job->id, 'position' => $position]);
        });
    }

    public function scrap(Part $part, int $quantity, ?string $note, Person $by): Movement
    {
        $this->atLeastOne($quantity);

        return $this->move($part, fn (Part $part): Movement => $this->leave($part, 'scrapped', $quantity, $by, ['note' => $note]));
    }

    /** What was counted in the bin is what there is; the difference is a movement. */
    public function count(Part $part, int $counted, ?string $note, Person $by): ?Movement
    {
        if ($counted < 0) {
            throw InputError::at('quantity', 'A count cannot be below zero.');
        }

        return $this->move($part, function (Part $part) use ($counted, $note, $by): ?Movement {
            $difference = $counted - $part->on_hand;

            return match (true) {
                $difference === 0 => null,
                $difference < 0 => $this->leave($part, 'counted', -$difference, $by, ['note' => $note]),
                default => $this->make($part, 'counted', $difference, $difference * $this->unitValue($part), $by, ['note' => $note]),
            };
        });
    }

    /** A used part goes back into its bin, with the cost it left with. */
    public function putBack(Movement $used, Person $by): Movement
    {
        return $this->move($used->part, function (Part $part) use ($used, $by): Movement {
            if ($used->kind !== 'used' || Movement::query()->where('undoes_id', $used->id)->exists()) {
                throw Refused::because('movement', 'This part was put back already.');
            }

            return $this->make($part, 'returned', -$used->quantity, -$used->value_minor, $by, ['job_id' => $used->job_id, 'position' => $used->position, 'undoes_id' => $used->id]);
        });
    }

    /** @param  array<string, mixed>  $more */
    private function leave(Part $part, string $kind, int $quantity, Person $by, array $more): Movement
    {
        if ($quantity > $part->on_hand) {
            throw Refused::because('quantity', $part->on_hand === 0
                ? "There is no {$part->name} on the shelf (bin {$part->bin}). Receive some first, or count the bin."
                : "Only {$part->on_hand} of {$part->name} on the shelf (bin {$part->bin}), and {$quantity} are asked for.");
        }
        $value = $quantity === $part->on_hand ? $part->value_minor : (int) round($part->value_minor * $quantity / $part->on_hand);

        return $this->make($part, $kind, -$quantity, -$value, $by, $more);
    }

    /** @param  array<string, mixed>  $more */
    private function make(Part $part, string $kind, int $quantity, int $value, Person $by, array $more): Movement
    {
        $part->update(['on_hand' => $part->on_hand + $quantity, 'value_minor' => $part->value_minor + $value]);
        $movement = Movement::query()->create(['part_id' => $part->id, 'kind' => $kind, 'quantity' => $quantity, 'value_minor' => $value, 'person_id' => $by->id, 'at' => now(), ...$more]);
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

    private function unitValue(Part $part): int
    {
        return $part->on_hand === 0 ? 0 : (int) round($part->value_minor / $part->on_hand);
    }

    /** What is promised to another job is not taken for this one. */
    private function refusePromised(Part $part, int $quantity, Job $job): void
    {
        $others = $this->promises->toOthers($part, $job);
        if ($others > 0 && $quantity <= $part->on_hand && $quantity > $part->on_hand - $others) {
            throw Refused::because('quantity', "{$part->on_hand} of {$part->name} on the shelf (bin {$part->bin}), but {$others} promised to other jobs: ".implode(', ', $this->promises->jobs($part, $job)).'. Release one there first.');
        }
    }

    private function atLeastOne(int $quantity): void
    {
        if ($quantity < 1) {
            throw InputError::at('quantity', 'Give a quantity of at least 1.');
        }
    }
}
