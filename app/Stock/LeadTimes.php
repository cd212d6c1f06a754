<?php

declare(strict_types=1);

namespace App\Stock;

use Illuminate\Support\Facades\DB;
use OddBench\Stock\LeadTime;

/** How long each supplier takes, by what it says and by what came. */
final class LeadTimes
{
    private const LATEST = 30;

    /** @return array<int, LeadTime> supplier id => */
    public function all(): array
    {
        $took = [];
        foreach (DB::select(<<<'SQL'
            SELECT supplier_id, days FROM (
                SELECT o.supplier_id, extract(epoch FROM min(m.at) - o.sent_at) / 86400 AS days, row_number() OVER (PARTITION BY o.supplier_id ORDER BY o.sent_at DESC) AS n
                FROM orders o JOIN order_lines l ON l.order_id = o.id JOIN movements m ON m.order_line_id = l.id AND m.kind = 'received'
                GROUP BY o.id) AS came
            WHERE n <= ?
            SQL, [self::LATEST]) as $row) {
            $took[(int) $row->supplier_id][] = (float) $row->days;
        }

        return Supplier::query()->get()->keyBy('id')->map(static fn (Supplier $s): LeadTime => LeadTime::of((float) $s->lead_days, $took[$s->id] ?? []))->all();
    }
}
