<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Intake\ReadOnce;
use App\Stock\Orders\LeadTimes;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** What one of a class of part costs this shop, and how long one that is not there takes to come. */
final readonly class ClassCosts
{
    /** By class: the moving average of what lies there, else what was paid last, else the cheapest supplier’s price. */
    private const COSTS = <<<'SQL'
        SELECT p.class, p.on_hand, o.suppliers,
            coalesce(
                p.cost,
                (SELECT m.value_minor::float / m.quantity FROM movements m JOIN parts q ON q.id = m.part_id
                    WHERE q.class = p.class AND m.kind = 'received' AND m.quantity > 0 AND m.undoes_id IS NULL ORDER BY m.id DESC LIMIT 1),
                o.cheapest
            ) AS cost
        FROM (SELECT class, sum(on_hand) AS on_hand,
                (sum(value_minor) FILTER (WHERE on_hand > 0))::float / nullif(sum(on_hand) FILTER (WHERE on_hand > 0), 0) AS cost
            FROM parts GROUP BY class) p
        CROSS JOIN LATERAL (SELECT min(s.pack_cost_minor::float / s.pack) FILTER (WHERE s.pack > 0) AS cheapest,
                array_agg(DISTINCT s.supplier_id) AS suppliers
            FROM supplies s JOIN parts q ON q.id = s.part_id
            WHERE q.class = p.class AND (p.on_hand <= 0 OR p.cost IS NULL)) o
        SQL;

    public function __construct(private Knowledge $knowledge, private ReadOnce $once)
    {
    }

    /**
     * @return array{costs: array<string, float>, on_shelf: list<string>, waiting: array<string, float>} costs in minor units,
     *   waiting in days for what is not on the shelf
     */
    public function all(): array
    {
        return $this->once->of(self::class, $this->read(...));
    }

    /** @return array{costs: array<string, float>, on_shelf: list<string>, waiting: array<string, float>} */
    private function read(): array
    {
        $costs = $onShelf = [];
        $waiting = array_fill_keys(array_keys($this->knowledge->partClasses), $this->knowledge->bench->waitingDays);
        // both in one question
        $both = (array) DB::selectOne(
            'SELECT (SELECT json_agg(c) FROM ('.self::COSTS.') c) AS costs, (SELECT json_agg(l) FROM ('.LeadTimes::SQL.') l) AS leads',
        );
        $leads = LeadTimes::from(self::rows($both['leads'] ?? null));
        foreach (self::rows($both['costs'] ?? null) as $row) {
            $class = (string) $row->class;
            if (! isset($this->knowledge->partClasses[$class])) {
                continue;
            }
            if (is_numeric($row->cost)) {
                $costs[$class] = (float) $row->cost;
            }
            if ($row->on_hand > 0) {
                $onShelf[] = $class;
                unset($waiting[$class]);
            } else {
                $days = array_map(
                    static fn (mixed $id): float => ($leads[(int) $id] ?? null)->meanDays ?? INF,
                    array_filter((array) $row->suppliers),
                );
                $waiting[$class] = min([$waiting[$class], ...$days]);
            }
        }

        // what is used up anyway is never waited for
        return ['costs' => $costs, 'on_shelf' => $onShelf, 'waiting' => array_diff_key($waiting, array_flip(Knowledge::USED_UP))];
    }

    /** @return list<\stdClass> */
    private static function rows(mixed $json): array
    {
        $rows = is_string($json) ? json_decode($json) : null;

        return is_array($rows) ? array_values(array_filter($rows, static fn (mixed $row): bool => $row instanceof \stdClass)) : [];
    }
}
