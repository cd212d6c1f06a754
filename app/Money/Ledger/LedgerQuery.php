<?php

declare(strict_types=1);

namespace App\Money\Ledger;

use App\Money\Buying\Offer;
use App\Money\Buying\OffersQuery;
use App\Shop\Setting;
use App\Shop\ShopDay;
use App\Stock\Shelf\MovementDays;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\Exact;

/** What a span of days cost and brought, by family and by fault: of hands, movements, bills, purchases and sales, and of nothing else. */
final readonly class LedgerQuery
{
    private const RESALE = 40;

    /**
     * Whose faults and families: the jobs that were worked on, used parts or were billed in the span, those of one family with the same
     * one fault together, one with several faults for itself, for what it took is shared between them to the last unit.
     */
    private const JOBS = <<<'SQL'
        WITH span AS (SELECT ?::timestamptz AS began, ?::timestamptz AS ended), took AS (
            SELECT job_id, sum(minutes) AS minutes, sum(parts) AS parts, sum(charged) AS charged, sum(borne) AS borne,
                bool_or(counts) AS counts
            FROM (
                SELECT w.job_id, extract(epoch from least(w.ended_at, s.ended) - greatest(w.began_at, s.began)) / 60 AS minutes,
                    0 AS parts, 0 AS charged, 0 AS borne, false AS counts
                FROM work_spells w CROSS JOIN span s WHERE w.ended_at > s.began AND w.began_at < s.ended
                UNION ALL
                SELECT v.job_id, 0, -sum(v.value_minor), 0, 0, true FROM movements v
                WHERE v.kind IN ('used', 'returned') AND v.at >= ? AND v.at < ? AND v.job_id IS NOT NULL GROUP BY v.job_id
                UNION ALL
                SELECT b.job_id, 0, 0, b.net_minor, CASE WHEN b.free_because IS NULL THEN 0 ELSE b.own_cost_minor END, true
                FROM bills b CROSS JOIN span s WHERE b.at >= s.began AND b.at < s.ended
            ) each GROUP BY job_id
        ), faulty AS (
            SELECT job_id, array_agg(DISTINCT fault) AS faults FROM diagnoses WHERE superseded_at IS NULL GROUP BY job_id
        )
        SELECT m.family, m.held_as = 'owner' AS owners, to_json(f.faults) AS faults, count(*) AS jobs, sum(t.minutes) AS minutes,
            sum(t.parts) AS parts, sum(t.charged) AS charged, sum(t.borne) AS borne
        FROM took t JOIN jobs j ON j.id = t.job_id JOIN machines m ON m.id = j.machine_id LEFT JOIN faulty f ON f.job_id = t.job_id
        WHERE t.minutes > 0 OR t.counts
        GROUP BY m.family, owners, f.faults, CASE WHEN cardinality(f.faults) > 1 THEN t.job_id END
        SQL;

    public function __construct(
        private Knowledge $knowledge,
        private ShopDay $day,
        private OffersQuery $offers,
        private MovementDays $moved,
    ) {
    }

    /**
     * @param  string  $from  first day
     * @param  string  $to  last day
     */
    public function of(string $from, string $to): LedgerView
    {
        $began = Carbon::parse($from, $this->day->zone())->startOfDay()->utc()->toIso8601String();
        $ended = Carbon::parse($to, $this->day->zone())->addDay()->startOfDay()->utc()->toIso8601String();
        $families = $faults = [];
        foreach (DB::select(self::JOBS, [$began, $ended, $began, $ended]) as $row) {
            $of = new Sums(
                (int) $row->jobs,
                (float) $row->minutes,
                (int) $row->parts,
                (int) $row->charged,
                (int) $row->borne,
                $row->owners ? (float) $row->minutes : 0.0,
                $row->owners ? (int) $row->parts : 0,
            );
            $families[(string) $row->family] = ($families[(string) $row->family] ?? new Sums)->plus($of);
            $codes = is_string($row->faults) ? (array) json_decode($row->faults, true) : [];
            $codes = $codes === [] ? [''] : $codes;
            foreach ($codes as $i => $code) {
                $faults[(string) $code] = ($faults[(string) $code] ?? new Sums)->plus($of->share($i, count($codes)));
            }
        }
        $familyLines = $this->lines($families, $this->knowledge->familyName(...));
        $faultLines = $this->lines($faults, fn (string $code): string => $code === ''
            ? 'No fault: service, refurbishing'
            : $this->knowledge->faultName($code));
        $dearest = static fn (LedgerLine $one): array => [-$one->handsMinor - $one->partsMinor, $one->code];
        usort($faultLines, static fn (LedgerLine $a, LedgerLine $b): int => $dearest($a) <=> $dearest($b));
        $sum = static fn (string $key): int => array_sum(array_map(static fn (LedgerLine $l): int => (int) $l->{$key}, $familyLines));
        $bills = DB::table('bills')->where('at', '>=', $began)->where('at', '<', $ended);

        return new LedgerView(
            $from,
            $to,
            round(array_sum(array_map(static fn (LedgerLine $l): float => $l->handsMinutes, $familyLines)), 1),
            $sum('handsMinor'),
            $sum('partsMinor'),
            $sum('chargedMinor'),
            (int) (clone $bills)->sum('tax_minor'),
            $sum('warrantyMinor'),
            (int) DB::table('machines')->where('held_as', 'resale')
                ->where('created_at', '>=', $began)
                ->where('created_at', '<', $ended)
                ->sum('price_paid_minor'),
            (int) DB::table('sales')->where('at', '>=', $began)->where('at', '<', $ended)->sum('price_minor'),
            $this->moved->valueAt(Carbon::parse($ended)),
            (clone $bills)->count(),
            $familyLines,
            $faultLines,
            $this->resale($began, $ended),
        );
    }

    /**
     * @param  array<string, Sums>  $sums
     * @param  callable(string): string  $name
     * @return list<LedgerLine> by name
     */
    private function lines(array $sums, callable $name): array
    {
        $lines = [];
        foreach ($sums as $code => $of) {
            $hands = Exact::hands($of->minutes, (float) Setting::benchMinuteMinor());
            $lines[] = new LedgerLine(
                (string) $code,
                $name((string) $code),
                $of->jobs,
                round($of->minutes, 1),
                $hands,
                $of->parts,
                $of->charged,
                $of->borne,
                $of->charged - Exact::hands($of->ownersMinutes, (float) Setting::benchMinuteMinor()) - $of->ownersParts,
            );
        }
        usort($lines, static fn (LedgerLine $a, LedgerLine $b): int => $a->name <=> $b->name);

        return $lines;
    }

    /** @return list<ResaleLine> bought by a sheet and not sold before the span */
    private function resale(string $began, string $ended): array
    {
        $offers = Offer::query()->with(['stages', 'machine'])
            ->where('at', '<', $ended)
            ->where('state', 'bought')
            ->orderByDesc('id')
            ->limit(self::RESALE)
            ->get();
        $from = Carbon::parse($began);
        $lines = [];
        foreach ($this->offers->standing($offers) as $of) {
            if ($of->sold->soldAt !== null && $from->greaterThan($of->sold->soldAt)) {
                continue;
            }
            $lines[] = new ResaleLine(
                $of->offer->id,
                $of->line->tag,
                $of->line->familyName,
                $of->line->at,
                $of->offer->decided_at?->toIso8601String(),
                $of->sold->soldAt,
                $of->offer->bought_minor,
                $of->offer->freight_minor + $of->offer->missing_minor + $of->offer->selling_minor + $of->sold->partsMinor,
                $of->sold->priceMinor,
                $of->sold->madeMinor,
                $of->sold->perHourMinor,
                $of->line->stands,
                $of->line->stopNow,
            );
        }

        return $lines;
    }
}
