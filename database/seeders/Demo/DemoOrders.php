<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Shop\Person;
use App\Stock\Orders\NoteSupplier;
use App\Stock\Orders\NoteSupply;
use App\Stock\Orders\Order;
use App\Stock\Orders\OrderLine;
use App\Stock\Orders\ReceiveOrder;
use App\Stock\Orders\SendOrder;
use App\Stock\Orders\Supplier;
use App\Stock\Orders\Supply;
use App\Stock\Parts\Part;
use Generator;
use Random\Randomizer;

/** Three invented suppliers, each with its own haste: what runs low is ordered every third week and comes when it comes. */
final class DemoOrders
{
    /** name => contact, days it says, days it is late at the most, least order and freight in minor units */
    private const SUPPLIERS = [
        'Marram Motion' => ['orders at Marram, dial 41', 5, 4, 0, 590],
        'Saltworks Electric' => ['counter at the east gate', 9, 9, 5000, 890],
        'Upland Filament and Print Parts' => ['by letter or at the yard', 16, 12, 8000, 1400],
    ];

    private const ELECTRIC = [
        'board',
        'fan',
        'therm',
        'heater',
        'power',
        'probe',
        'endstop',
        'terminal',
        'socket',
        'cord',
        'cable',
        'loom',
        'connector',
        'sensor',
        'lead',
        'memory',
    ];

    private const MOTION = [
        'wheel',
        'rail',
        'rod',
        'bearing',
        'belt',
        'idler',
        'delta',
        'spring',
        'washer',
        'nut',
        'spacer',
        'grease',
        'cleaning',
    ];

    public function __construct(private readonly NoteSupplier $supplier,
        private readonly NoteSupply $supply,
        private readonly SendOrder $send,
        private readonly ReceiveOrder $receive,
    ) {
    }

    public function sell(): void
    {
        $suppliers = [];
        foreach (self::SUPPLIERS as $name => [$contact, $days, , $least, $freight]) {
            $suppliers[] = $this->supplier->note($name, $days, $least, $freight, $contact);
        }
        foreach (Part::query()->orderBy('id')->get() as $part) {
            $cost = DemoShop::costOf($part->number);
            $pack = $cost < 150 ? 10 : ($cost < 400 ? 5 : 1);
            $supplier = $suppliers[$this->kind($part->class)];
            $this->supply->note(
                $part,
                $supplier,
                substr($supplier->name, 0, 1).sprintf('%04d', crc32($part->number) % 10_000),
                $pack,
                $cost * $pack,
            );
        }
    }

    /**
     * @param  array<string, int>  $keep  part number => how many are kept
     * @return Generator<int, Beat>
     */
    public function round(array $keep, Randomizer $random, Person $by, bool $arrives): Generator
    {
        yield new Beat('sam', 10);
        $orders = [];
        $coming = OrderLine::query()->whereHas('order', static fn ($q) => $q->whereNull('closed_at'))->pluck('part_id')->all();
        foreach (Supplier::query()->orderBy('id')->get() as $supplier) {
            $packs = [];
            foreach (Supply::query()->with('part')->where([
                'supplier_id' => $supplier->id,
                'preferred' => true,
            ])->orderBy('id')->get() as $supply) {
                $wanted = ($keep[$supply->part->number] ?? 0) - $supply->part->on_hand;
                if (! in_array($supply->part_id, $coming, true) && $supply->part->on_hand * 3 < ($keep[$supply->part->number] ?? 0)) {
                    $packs[$supply->part->number] = (int) ceil($wanted / $supply->pack);
                }
            }
            if ($packs !== []) {
                $orders[] = [
                    $this->send->send($supplier, $packs, null, $by),
                    self::SUPPLIERS[$supplier->name][1] + $random->getInt(-1, self::SUPPLIERS[$supplier->name][2]),
                ];
            }
        }
        usort($orders, static fn (array $a, array $b): int => $a[1] <=> $b[1]);
        $passed = 0;
        foreach ($orders as [$order, $days]) {
            if (! $arrives) {
                return;
            }
            yield new Beat('sam', 15, 1440 * max(0, $days - $passed));
            $passed = $days;
            $this->unpack($order, $random, $by);
        }
    }

    private function unpack(Order $order, Randomizer $random, Person $by): void
    {
        foreach ($order->lines()->with('part')->orderBy('id')->get() as $line) {
            $dearer = $random->getInt(0, 9) === 0 ? (int) round($line->pack_cost_minor * $random->getInt(103, 112) / 100) : null;
            $this->receive->receive(
                $line,
                $line->open(),
                $dearer,
                false,
                $by,
                sprintf('%s-%03d', substr($order->supplier->name, 0, 1), $order->id * 7 % 1000),
            );
        }
    }

    /** 0 motion, 1 electric, 2 everything else */
    private function kind(string $class): int
    {
        foreach (self::ELECTRIC as $word) {
            if (str_contains($class, $word)) {
                return 1;
            }
        }
        foreach (self::MOTION as $word) {
            if (str_contains($class, $word)) {
                return 0;
            }
        }

        return 2;
    }
}
