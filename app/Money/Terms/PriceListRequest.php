<?php

declare(strict_types=1);

namespace App\Money\Terms;

use App\Money\MoneyForm;

final class PriceListRequest extends MoneyForm
{
    public const SUMS = [
        'minute' => 'charge_minute_minor', 'minimum' => 'minimum_minor', 'storageDay' => 'storage_day_minor', 'margin' => 'margin_minor',
        'selling' => 'selling_minor', 'idleDay' => 'idle_day_minor',
    ];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...array_fill_keys(array_keys(self::SUMS), ['required', ...self::SUM]),
            'markupPct' => ['required', 'numeric', 'between:0,1000'],
            'taxPct' => ['required', 'numeric', 'between:0,100'],
            'freeDays' => ['required', 'integer', 'between:0,3650'],
            'residual' => ['required', 'boolean'],
            'partsClaims' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'markupPct.between' => 'The markup on parts is 0 to 1,000 %.',
            'taxPct.between' => 'Tax is 0 to 100 %.',
            'freeDays.between' => 'A machine stands for nothing for 0 to 3,650 days.',
        ];
    }
}
