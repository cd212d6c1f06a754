<?php

declare(strict_types=1);

namespace App\Money\Charges;

use App\Intake\JobState;
use App\Money\Terms\PriceList;
use App\Stock\Shelf\Movement;
use App\Stock\Shelf\StockOfJob;
use Illuminate\Support\Facades\DB;
use OddBench\Money\Exact;
use OddBench\Money\PartSold;

/** The parts a job took and kept: what they cost the shop, and what they are sold at. */
final readonly class PartsOfJob
{
    /** What an order’s goods cost, and its freight, of the last delivery of each part. */
    private const FREIGHT = <<<'SQL'
        SELECT DISTINCT ON (m.part_id) m.part_id, o.freight_minor,
            (SELECT sum(l.packs * l.pack_cost_minor) FROM order_lines l WHERE l.order_id = o.id) AS goods
        FROM movements m JOIN order_lines x ON x.id = m.order_line_id JOIN orders o ON o.id = x.order_id
        WHERE m.kind = 'received' AND m.part_id = ANY(?::bigint[]) ORDER BY m.part_id, m.id DESC
        SQL;

    /** @return list<Movement> */
    public static function used(JobState $state): array
    {
        return array_values(StockOfJob::of($state)->used()->all());
    }

    /** A movement as it is sold: what all of it cost, so that nothing is lost in dividing. */
    public static function sold(Movement $used, PriceList $terms): PartSold
    {
        return new PartSold(1, -$used->value_minor, $terms->markupPct);
    }

    public static function price(JobState $state, PriceList $terms): int
    {
        return array_sum(array_map(static fn (Movement $m): int => self::sold($m, $terms)->price(), self::used($state)));
    }

    /** @return list<string> classes that were used */
    public static function classes(JobState $state): array
    {
        return array_values(array_unique(array_map(static fn (Movement $m): string => $m->part->class, self::used($state))));
    }

    /** What of the freight of the orders they came in falls on them, by what they cost. */
    public static function freight(JobState $state): int
    {
        $used = self::used($state);
        if ($used === []) {
            return 0;
        }
        $ids = array_values(array_unique(array_map(static fn (Movement $m): int => $m->part_id, $used)));
        $orders = collect(DB::select(self::FREIGHT, ['{'.implode(',', $ids).'}']))->keyBy('part_id');
        $freight = 0;
        foreach ($used as $movement) {
            $order = $orders->get($movement->part_id);
            if ($order !== null && (int) $order->goods > 0) {
                $freight += Exact::share(
                    (int) $order->freight_minor,
                    min(-$movement->value_minor, (int) $order->goods),
                    (int) $order->goods,
                );
            }
        }

        return $freight;
    }
}
