<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use Illuminate\Support\Facades\DB;
use OddBench\Stock\ReviewTime;

/** How often the shop orders from each supplier, by the orders it sent. */
final class ReviewTimes
{
    private const LATEST = 12;

    /** @return array<int, float> supplier id => weeks from one order to the next; none where there is no rhythm */
    public function all(): array
    {
        $between = [];
        foreach (DB::select(<<<'SQL'
            SELECT supplier_id, days FROM (
                SELECT supplier_id, extract(epoch FROM sent_at - lag(sent_at) OVER (PARTITION BY supplier_id ORDER BY sent_at)) / 86400 AS days,
                       row_number() OVER (PARTITION BY supplier_id ORDER BY sent_at DESC) AS n
                FROM orders WHERE sent_at IS NOT NULL) AS apart
            WHERE n <= ? AND days IS NOT NULL
            SQL, [self::LATEST]) as $row) {
            $between[(int) $row->supplier_id][] = (float) $row->days;
        }

        return array_map(ReviewTime::weeks(...), $between);
    }
}
