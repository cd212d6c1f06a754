<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\Refused;
use App\Shop\Person;
use App\Stock\Parts\Part;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** An order goes out to a supplier. */
final readonly class SendOrder
{
    public function __construct(private LeadTimes $leadTimes)
    {
    }

    /**
     * @param  array<string, int>  $packs  part number => packs, none of them for 0
     * @param  bool  $lessIsRight  somebody has seen that it is less than the supplier sends for
     *
     * @throws InputError for a part this supplier does not sell, or none at all
     * @throws Refused when it is less than the supplier sends for and nobody has said that it is so
     */
    public function send(Supplier $supplier, array $packs, ?string $note, Person $by, bool $lessIsRight = true): Order
    {
        $packs = array_filter($packs);
        if ($packs === []) {
            throw InputError::at('packs', 'Nothing is ordered: give at least one part its packs.');
        }

        return DB::transaction(function () use ($supplier, $packs, $note, $by, $lessIsRight): Order {
            $days = ($this->leadTimes->all()[$supplier->id] ?? null)->meanDays ?? (float) $supplier->lead_days;
            $order = Order::query()->create([
                'supplier_id' => $supplier->id,
                'note' => $note,
                'freight_minor' => $supplier->freight_minor,
                'expected_at' => now()->addMinutes((int) round($days * 1440)),
                'person_id' => $by->id,
                'sent_at' => now(),
            ]);
            $goods = 0;
            foreach ($packs as $number => $count) {
                $part = Part::numbered((string) $number);
                $supply = Supply::query()->where(['part_id' => $part->id, 'supplier_id' => $supplier->id])->first()
                    ?? throw InputError::at(
                        "packs.{$number}",
                        "{$part->name} is not bought from {$supplier->name}. Change where it is bought, or take it off the order.",
                    );
                OrderLine::query()->create([
                    'order_id' => $order->id,
                    'part_id' => $part->id,
                    'packs' => $count,
                    'pack' => $supply->pack,
                    'pack_cost_minor' => $supply->pack_cost_minor,
                ]);
                $goods += $count * $supply->pack_cost_minor;
            }
            if ($goods < $supplier->minimum_minor && ! $lessIsRight) {
                throw Refused::because(
                    'minimum',
                    sprintf(
                        '%s sends for %.2f or more, and this is %.2f. Order more, wait until more is due, or say that it goes out all the same.',
                        $supplier->name,
                        $supplier->minimum_minor / 100,
                        $goods / 100,
                    ),
                );
            }

            return $order;
        });
    }
}
