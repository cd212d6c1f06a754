<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Api\Refused;
use App\Stock\Parts\Part;
use Illuminate\Support\Facades\DB;

/** How many of a part lie in which bin. Called under the part’s lock. */
final class Bins
{
    public function in(Part $part, string $bin): int
    {
        $there = DB::table('bin_stocks')->where(['part_id' => $part->id, 'bin' => $bin])->value('on_hand');

        return is_numeric($there) ? (int) $there : 0;
    }

    /** @return array<string, int> bin => how many, the home bin first */
    public function of(Part $part): array
    {
        $all = DB::table('bin_stocks')->where('part_id', $part->id)
            ->where('on_hand', '>', 0)
            ->orderByRaw('bin <> ?, bin', [$part->bin])
            ->pluck('on_hand', 'bin')
            ->all();

        return array_map(static fn (mixed $n): int => is_numeric($n) ? (int) $n : 0, $all);
    }

    /**
     * The bin that many can be taken from: the one named, else its home, else any other.
     *
     * @throws Refused when no bin holds so many
     */
    public function holding(Part $part, int $quantity, ?string $bin): string
    {
        $all = $this->of($part);
        if ($bin !== null) {
            return ($all[$bin] ?? 0) >= $quantity ? $bin : throw Refused::because(
                'quantity',
                sprintf(
                    '%s of %s in bin %s, and %d are asked for.',
                    ($all[$bin] ?? 0) === 0 ? 'There is none' : "Only {$all[$bin]}",
                    $part->name,
                    $bin,
                    $quantity,
                ),
            );
        }
        foreach ($all as $name => $there) {
            if ($there >= $quantity) {
                return (string) $name;
            }
        }
        throw Refused::because('quantity', match (true) {
            $part->on_hand === 0 => "There is no {$part->name} on the shelf (bin {$part->bin}). Receive some first, or count the bin.",
            count($all) > 1 && $part->on_hand >= $quantity => "No one bin holds {$quantity} of {$part->name}: ".implode(
                ', ',
                array_map(static fn (int|string $name, int $n): string => "{$n} in {$name}", array_keys($all), $all),
            ).'. Take them bin by bin.',
            default => "Only {$part->on_hand} of {$part->name} on the shelf (bin {$part->bin}), and {$quantity} are asked for.",
        });
    }

    /** @throws Refused when it would go below zero */
    public function change(Part $part, string $bin, int $quantity): void
    {
        $now = $this->in($part, $bin) + $quantity;
        if ($now < 0) {
            throw Refused::because('quantity', "There are not so many of {$part->name} in bin {$bin}. Count the bin.");
        }
        DB::table('bin_stocks')->upsert([['part_id' => $part->id, 'bin' => $bin, 'on_hand' => $now]], ['part_id', 'bin'], ['on_hand']);
    }
}
