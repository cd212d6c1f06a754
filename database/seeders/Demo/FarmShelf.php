<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Shop\Person;
use App\Stock\Orders\NoteSupply;
use App\Stock\Orders\Supplier;
use App\Stock\Parts\Part;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Random\Randomizer;

/**
 * The parts the farm used up, and those left of them.
 *
 * @phpstan-import-type Change from FarmLives
 */
final class FarmShelf
{
    /** @var array<string, list<Part>> class => its makes */
    private array $parts = [];

    /** @var array<string, int> class and make => used */
    private array $used = [];

    public function __construct(private readonly NoteSupply $supply, private readonly Randomizer $random)
    {
    }

    /** @param  Change  $change */
    public function take(array $change): Part
    {
        $this->used["{$change['class']} {$change['make']}"] = ($this->used["{$change['class']} {$change['make']}"] ?? 0) + 1;

        return $this->parts[$change['class']][$change['make']];
    }

    /** So many were bought before the first one was used, and some lie there. */
    public function make(Person $by, Carbon $today, int $days): void
    {
        $supplier = Supplier::query()->orderBy('id')->firstOrFail();
        Carbon::setTestNow($today->copy()->subDays($days + 1)->setTime(7, 0));
        foreach (FarmLives::LAWS as $class => $makes) {
            foreach ($makes as $i => [$name, $cost, $bin]) {
                $part = Part::query()->create([
                    'number' => 'FM-'.strtoupper(substr(str_replace('-', '', $class), 0, 4)).($i + 1),
                    'name' => $name, 'class' => $class, 'bin' => $bin,
                ]);
                $this->supply->note($part, $supplier, 'M-'.$part->number, 4, 4 * $cost);
                DB::table('movements')->insert([
                    'part_id' => $part->id, 'kind' => 'received', 'quantity' => 1, 'value_minor' => $cost, 'bin' => $bin,
                    'person_id' => $by->id, 'at' => now(), 'note' => 'opening stock',
                ]);
                $this->parts[$class][] = $part;
            }
        }
        Carbon::setTestNow($today);
    }

    /** Bought as many as were used and a few more, all at the start: the price did not change. */
    public function bought(): void
    {
        foreach (FarmLives::LAWS as $class => $makes) {
            foreach ($makes as $i => [, $cost, $bin]) {
                $part = $this->parts[$class][$i];
                $there = 2 + $this->random->getInt(0, 3);
                $count = ($this->used["{$class} {$i}"] ?? 0) + $there;
                DB::table('movements')->where(['part_id' => $part->id, 'kind' => 'received'])
                    ->update(['quantity' => $count, 'value_minor' => $count * $cost]);
                $part->update(['on_hand' => $there, 'value_minor' => $there * $cost]);
                DB::table('bin_stocks')->insert(['part_id' => $part->id, 'bin' => $bin, 'on_hand' => $there]);
            }
        }
    }
}
