<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use Illuminate\Support\Facades\DB;
use OddBench\Stock\LeadTime;

/** How long each supplier takes, by what it says and by what came. */
final class LeadTimes
{
    /** Each supplier with what it says, and a row for each of its latest orders with the days it took. */
    public const SQL = <<<'SQL'
        SELECT s.id, s.lead_days, came.days FROM suppliers s LEFT JOIN (
            SELECT o.supplier_id, extract(epoch FROM min(m.at) - o.sent_at) / 86400 AS days, row_number() OVER (PARTITION BY o.supplier_id ORDER BY o.sent_at DESC) AS n
            FROM orders o JOIN order_lines l ON l.order_id = o.id JOIN movements m ON m.order_line_id = l.id AND m.kind = 'received'
            GROUP BY o.id) AS came ON came.supplier_id = s.id AND n <= 30
        SQL;

    /** @return array<int, LeadTime> supplier id => */
    public function all(): array
    {
        return self::from(DB::select(self::SQL));
    }

    /**
     * @param  array<mixed>  $rows  as the question gives them
     * @return array<int, LeadTime> supplier id =>
     */
    public static function from(array $rows): array
    {
        $took = $says = [];
        foreach ($rows as $row) {
            /** @var object{id: int, lead_days: int|float|string, days: float|string|null} $row */
            $says[(int) $row->id] = (float) $row->lead_days;
            if ($row->days !== null) {
                $took[(int) $row->id][] = (float) $row->days;
            }
        }
        $times = [];
        foreach ($says as $supplier => $days) {
            $times[$supplier] = LeadTime::of($days, $took[$supplier] ?? []);
        }

        return $times;
    }
}
