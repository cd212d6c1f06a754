<?php

declare(strict_types=1);

namespace App\Stock\Console;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Says where what is kept of the stock does not agree with its movements. */
final class AuditCommand extends Command
{
    protected $signature = 'odd-bench:audit';

    protected $description = 'Checks that stock, its value, promises and orders agree with the movements';

    private const CHECKS = [
        'on hand is not the sum of its movements' => <<<'SQL'
            SELECT p.number AS what, p.on_hand AS kept, coalesce(sum(m.quantity), 0) AS sum
            FROM parts p LEFT JOIN movements m ON m.part_id = p.id GROUP BY p.id HAVING p.on_hand <> coalesce(sum(m.quantity), 0)
            SQL,
        'value is not the sum of its movements' => <<<'SQL'
            SELECT p.number AS what, p.value_minor AS kept, coalesce(sum(m.value_minor), 0) AS sum
            FROM parts p LEFT JOIN movements m ON m.part_id = p.id GROUP BY p.id HAVING p.value_minor <> coalesce(sum(m.value_minor), 0)
            SQL,
        'in a bin is not the sum of what moved there' => <<<'SQL'
            SELECT p.number || ', bin ' || b.bin AS what, b.on_hand AS kept, coalesce(sum(m.quantity), 0) AS sum
            FROM bin_stocks b JOIN parts p ON p.id = b.part_id LEFT JOIN movements m ON m.part_id = b.part_id AND m.bin = b.bin GROUP BY p.number, b.part_id, b.bin, b.on_hand HAVING b.on_hand <> coalesce(sum(m.quantity), 0)
            SQL,
        'on hand is not the sum of its bins' => <<<'SQL'
            SELECT p.number AS what, p.on_hand AS kept, coalesce(sum(b.on_hand), 0) AS sum
            FROM parts p LEFT JOIN bin_stocks b ON b.part_id = p.id GROUP BY p.id HAVING p.on_hand <> coalesce(sum(b.on_hand), 0)
            SQL,
        'uses on a family are not the sum of what its jobs took' => <<<'SQL'
            SELECT p.number || ' on ' || coalesce(u.family, m.family) AS what, coalesce(u.times, 0) AS kept, coalesce(m.times, 0) AS sum
            FROM (SELECT x.family, m.part_id, sum(CASE m.kind WHEN 'used' THEN 1 ELSE -1 END) AS times FROM movements m JOIN jobs j ON j.id = m.job_id JOIN machines x ON x.id = j.machine_id WHERE m.kind IN ('used','returned') GROUP BY x.family, m.part_id) AS m
            FULL JOIN part_uses u ON u.family = m.family AND u.part_id = m.part_id JOIN parts p ON p.id = coalesce(u.part_id, m.part_id) WHERE coalesce(u.times, 0) <> coalesce(m.times, 0)
            SQL,
        'counts with a part that is itself counted with another' => <<<'SQL'
            SELECT p.number AS what, p.counts_with_id AS kept, q.counts_with_id AS sum FROM parts p JOIN parts q ON q.id = p.counts_with_id WHERE q.counts_with_id IS NOT NULL
            SQL,
        'worth something with none on hand' => 'SELECT number AS what, value_minor AS kept, 0 AS sum FROM parts WHERE on_hand = 0 AND value_minor <> 0',
        'promised to a job that is finished' => <<<'SQL'
            SELECT p.number AS what, r.quantity AS kept, 0 AS sum FROM reservations r JOIN parts p ON p.id = r.part_id JOIN jobs j ON j.id = r.job_id WHERE j.finished_at IS NOT NULL
            SQL,
        'received on an order is not the sum of its receipts' => <<<'SQL'
            SELECT 'order ' || l.order_id || ', ' || p.number AS what, l.received AS kept, coalesce(sum(m.quantity), 0) AS sum
            FROM order_lines l JOIN parts p ON p.id = l.part_id LEFT JOIN movements m ON m.order_line_id = l.id GROUP BY l.id, p.number HAVING l.received <> coalesce(sum(m.quantity), 0)
            SQL,
        'the sums by day are not the sum of their movements' => <<<'SQL'
            SELECT coalesce(d.class, m.class) || ' on ' || coalesce(d.day, m.day) AS what,
                coalesce(d.used, 0) || ' used, ' || coalesce(d.value_minor, 0) AS kept,
                coalesce(m.used, 0) || ' used, ' || coalesce(m.value, 0) AS sum
            FROM movement_days d
            FULL JOIN movement_days_of(NULL, 0, (SELECT up_to FROM movement_sums)) m ON m.class = d.class AND m.day = d.day
            WHERE (coalesce(d.used, 0), coalesce(d.value_minor, 0)) IS DISTINCT FROM (coalesce(m.used, 0), coalesce(m.value, 0))
            SQL,
    ];

    public function handle(): int
    {
        $wrong = 0;
        foreach (self::CHECKS as $name => $sql) {
            foreach (DB::select($sql) as $row) {
                $wrong++;
                $this->error("{$row->what}: {$name}: {$row->kept} is kept, {$row->sum} it should be.");
            }
        }
        $this->line($wrong === 0 ? sprintf(
            '%d parts, %d movements: all of it agrees.',
            DB::table('parts')->count(),
            DB::table('movements')->count(),
        ) : "{$wrong} do not agree.");

        return $wrong === 0 ? self::SUCCESS : self::FAILURE;
    }
}
