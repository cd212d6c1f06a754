<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Diagnosis\Faults\FaultCounts;
use App\Money\Terms\PriceList;
use App\Money\Worth\DonorParts;
use App\Money\Worth\Sales;
use App\Shop\Setting;
use App\Stock\Parts\ClassCosts;
use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Session;
use OddBench\Diagnosis\Suspect;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\BidCap;
use OddBench\Money\BidCase;
use OddBench\Money\StagedTests;

/** A first look at a machine on offer: what is likely wrong with it, and tests and sums proposed for its sheet. */
final readonly class LookQuery
{
    private const LIKELY = 6;

    /** Less likely is not worth a word. */
    private const LIKELY_FROM = 0.02;

    public function __construct(
        private Knowledge $knowledge,
        private FaultCounts $counts,
        private ClassCosts $costs,
        private BidCap $bid,
        private DonorParts $donor,
        private Sales $sales,
        private PlanViews $plan,
    ) {
    }

    /** @param  list<string>  $findings  what the seller says */
    public function at(string $family, array $findings, ?int $sells, ?int $single, ?int $parts): OfferLookView
    {
        foreach ($findings as $i => $code) {
            $this->knowledge->finding($code, "findings.{$i}");
        }
        $terms = PriceList::read();
        $session = $this->session($family, $findings);
        $worth = $this->donor->ofFamily($family, null);
        $inParts = $parts ?? $worth->worth;
        $feeder = ($this->knowledge->family($family)->traits['feeder'] ?? 'none') !== 'none';
        $sells ??= $this->sales->middle($family);
        $stages = StagedTests::of(
            $session,
            $this->knowledge,
            (float) Setting::benchMinuteMinor(),
            $inParts,
            $feeder ? $single ?? StagedTests::single($sells ?? 0) : null,
        );
        $case = new BidCase($stages, $sells ?? 0, $terms->sellingMinor, $terms->marginMinor);
        $bid = $this->bid->judge($case);

        return new OfferLookView(
            $this->likely($session),
            $this->plan->stages($case, $bid, null),
            $inParts,
            $worth->howSure(),
            $sells,
            $terms->sellingMinor,
            $terms->marginMinor,
            $feeder,
            $bid->most,
        );
    }

    /** @param  list<string>  $findings  what the seller says */
    public function session(string $family, array $findings): Session
    {
        $parts = $this->costs->all();
        $counted = $this->counts->now();

        return Session::open(CaseFile::read([
            'traits' => $this->knowledge->family($family)->traits,
            'findings' => array_fill_keys(
                array_values(array_filter($findings, fn (string $c): bool => isset($this->knowledge->findings[$c]))),
                'present',
            ),
            'history' => [...$counted->ofFamily($family), 'shop' => $counted->ofShop()],
            'on_shelf' => $parts['on_shelf'],
            'rates' => ['bench_minute' => (float) Setting::benchMinuteMinor(), 'parts' => $parts['costs'], 'waiting' => $parts['waiting']],
        ], $this->knowledge), $this->knowledge);
    }

    /** @return list<LikelyFaultView> */
    public function likely(Session $session): array
    {
        $mending = $session->mending();

        return array_map(fn (Suspect $s): LikelyFaultView => new LikelyFaultView(
            $s->code,
            $this->knowledge->faults[$s->code]->name,
            round($s->probability, 4),
            (int) round($mending->of($this->knowledge->faults[$s->code])),
        ), array_slice(array_values(array_filter(
            $session->suspects(),
            static fn (Suspect $s): bool => $s->explains !== [] && $s->probability >= self::LIKELY_FROM,
        )), 0, self::LIKELY));
    }
}
