<?php

declare(strict_types=1);

namespace App\Money\Ledger;

use App\Api\Day;
use App\Api\Form;
use App\Shop\ShopDay;
use Illuminate\Validation\Validator;

final class LedgerRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['from' => ['nullable', new Day], 'to' => ['nullable', new Day]];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $days): void {
            [$from, $to] = $days->errors()->isEmpty() ? $this->span() : ['', ''];
            if ($to < $from) {
                $days->errors()->add('to', 'The last day lies before the first.');
            }
        }];
    }

    /** @return array{string, string} first and last day; this month unless said */
    public function span(): array
    {
        $today = app(ShopDay::class)->today();

        return [$this->words('from') ?? substr($today, 0, 8).'01', $this->words('to') ?? $today];
    }
}
