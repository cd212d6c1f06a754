<?php

declare(strict_types=1);

namespace App\Money\Ledger;

use App\Api\Csv;
use App\Money\Charges\Bill;
use App\Shop\Ability;
use App\Shop\Setting;
use App\Shop\ShopDay;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\Response;

final readonly class LedgerController
{
    public function __construct(private LedgerQuery $ledger)
    {
    }

    public function show(LedgerRequest $request): LedgerView
    {
        Gate::authorize(Ability::SeeMoney);

        return $this->ledger->of(...$request->span());
    }

    /** Families and faults of a span as a table. */
    public function csv(LedgerRequest $request): Response
    {
        Gate::authorize(Ability::SeeMoney);
        $view = $this->ledger->of(...$request->span());
        $currency = Setting::text('currency');
        $rows = [['by', 'code', 'name', 'jobs', 'hands min', ...array_map(
            static fn (string $sum): string => "{$sum} {$currency}",
            ['hands', 'parts', 'charged', 'borne', 'left'],
        )]];
        foreach (['family' => $view->families, 'fault' => $view->faults] as $by => $lines) {
            foreach ($lines as $l) {
                $rows[] = [
                    $by, $l->code, $l->name, $l->jobs, $l->handsMinutes, self::sum($l->handsMinor), self::sum($l->partsMinor),
                    self::sum($l->chargedMinor), self::sum($l->warrantyMinor), self::sum($l->leftMinor),
                ];
            }
        }

        return Csv::file("ledger-{$view->from}-{$view->to}", $rows, marked: true);
    }

    /** The bills of a span for the bookkeeping: what was charged, not what it cost the shop. */
    public function bills(LedgerRequest $request, ShopDay $day): Response
    {
        Gate::authorize(Ability::SeeMoney);
        [$from, $to] = $request->span();
        $currency = Setting::text('currency');
        $rows = [['number', 'day', 'job', 'tag', 'owner', "net {$currency}", 'tax %', "tax {$currency}", "gross {$currency}", 'note']];
        $bills = Bill::query()->with('job.machine.owner')
            ->where('at', '>=', Carbon::parse($from, $day->zone())->startOfDay()->utc())
            ->where('at', '<', Carbon::parse($to, $day->zone())->addDay()->startOfDay()->utc())
            ->orderBy('number')
            ->get();
        foreach ($bills as $bill) {
            $rows[] = [
                $bill->number, $bill->at->setTimezone($day->zone())->toDateString(), $bill->job_id, $bill->job->machine->tag,
                $bill->job->machine->owner?->name, self::sum($bill->net_minor), (float) $bill->tax_pct, self::sum($bill->tax_minor),
                self::sum($bill->gross_minor), $bill->free_because,
            ];
        }

        return Csv::file("bills-{$from}-{$to}", $rows, marked: true);
    }

    private static function sum(int $minor): string
    {
        return number_format($minor / 100, 2, '.', '');
    }
}
