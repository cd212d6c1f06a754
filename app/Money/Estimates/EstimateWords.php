<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Intake\Job;
use App\Shop\Setting;
use OddBench\Money\Price;

/** An estimate as its owner reads it: on paper, in a mail, on the page. Nothing of what it costs the shop. */
final readonly class EstimateWords
{
    /**
     * @param  array<string, mixed>  $frozen  as EstimateView was kept
     * @param  string|null  $address  where its owner can answer in writing
     */
    public static function letter(Job $job, string $familyName, array $frozen, ?string $address): string
    {
        $currency = Setting::text('currency');
        $list = static fn (string $key): string => implode(', ', array_filter((array) ($frozen[$key] ?? []), is_string(...)));
        $sum = static fn (string $key): string => Price::words(is_int($frozen[$key] ?? null) ? $frozen[$key] : 0)." {$currency}";
        $certain = $list('certain');
        $open = $list('open');
        $inTen = is_int($frozen['inTen'] ?? null) ? $frozen['inTen'] : 8;
        $mostly = "In {$inTen} of 10 such cases it is not more than {$sum('ceilingMinor')}";

        return implode("\n\n", array_filter([
            "Your {$familyName}, tag {$job->machine->tag}, is with us: “{$job->complaint}”.",
            ($certain === '' ? '' : "Certain: {$certain}. ").($open === '' ? '' : "Not certain yet, it may be: {$open}."),
            match (true) {
                $frozen['leastMinor'] === $frozen['mostMinor'] => "We expect {$sum('expectedMinor')}.",
                $frozen['ceilingMinor'] < $frozen['expectedMinor'] => "{$mostly}; "
                    ."the others can be dearer, up to {$sum('mostMinor')}, so that {$sum('expectedMinor')} is the average.",
                default => "We expect about {$sum('expectedMinor')}. {$mostly}.",
            },
            (is_numeric($frozen['taxPct'] ?? null) && $frozen['taxPct'] > 0 ? 'Tax is included. ' : '')
                .'Please tell us one of three: go ahead up to a sum; ask me again above a sum; do not mend it.',
            $address === null ? null : sprintf('You can also answer here, within %d days: %s', AnswerKey::DAYS, $address),
            Setting::text('shop_name'),
        ]));
    }
}
